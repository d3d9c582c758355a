import { useMemo } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import {
  dayOf,
  excursionsOf,
  levelOf,
  limitsAt,
  placeOf,
  type Excursion,
  type Level,
  type UnitState,
} from '@logged-thermal/core'
import { clock, degrees, levelDegrees, span, unitPageMessages, type Reader } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useAsOf, useNow } from '../app/now'
import { inLog } from '../app/searching'
import { View } from '../app/View'
import { Halves } from '../kit/Halves'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { clockLens } from '../parts/lens'
import { useWidth } from '../parts/useWidth'
import { Inside } from '../store/Inside'
import { limitsOfLine, useStored } from '../store/useStore'
import { AirRibbon } from './AirLanes'
import { periodOf, useAsked, type Asked } from './asked'
import { Axis } from './Axis'
import { DayStep, HowLong } from './Period'
import styles from './onePage.module.css'

const say = speaks(unitPageMessages)
const MINUTE = 60_000

/** One cold unit, for ever: its air over a time, when it was too warm, when nobody looked, and what stands in it. */
export function UnitPage() {
  const line = useLine()
  const { id } = useParams()
  const unit = line?.units.find((each) => each.id === id)
  if (!line) return null
  if (!unit) return <View place="unit" sentence={say('noSuch')} />
  return <PageOf unit={unit} line={line} />
}

function PageOf({ unit, line }: { unit: UnitState; line: LineData }) {
  const now = useNow(MINUTE)
  const navigate = useNavigate()
  const { reader } = useHand(line)
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [known, ask] = useAsked(today)
  const asked: Asked = known.days === '1' ? { ...known, days: '7' } : known
  const { from, to } = periodOf(asked, reader.zone)
  const [lane, width] = useWidth<HTMLDivElement>(620)
  const lens = useMemo(() => clockLens(width, from, to, now), [width, from, to, now])
  const stored = useStored(line).filter(({ item }) => placeOf(item)?.value.unit === unit.id)
  const limits = limitsOfLine(line, now)
  const inForce = limitsAt(line.limits?.versions ?? [], Math.min(to, now))
  const level = inForce && levelOf(unit.kind, inForce, dayOf(Math.min(to, now), reader.zone))
  const looks = unit.airs.filter(({ at }) => at >= from && at <= to)
  const words = looks.filter(({ late, doubt }) => late || doubt)
  const counted = looks.filter((look) => !words.includes(look))
  const warm = (level ? excursionsOf(unit, level, now) : []).filter(
    ({ since, until }) => since.latest <= to && (until ?? now) >= from,
  )
  const skipped = unit.skips.filter(({ at }) => at >= from && at <= to)
  const last = unit.airs.at(-1)
  return (
    <View
      place="unit"
      sentence={
        <>
          <strong>
            {unit.name}
            {last ? `, ${degrees(last.celsius, reader, 'under')}.` : '.'}
          </strong>{' '}
          {last ? say('readAt', { time: clock(last.at, reader) }) : say('neverRead')}
        </>
      }
    >
      <Halves className={styles.page}>
        <div className={styles.past}>
          <div className={styles.asked}>
            <DayStep asked={asked} ask={ask} today={today} reader={reader} />
            <HowLong asked={asked} ask={ask} />
            <Key look="outlined" onClick={() => void navigate(inLog('unit', unit.id))}>
              {say('batchesIn')}
            </Key>
          </div>
          <section aria-label={say('air')} className={styles.air}>
            <div ref={lane} className={styles.axis} aria-hidden="true">
              <Axis lens={lens} clock={{ from, to }} now={now} reader={reader} />
            </div>
            <div className={styles.glass}>
              <AirRibbon looks={looks} level={level ?? null} until={Math.min(to, now)} lens={lens} />
            </div>
            <p>
              {say('looks', { count: looks.length, longest: longestUnread(counted, from, Math.min(to, now), reader) })}{' '}
              {words.length > 0 && say('wordsOnly', { count: words.length })}
            </p>
          </section>
          <Warm warm={warm} level={level} now={now} reader={reader} />
          {skipped.length > 0 && (
            <section aria-label={say('skipped')}>
              <h2 className="title">{say('skipped')}</h2>
              <ul>
                {skipped.map(({ at, by, reason }) => (
                  <li key={at}>
                    {clock(at, reader)}, {line.people.find((person) => person.id === by)?.name}: {reason}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        {limits && <Inside unit={unit} stored={stored} limits={limits} now={now} reader={reader} />}
      </Halves>
    </View>
  )
}

interface WarmProps {
  warm: readonly Excursion[]
  level: Level | null
  now: number
  reader: Reader
}

/** Each time it was outside of what it has to keep: how long at most, and how far. */
function Warm({ warm, level, now, reader }: WarmProps) {
  if (!level) return null
  return (
    <section aria-label={say('outside')}>
      <h2 className="title">{say('outside')}</h2>
      {warm.length === 0 && <p>{say('neverOutside', { level: levelDegrees(level, reader), side: level.side })}</p>}
      <ul>
        {warm.map(({ since, until, worst, open, noted }) => (
          <li key={since.latest}>
            <strong>
              {say('outsideFor', {
                from: clock(since.latest, reader),
                long: span((until ?? now) - since.earliest, reader),
                goesOn: until === null,
              })}
            </strong>{' '}
            {say('worst', { degrees: degrees(worst.celsius, reader, 'under') })}{' '}
            {noted ? say('noted', { noted }) : open ? <Link to="/log/review">{say('isMatter')}</Link> : say('aMoment')}
          </li>
        ))}
      </ul>
    </section>
  )
}

function longestUnread(looks: readonly { at: number }[], from: number, to: number, reader: Reader): string {
  const ends = [from, ...looks.map(({ at }) => at), to]
  const gaps = ends.slice(1).map((at, i) => at - ends[i]!)
  return span(Math.max(0, ...gaps), reader)
}
