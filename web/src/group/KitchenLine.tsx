import { useMemo } from 'react'
import { dayOf, isPressing, isUnitKind, limitsAt, type Id, type Means } from '@logged-thermal/core'
import { accountMessages, asksWords, timeOfDay, type Reader } from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import { judgedLine, type JudgedBatch } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { language, speaks } from '../kit/language'
import { useGroupLineQuery } from './groupApi'
import styles from './group.module.css'

const say = speaks(accountMessages)

/** The most urgent batches are named, the others counted. */
const NAMED = 6

interface Props {
  kitchen: Id
  name: string
  /** Read again so often, ms. */
  every: number
}

/** What runs in one kitchen, the most urgent first, judged as its own tablets judge it. */
export function KitchenLine({ kitchen, name, every }: Props) {
  const { data, error } = useGroupLineQuery({ kitchen }, { pollingInterval: every })
  return (
    <section aria-label={name} className={styles.kitchen}>
      <h2 className="title">{name}</h2>
      {data ? <Runs line={data} /> : <p className="muted">{error ? sentenceOf(error) : say('loading')}</p>}
    </section>
  )
}

function Runs({ line }: { line: LineData }) {
  const now = useNow(10_000)
  const means = useMemo(
    (): Means => ({ places: [...new Set(line.units.map(({ kind }) => kind).filter(isUnitKind))], learned: {} }),
    [line.units],
  )
  const judged = judgedLine(line, means, now)
  const { zone, unit } = line.kitchen
  const hours = limitsAt(line.limits?.versions ?? [], now)?.practice.clock ?? 24
  const reader: Reader = { scale: unit, zone, locale: language, hours, today: dayOf(now, zone) }
  const rescues = judged.filter(({ asks }) => asks.kind === 'rescue' && isPressing(asks, now)).length
  if (judged.length === 0) return <p>{say('nothingRuns')}</p>
  return (
    <>
      <p className={rescues > 0 ? 'urgent' : undefined}>
        {rescues > 0 ? say('needHands', { count: rescues }) : say('noHands')}
      </p>
      <ul>
        {judged.slice(0, NAMED).map((one) => (
          <Batch key={one.batch.id} one={one} now={now} reader={reader} />
        ))}
      </ul>
      {judged.length > NAMED && <p className="muted">{say('moreBatches', { count: judged.length - NAMED })}</p>}
      <p className="muted">{say('asOf', { time: timeOfDay(now, reader) })}</p>
    </>
  )
}

function Batch({ one: { batch, asks }, now, reader }: { one: JudgedBatch; now: number; reader: Reader }) {
  const words = asksWords(asks, now, reader)
  return (
    <li data-rescue={(asks.kind === 'rescue' && isPressing(asks, now)) || undefined}>
      <span className={styles.count}>
        <b>{words?.number}</b> {words?.unit}
      </span>
      <span>
        <strong>{batch.method.name}</strong> {batch.code}
        <small>{words ? `${words.action}, ${words.reason}` : say('leadDecides')}</small>
      </span>
    </li>
  )
}
