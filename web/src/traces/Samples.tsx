import { useState } from 'react'
import { dayOf, type KeptSample, type SampleRule } from '@logged-thermal/core'
import { dayName, measureWords, tracesMessages, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import styles from './traces.module.css'

const say = speaks(tracesMessages)

interface Props {
  line: LineData
  /** null: the rule set asks for none. */
  rule: SampleRule | null
  reader: Reader
  now: number
}

/** What is kept to be looked into, through which day, and where it goes. */
export function Samples({ line, rule, reader, now }: Props) {
  const enter = useEnter()
  const { open } = useHand(line)
  const [going, setGoing] = useState<KeptSample | null>(null)
  const [note, setNote] = useState('')
  const kept = line.samples.filter(({ ended }) => !ended)
  const today = dayOf(now, reader.zone)
  const end = (sample: KeptSample, where: string) => {
    enter('sample-ended', line.kitchen.id, { sample: sample.entry, note: where })
    setGoing(null)
    setNote('')
  }
  return (
    <section aria-label={say('samples')} className={styles.card}>
      <h2 className="title">{say('samples')}</h2>
      {rule && (
        <p>
          {say('sampleAsked', { days: rule.days })} <small>{`${rule.source.document}, ${rule.source.section}`}</small>
        </p>
      )}
      {kept.length === 0 && <p>{say('noSamples')}</p>}
      <ul className={styles.samples}>
        {kept.map((sample) => {
          const { entry, name, measure, until, place } = sample
          const over = today > until
          return (
            <li key={entry}>
              <span>
                <strong>{say('sampleOf', { amount: measureWords(measure, reader), name })}</strong>
                <small>
                  {over ? say('mayGo', { place }) : say('keptThrough', { day: dayName(until, reader), place })}
                </small>
              </span>
              <Key look="outlined" why={shutUnless(open)} onClick={() => (over ? end(sample, '') : setGoing(sample))}>
                {over ? say('throwAway') : say('handOver')}
              </Key>
            </li>
          )
        })}
      </ul>
      {going && (
        <Sheet open onClose={() => setGoing(null)} title={say('handOverTitle')}>
          <Field label={say('whereTo')} value={note} max={300} first onValue={setNote} />
          <KeyRow>
            <Key look="primary" disabled={note.trim() === ''} onClick={() => end(going, note.trim())}>
              {say('handOver')}
            </Key>
          </KeyRow>
        </Sheet>
      )}
    </section>
  )
}
