import { useState } from 'react'
import { checkFound, type InstrumentState } from '@logged-thermal/core'
import { instrumentCheckMessages } from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useKitchenClock } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import styles from './check.module.css'

const say = speaks(instrumentCheckMessages)

const NOMINAL = [7, 4] as const

/** A pH meter is checked in two buffers. */
export function BufferCheck({ instrument }: { instrument: InstrumentState }) {
  const { open } = useHand(useLine())
  const goOn = useGoOn()
  const clock = useKitchenClock()
  const enter = useEnter()
  const [written, setWritten] = useState<readonly string[]>(['', ''])
  const [tried, setTried] = useState(false)
  const read = written.map(phIn)
  const log = () => {
    setTried(true)
    const buffers = NOMINAL.flatMap((nominal, i) => (read[i] == null ? [] : [{ nominal, read: read[i] }]))
    if (buffers.length < NOMINAL.length) return
    const at = clock()
    const against = { kind: 'buffers' as const, buffers }
    const found = checkFound(instrument, { at, against, shown: [] }, null)
    enter('instrument-checked', instrument.id, { against, shown: [], found }, { at })
    goOn('/instruments')
  }
  return (
    <View place="instrumentCheck" sentence={<strong>{say('checking_buffers', { code: instrument.code })}</strong>}>
      <form
        className={styles.buffers}
        onSubmit={(event) => {
          event.preventDefault()
          log()
        }}
      >
        {NOMINAL.map((nominal, i) => (
          <Field
            key={nominal}
            label={say('phShows', { nominal })}
            value={written[i]!}
            mode="decimal"
            unit="pH"
            first={i === 0}
            onValue={(next) => setWritten(written.map((each, at) => (at === i ? next : each)))}
            error={tried && read[i] === null ? say('phWrong') : null}
          />
        ))}
        <Key look="primary" type="submit" why={shutUnless(open)}>
          {say('logPass')}
        </Key>
      </form>
    </View>
  )
}

function phIn(text: string): number | null {
  const value = Number(text.trim().replace(',', '.'))
  return text.trim() !== '' && value >= 0 && value <= 14 ? value : null
}
