import { useMemo, useState } from 'react'
import { dayOf, HOUR, standAt, type LoggedBatch } from '@logged-thermal/core'
import { countWord, logMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useLogQuery } from '../app/api'
import type { LogAnswer } from '../app/logAnswers'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf, useNow } from '../app/now'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { clockLens } from '../parts/lens'
import { useWidth } from '../parts/useWidth'
import { AirLanes } from './AirLanes'
import { isFiltered, periodOf, queryOf, SHOWN, useAsked } from './asked'
import { Axis } from './Axis'
import { Between } from './Between'
import { Filters } from './Filters'
import { LogNav } from './LogNav'
import { LogRow } from './LogRow'
import styles from './log.module.css'

const say = speaks(logMessages)
const HALF_MINUTE = 30_000

/** A time as the kitchen lived it: its batches on one clock, what happened between, the air of the units. */
export function LogView() {
  const now = useNow(HALF_MINUTE)
  const line = useLine()
  const { reader } = useHand(line)
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [asked, ask] = useAsked(today)
  const { from, to } = periodOf(asked, reader.zone)
  const seq = line?.seq ?? 0
  const question = queryOf(asked, reader.zone)
  // Asked for something else, it begins with the first again.
  const [{ of, most }, setMost] = useState<{ of: string; most: number }>({ of: question, most: SHOWN.first })
  const shown = of === question ? most : SHOWN.first
  const query = queryOf(asked, reader.zone, true, shown)
  const { data, error } = useLogQuery({ query, seq }, { skip: line === null })
  // A day keeps its shape under a filter: what does not fit shrinks to a thread in its place.
  const shrinks = asked.days === '1' && isFiltered(asked)
  const { data: whole } = useLogQuery(
    { query: queryOf(asked, reader.zone, false), seq },
    { skip: line === null || !shrinks },
  )
  const fit = useMemo(() => new Set(data?.batches.map(({ id }) => id)), [data])
  const rows = useMemo(() => inOrder((shrinks ? whole : null)?.batches ?? data?.batches ?? []), [shrinks, whole, data])
  const [laneRef, width] = useWidth<HTMLDivElement>(830)
  const oneDay = asked.days === '1'
  const clock = useMemo(() => (oneDay ? dayClock(rows, from, to, now) : { from, to }), [oneDay, rows, from, to, now])
  const lens = useMemo(() => clockLens(width, clock.from, clock.to, now), [width, clock, now])
  // On its own day a time needs no name of the day.
  const dayReader = useMemo(
    (): Reader => (oneDay ? { ...reader, today: asked.day } : reader),
    [oneDay, reader, asked.day],
  )
  if (!line) return null
  return (
    <View
      place="log"
      busy={!data}
      sentence={
        data ? <LogSentence data={data} filtered={isFiltered(asked)} /> : error ? sentenceOf(error) : say('lookingUp')
      }
    >
      <div className={styles.log}>
        <LogNav />
        <Filters asked={asked} ask={ask} line={line} reader={reader} today={today} />
        <div className={styles.pane}>
          <div className={styles.axis} aria-hidden="true">
            <span />
            <div ref={laneRef}>
              <Axis lens={lens} clock={clock} now={now} reader={dayReader} />
            </div>
            <span>{say('leastToSpare')}</span>
          </div>
          {data?.more && (
            <Earlier
              shown={data.batches.length}
              all={Object.values(data.counts).reduce((a, b) => a + b)}
              onShow={() => setMost({ of: question, most: shown + SHOWN.first })}
            />
          )}
          {rows.map((batch) => (
            <LogRow
              key={batch.id}
              batch={batch}
              thread={shrinks && !fit.has(batch.id)}
              large={shrinks && fit.has(batch.id)}
              lens={lens}
              now={now}
              line={line}
              reader={dayReader}
            />
          ))}
          {data && rows.length === 0 && (
            <p className={styles.empty}>{say(isFiltered(asked) ? 'nothingFits' : 'nothingLogged')}</p>
          )}
          <Between from={from} to={to} seq={seq} lens={lens} line={line} reader={dayReader} />
          {oneDay && (
            <AirLanes units={line.units} line={line} from={from} to={to} lens={lens} now={now} reader={dayReader} />
          )}
        </div>
      </div>
    </View>
  )
}

/** Over the first of those shown: there are earlier ones. */
function Earlier({ shown, all, onShow }: { shown: number; all: number; onShow: () => void }) {
  return (
    <div className={styles.earlier}>
      <span>
        {say('latestOfAll', { shown, all })} {shown >= SHOWN.most && say('askForLess')}
      </span>
      {shown < SHOWN.most && (
        <Key look="outlined" onClick={onShow}>
          {say('showEarlier')}
        </Key>
      )}
    </div>
  )
}

/** How many stand how, the settled first. */
function LogSentence({ data: { counts }, filtered }: { data: LogAnswer; filtered: boolean }) {
  const { reader } = useHand(useLine())
  const settled = (['proven', 'missed', 'unproven'] as const)
    .filter((standing) => counts[standing] > 0)
    .map((standing) =>
      say(standing, { count: counts[standing], word: countWord(counts[standing], reader).toLowerCase() }),
    )
  const [first, ...others] = settled
  if (!first && counts.open === 0) return <strong>{say(filtered ? 'nothingFits' : 'nothingLogged')}</strong>
  return (
    <>
      {first && <strong>{[capital(first), ...others].join(', ')}.</strong>}{' '}
      {counts.open > 0 && capital(say('open', { count: counts.open, word: countWord(counts.open, reader) }))}
    </>
  )
}

function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`
}

/** As a day went: what began first stands on top. */
function inOrder(batches: readonly LoggedBatch[]): LoggedBatch[] {
  return [...batches].sort((a, b) => a.startedAt - b.startedAt)
}

/** From the hour before the first batch of a day to the hour after its last gate; the whole day where nothing was made. */
function dayClock(
  batches: readonly LoggedBatch[],
  from: number,
  to: number,
  now: number,
): { from: number; to: number } {
  if (batches.length === 0) return { from, to }
  const ends = batches.flatMap((batch) => [batch.until, ...standAt(batch.stands, now).gates.map(({ at }) => at)])
  // What was begun on another day does not make this one longer.
  const first = Math.min(
    now > to ? to : Math.max(now, from),
    ...batches.flatMap(({ startedAt }) => (startedAt >= from ? [startedAt] : [])),
  )
  const last = Math.max(...ends, now >= from && now <= to ? now : 0)
  return {
    from: Math.max(from, Math.floor(first / HOUR) * HOUR - HOUR / 2),
    to: Math.min(to, Math.ceil(last / HOUR) * HOUR + HOUR / 2),
  }
}
