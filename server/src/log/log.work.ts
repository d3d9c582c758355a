import { stringify } from 'csv-stringify/sync'
import {
  changesIn,
  loggedBatch,
  standAt,
  transcribedStanding,
  trendOf,
  weekReview,
  wordsIn,
  type BatchState,
  type Claim,
  type Id,
  type Instant,
  type LimitSet,
  type LoggedBatch,
  type MethodReview,
  type Trend,
  type TrendMeasure,
} from '@logged-thermal/core'
import { clock, findingInShort, standingWord, type Reader } from '@logged-thermal/wording'
import type { Answers, Changed, TranscribedRow } from '../http/answers'
import { plainCells } from '../store/plainCells'

/** A row of the Log as it is kept. */
export interface LogRow {
  logged: LoggedBatch
  words: string
}

/** @param batches each a BatchState as JSON: the thread that serves need not read it */
export function rowsOf({ batches, zone }: { batches: readonly string[]; zone: string }): LogRow[] {
  return batches.map((json) => {
    const batch = JSON.parse(json) as BatchState
    return { logged: loggedBatch(batch, { zone }), words: wordsIn(batch) }
  })
}

/**
 * What of these batches was made in a period otherwise than at once and for good, or decided in it; what waits, always.
 * @param batches each a BatchState as JSON
 */
export function changesOf({
  batches,
  from,
  to,
}: {
  batches: readonly string[]
  from: Instant
  to: Instant
}): Changed[] {
  const within = (at: Instant | undefined) => at !== undefined && at >= from && at <= to
  return batches.flatMap((json) => {
    const batch = JSON.parse(json) as BatchState
    const { id, code, method } = batch
    return changesIn(batch)
      .filter(({ madeAt, decided, stands }) => stands === 'waits' || within(madeAt) || within(decided?.at))
      .map((change) => ({ ...change, batch: { id, code, name: method.name, steps: method.steps } }))
  })
}

/** @param batches each a LoggedBatch as JSON, without what is only drawn */
export function trendIn({ batches, measure, now }: TrendAsked): Trend {
  return trendOf(
    batches.map((json) => JSON.parse(json) as LoggedBatch),
    measure,
    now,
  )
}

/** @param batches each a LoggedBatch as JSON, without what is only drawn */
export function weekIn({ batches, now }: { batches: readonly string[]; now: Instant }): MethodReview[] {
  return weekReview(
    batches.map((json) => JSON.parse(json) as LoggedBatch),
    now,
  )
}

interface Transcribed {
  /** Each the text of an entry. */
  entries: readonly string[]
  versions: readonly LimitSet[]
  zone: string
  from: Instant
  to: Instant
  most: number
}

/** The coolings of old logs that began in a period, the latest first, as they stand under the limits of their day. */
export function transcribedIn({ entries, versions, zone, from, to, most }: Transcribed): Answers['Transcribed'] {
  const counts = { missed: 0, unproven: 0 }
  const rows = entries.flatMap((canon): TranscribedRow[] => {
    const { claim } = JSON.parse(canon) as { claim: Claim<'log-transcribed'> }
    return claim.body.rows.flatMap((row) => {
      const { at } = row.readings[0]!
      if (at < from || at > to) return []
      const standing = transcribedStanding(row, versions, zone)
      counts[standing]++
      return [{ ...row, standing, entry: claim.id, source: claim.body.source }]
    })
  })
  rows.sort((a, b) => b.readings[0]!.at - a.readings[0]!.at || a.line - b.line)
  return { rows: rows.slice(0, most), counts, more: rows.length > most }
}

interface TrendAsked {
  batches: readonly string[]
  measure: TrendMeasure | null
  now: Instant
}

interface Listed {
  reader: Reader
  now: Instant
  people: Record<Id, string>
  /** Each a LoggedBatch as JSON. */
  batches: readonly string[]
}

/** The same as lines of a spreadsheet. */
export function csvOf({ reader, now, people, batches }: Listed): string {
  const lines = batches.map((json) => {
    const batch = JSON.parse(json) as LoggedBatch
    const { standing, says } = standAt(batch.stands, now)
    return {
      code: batch.code,
      name: batch.name,
      begun: clock(batch.startedAt, reader),
      'last entry': clock(batch.until, reader),
      vessel: batch.vessel,
      'logged by': batch.people.map((id) => people[id] ?? '').join('; '),
      standing: standingWord(standing, reader),
      because: says ? findingInShort(says, reader) : '',
      decision: batch.decision ?? '',
      held: batch.held ? 'yes' : '',
      waiting: String(batch.waiting),
      corrected: String(batch.corrected),
    }
  })
  return stringify(lines.map(plainCells), { header: true, bom: true })
}
