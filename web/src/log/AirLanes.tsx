import { Link } from 'react-router'
import { dayOf, isOutside, levelOf, limitsAt, type Level, type UnitState } from '@logged-thermal/core'
import { degrees, logMessages, timeOfDay, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'
import type { Lens } from '../parts/lens'
import { ColdRibbon } from '../store/ColdRibbon'
import styles from './log.module.css'

const say = speaks(logMessages)
const HEIGHT = 42

interface Props {
  units: readonly UnitState[]
  line: LineData
  from: number
  to: number
  lens: Lens
  now: number
  reader: Reader
}

/** The air of the units under the batches, on the same clock, between the rails of what each has to keep. */
export function AirLanes({ units, line, from, to, lens, now, reader }: Props) {
  const limits = limitsAt(line.limits?.versions ?? [], Math.min(to, now))
  if (!limits) return null
  return units.map((unit) => {
    const level = levelOf(unit.kind, limits, dayOf(from, reader.zone))
    const looks = unit.airs.filter(({ at }) => at >= from && at <= to)
    const last = looks.at(-1)
    const until = Math.min(to, now)
    const worst = level
      ? looks
          .filter(({ celsius }) => isOutside(celsius, level))
          .reduce<(typeof looks)[number] | null>(
            (a, b) => (a && Math.abs(a.celsius - level.celsius) >= Math.abs(b.celsius - level.celsius) ? a : b),
            null,
          )
      : null
    const told = worst ?? last
    return (
      <section key={unit.id} className={styles.air} aria-label={unit.name}>
        <div className={styles.name}>
          <Link to={`/store/unit/${unit.id}`} className={styles.dish}>
            {unit.name}
          </Link>
          <small>
            {told
              ? say('airNow', { degrees: degrees(told.celsius, reader, 'under'), time: timeOfDay(told.at, reader) })
              : say('notReadThen')}
          </small>
        </div>
        <div className={styles.lane}>
          <AirRibbon looks={looks} level={level} until={until} lens={lens} />
        </div>
        <span />
      </section>
    )
  })
}

interface Ribbon {
  /** Oldest first. */
  looks: readonly { at: number; celsius: number }[]
  level: Level | null
  /** Unseen from the last look to then. */
  until: number
  lens: Lens
}

/** The air of one unit as it was read, warm in white, between the rails of what it has to keep. */
export function AirRibbon({ looks, level, until, lens }: Ribbon) {
  const last = looks.at(-1)
  return (
    <svg width={lens.width} height={HEIGHT} aria-hidden="true" style={{ display: 'block' }}>
      <ColdRibbon
        trace={{
          read: looks.length ? [looks.map(({ at, celsius }) => ({ at, celsius }))] : [],
          unseen: last && last.at < until ? [{ from: last.at, to: until, celsius: last.celsius }] : [],
          out: [],
          warm: [],
        }}
        level={level?.side === 'under' ? level.celsius : null}
        lens={lens}
        now={until}
        middle={HEIGHT / 2}
        rail={13}
        ahead={null}
      />
    </svg>
  )
}
