import { backingWords, boardMessages } from '@logged-thermal/wording'
import useMediaQuery from '@mui/material/useMediaQuery'
import { memo, useState } from 'react'
import { instrumentStanding, measures, type Instant, type InstrumentState } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { useAppDispatch } from '../app/store'
import { tablet } from '../app/tablet'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import type { ReadingHand } from './useReading'
import { NameKeys } from '../kit/NameKeys'
import { clsx } from 'clsx'
import styles from './board.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(boardMessages)

/** Minutes; past a quarter of an hour it is entered late, and waits for the lead. */
const AGO = [0, 1, 2, 4, 8, 12, 20, 45]

/** What has to be known before it is read with: its check is late, or missing. */
function behind(instrument: InstrumentState, now: Instant): string | null {
  return backingWords(instrumentStanding(instrument, now).backing, spoken)
}

interface Props {
  reading: ReadingHand
}

/** With which instrument, when, and in which unit: a key each, on a phone behind one. The instrument is sticky. */
export const BoardControls = memo(function BoardControls(props: Props) {
  const narrow = useMediaQuery('(max-width: 599px)')
  const { instrument } = useHand(useLine())
  const [open, setOpen] = useState(false)
  if (!narrow) return <Controls {...props} />
  return (
    <>
      <Key look={instrument ? 'plain' : 'shut'} aria-label={say('withWhatWhenWhich')} onClick={() => setOpen(true)}>
        {instrument?.code ?? say('noProbe')}
        <small>
          {props.reading.minutesAgo === 0 ? say('now') : say('minMinutesago', { minutesAgo: props.reading.minutesAgo })}
        </small>
      </Key>
      <Sheet open={open} onClose={() => setOpen(false)} title={say('withWhatWhenWhich')}>
        <div className={clsx(styles.controls, styles.inSheet)}>
          <Controls {...props} />
        </div>
      </Sheet>
    </>
  )
})

function Controls({ reading: { minutesAgo, setMinutesAgo, scale, setUnit, pan, pans, setPan } }: Props) {
  const line = useLine()
  const { instrument } = useHand(line)
  const now = useNow(60_000)
  const backed = instrument && behind(instrument, now)
  const dispatch = useAppDispatch()
  const [choosing, setChoosing] = useState(false)
  const choose = (id: string | null) => {
    dispatch(tablet.actions.instrumentTaken(id))
    setChoosing(false)
  }
  return (
    <>
      <Key look={instrument ? 'plain' : 'shut'} onClick={() => setChoosing(true)}>
        {instrument ? `${instrument.code}, ${measures[instrument.kind]}` : say('noProbeProvesNothing')}
        {backed && <small>{backed}</small>}
      </Key>
      <Key onClick={() => setMinutesAgo(AGO[(AGO.indexOf(minutesAgo) + 1) % AGO.length]!)}>
        {minutesAgo === 0 ? say('takenNow') : say('minAgo', { minutesAgo })}
      </Key>
      <Key aria-label={say('readingFC', { isC: scale === 'C' })} onClick={() => setUnit(scale === 'C' ? 'F' : 'C')}>
        °{scale}
      </Key>
      {pan !== null && (
        <Key aria-label={say('nextPan')} onClick={() => setPan(String((Number(pan) % pans) + 1))}>
          {say('panOf', { pan, pans })}
        </Key>
      )}
      <Sheet open={choosing} onClose={() => setChoosing(false)} title={say('readWithWhat')}>
        <NameKeys>
          {line?.instruments
            .filter(({ kind, gone }) => !gone && measures[kind] !== null)
            .map((each) => (
              <Key
                key={each.id}
                look={each.id === instrument?.id ? 'primary' : 'plain'}
                onClick={() => choose(each.id)}
              >
                {each.code}
                <small>
                  {behind(each, now) ?? say('readsThe', { kind: each.kind, measures: measures[each.kind] ?? '' })}
                </small>
              </Key>
            ))}
          <Key look={instrument ? 'outlined' : 'primary'} onClick={() => choose(null)}>
            {say('noInstrument')}
            <small>{say('loggedProvesNothing')}</small>
          </Key>
        </NameKeys>
      </Sheet>
    </>
  )
}
