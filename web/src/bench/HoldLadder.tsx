import { memo } from 'react'
import { readingsOf, stillNeeds, type Finding } from '@logged-thermal/core'
import {
  degrees,
  limitDegreesOf,
  leftSpan,
  minutesSpan,
  span,
  type Reader,
  benchMessages,
} from '@logged-thermal/wording'
import { clsx } from 'clsx'
import styles from './ladder.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchMessages)

const FULL_MS = 180_000

/**
 * Every row of the floor with what it still takes at the present temperature, second by second, if the pot stays there.
 * Rows are never mixed: each is met or it is not.
 */
export const HoldLadder = memo(function HoldLadder({
  floor,
  now,
  reader,
}: {
  floor: Finding
  now: number
  reader: Reader
}) {
  const { check, ladder, because } = floor
  const { rule } = check.limit
  if (floor.standing === 'proven') return null
  if (because.code === 'accrued') return <Accrued floor={floor} now={now} reader={reader} />
  if (rule.kind !== 'hold') return null
  const rows = rule.rows.map(({ seconds }, i) => {
    const rung = ladder[i]
    const level = rung?.row.celsius
    const left = rung ? stillNeeds(rung, now) : null
    return { level, seconds, left, readings: rung?.readings ?? readingsOf({ seconds }), held: rung?.since != null }
  })
  return (
    <section className={styles.ladder} aria-label={say('anyOneRowCloses')}>
      <h2 className="title">
        {say('anyOneRow')} <small>{check.limit.source.section}</small>
      </h2>
      <ol>
        {[...rows].reverse().map(({ level, seconds, left, readings, held }, i) => (
          <li key={i} className={clsx(held && styles.held)}>
            <strong>{level === undefined ? '–' : limitDegreesOf(level, reader)}</strong>
            <span className={styles.bar} aria-hidden="true">
              <i style={{ width: `${Math.max(3, (100 * (held ? (left ?? 0) : seconds * 1000)) / FULL_MS)}%` }} />
            </span>
            <span>
              {said(seconds, left)}
              <small>{readings === 1 ? say('n1Reading') : say('readingsReadings', { readings })}</small>
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
})

function Accrued({ floor, now, reader }: { floor: Finding; now: number; reader: Reader }) {
  const { because, check } = floor
  if (because.code !== 'accrued') return null
  const { minutes, target, moreMs, celsius, at } = because
  const left = moreMs === null ? null : Math.max(0, moreMs - Math.max(0, now - at))
  return (
    <section className={styles.ladder} aria-label={say('equivalentMinutes')}>
      <h2 className="title">
        {say('spanSpan2', { span: minutesSpan(minutes.least, reader), span2: minutesSpan(target, reader) })}{' '}
        <small>{check.limit.source.section}</small>
      </h2>
      <span className={clsx(styles.bar, styles.wide)} aria-hidden="true">
        <i style={{ width: `${Math.min(100, (100 * minutes.least) / target)}%` }} />
      </span>
      <p>
        {left === null
          ? say('earnsNothing', { degrees: degrees(celsius, reader) })
          : left > 0
            ? say('moreIfStaysThere', { degrees: degrees(celsius, reader), left: leftSpan(left, reader) })
            : say('readAgainProve', { degrees: degrees(celsius, reader) })}
      </p>
    </section>
  )
}

function said(seconds: number, left: number | null): string {
  if (left === null) return seconds === 0 ? say('atOnce') : span(seconds * 1000, spoken)
  return left > 0 ? say('moreLeft', { left: leftSpan(left, spoken) }) : say('readAgain')
}
