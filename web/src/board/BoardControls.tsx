import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { measures } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import { useAppDispatch } from '../app/store'
import { tablet } from '../app/tablet'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import type { ReadingHand } from './useReading'
import { NameKeys } from '../kit/NameKeys'
import { clsx } from 'clsx'
import styles from './board.module.css'

/** Minutes; past a quarter of an hour it is entered late, and waits for the lead. */
const AGO = [0, 1, 2, 4, 8, 12, 20, 45]

interface Props {
  reading: ReadingHand
}

/** With which instrument, when, and in which unit: a key each, on a phone behind one. The instrument is sticky. */
export function BoardControls(props: Props) {
  const narrow = useMediaQuery('(max-width: 599px)')
  const { instrument } = useHand(useLine())
  const [open, setOpen] = useState(false)
  if (!narrow) return <Controls {...props} />
  return (
    <>
      <Key
        look={instrument ? 'plain' : 'shut'}
        aria-label="With what, when, in which unit"
        onClick={() => setOpen(true)}
      >
        {instrument?.code ?? 'no probe'}
        <small>{props.reading.minutesAgo === 0 ? 'now' : `−${props.reading.minutesAgo} min`}</small>
      </Key>
      <Sheet open={open} onClose={() => setOpen(false)} title="With what, when, in which unit">
        <div className={clsx(styles.controls, styles.inSheet)}>
          <Controls {...props} />
        </div>
      </Sheet>
    </>
  )
}

function Controls({ reading: { minutesAgo, setMinutesAgo, scale, setUnit, pan, pans, setPan } }: Props) {
  const line = useLine()
  const { instrument } = useHand(line)
  const dispatch = useAppDispatch()
  const [choosing, setChoosing] = useState(false)
  const choose = (id: string | null) => {
    dispatch(tablet.actions.instrumentTaken(id))
    setChoosing(false)
  }
  return (
    <>
      <Key look={instrument ? 'plain' : 'shut'} onClick={() => setChoosing(true)}>
        {instrument ? `${instrument.code}, ${measures[instrument.kind]}` : 'no probe: proves nothing'}
      </Key>
      <Key onClick={() => setMinutesAgo(AGO[(AGO.indexOf(minutesAgo) + 1) % AGO.length]!)}>
        {minutesAgo === 0 ? 'taken now' : `${minutesAgo} min ago`}
      </Key>
      <Key
        aria-label={`This reading in °${scale === 'C' ? 'F' : 'C'}`}
        onClick={() => setUnit(scale === 'C' ? 'F' : 'C')}
      >
        °{scale}
      </Key>
      {pan !== null && (
        <Key aria-label="The next pan" onClick={() => setPan(String((Number(pan) % pans) + 1))}>
          pan {pan} of {pans}
        </Key>
      )}
      <Sheet open={choosing} onClose={() => setChoosing(false)} title="Read with what?">
        <NameKeys>
          {line?.instruments.map(({ id, code, kind }) => (
            <Key key={id} look={id === instrument?.id ? 'primary' : 'plain'} onClick={() => choose(id)}>
              {code}
              <small>
                {kind}, reads the {measures[kind]}
              </small>
            </Key>
          ))}
          <Key look={instrument ? 'outlined' : 'primary'} onClick={() => choose(null)}>
            No instrument
            <small>it is logged, and proves nothing</small>
          </Key>
        </NameKeys>
      </Sheet>
    </>
  )
}
