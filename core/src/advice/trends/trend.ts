import { MINUTE, type Instant } from '../../ground/instant'
import type { Standing } from '../../ledger/standing'
import type { Id } from '../../ledger/subject'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import { standAt } from '../../judgement/log/standsFrom'
import type { Pace } from '../../judgement/log/pace'
import type { Spare } from '../../judgement/log/spare'
import { alikeIn, type Alike } from './alike'
import { controlChart, type ControlChart } from './controlChart'
import { nearMissesOf, type NearMisses } from './nearMisses'
import { wilson } from './wilson'

/** What is looked at: what was to spare at the gate of a check, or how it was read while it cooled. */
export type TrendMeasure = { of: 'gate'; key: string } | { of: PaceMeasure }
/** How it was read: how soon after the heat, how long nobody did, and how late the latest came that was asked for. */
export const PACE_MEASURES = ['first reading', 'longest unread', 'latest answer'] as const
export type PaceMeasure = (typeof PACE_MEASURES)[number]

/** By what batches are put together. */
export const GROUPED_BY = ['method', 'vessel', 'unit', 'instrument', 'person'] as const
export type GroupedBy = (typeof GROUPED_BY)[number]

export type Settled = Exclude<Standing, 'open'>
export type Counts = Record<Settled, number>

/** A batch of a trend, with what it is measured by. */
export interface TrendPoint {
  id: Id
  code: string
  name: string
  method: Id
  vessel: string
  at: Instant
  /** Of the gate that is looked at; of the batch, where none is. */
  standing: Settled
  spare: Spare
  /** Its place on the chart; null: it has no one value, only what its readings allow. */
  drawn: number | null
}

/** How many of a group are proven, and the range that the share of these lies in with 95 % confidence. */
export interface Group extends Counts {
  key: string
  range: { low: number; high: number }
}

/** What became of the readings that the tablets asked for. */
export interface Answered {
  /** Taken within `IN_TIME`; later; and checks that are not proven because nobody took one. */
  inTime: number
  late: number
  unread: number
  /** How late half of them were at most, ms; null where none was asked for. */
  medianMs: number | null
}

/** A reading that comes so soon after it was asked for came in time, ms: hands are busy. House figure. */
export const IN_TIME = 5 * MINUTE

export interface Trend {
  counts: Counts
  answered: Answered
  near: NearMisses
  /** What can be looked at, the most frequent first, with the temperature of its gate where all have the same, °C. */
  measures: { measure: TrendMeasure; unit: Spare['unit']; batches: number; celsius: number | null }[]
  measure: TrendMeasure | null
  points: TrendPoint[]
  chart: ControlChart
  groups: Record<GroupedBy, Group[]>
  /** What coolings alike say of the next one. */
  alike: Alike[]
}

/** Points that a chart shows at most: the latest. */
const SHOWN = 120

/**
 * How batches went over a time, those that are settled by now: what they had to spare one after the other, and how many of
 * each kind are proven.
 * @param asked the measure to look at; another, where none of them has it; null: what most of them have
 */
export function trendOf(batches: readonly LoggedBatch[], asked: TrendMeasure | null, now: Instant): Trend {
  const settled = batches.flatMap((batch) => {
    const { standing, gates } = standAt(batch.stands, now)
    return standing === 'open' ? [] : [{ batch, standing, gates }]
  })
  const measures = measuresOf(settled)
  const known = measures.find(({ measure }) => asked !== null && sameMeasure(measure, asked)) ?? measures[0]
  const measure = known?.measure ?? null
  const points = settled
    .flatMap((one) => {
      const found = measure ? measured(one, measure) : null
      return found ? [pointOf(one, found)] : []
    })
    .sort((a, b) => a.at - b.at)
    .slice(-SHOWN)
  return {
    counts: countsOf(settled),
    answered: answeredOf(settled),
    near: nearMissesOf(settled.filter(({ standing }) => standing === 'proven')),
    measures,
    measure,
    points,
    chart: controlChart(points.flatMap(({ drawn }) => (drawn === null ? [] : [drawn]))),
    groups: {
      method: groupsOf(settled, ({ method }) => [method]),
      vessel: groupsOf(settled, ({ vessel }) => [vessel]),
      unit: groupsOf(settled, ({ units }) => units),
      instrument: groupsOf(settled, ({ instruments }) => instruments),
      person: groupsOf(settled, ({ people }) => people),
    },
    alike: alikeIn(batches, now),
  }
}

/** Whether two measures are the same. */
export function sameMeasure(a: TrendMeasure, b: TrendMeasure): boolean {
  return a.of === b.of && (a.of !== 'gate' || b.of !== 'gate' || a.key === b.key)
}

interface SettledBatch {
  batch: LoggedBatch
  standing: Settled
  gates: LoggedBatch['stands'][number]['gates']
}

type Measured = Pick<TrendPoint, 'standing' | 'spare' | 'drawn'>

function pointOf({ batch }: SettledBatch, found: Measured): TrendPoint {
  const { id, code, name, method, vessel, startedAt } = batch
  return { id, code, name, method, vessel, at: startedAt, ...found }
}

function measured({ batch: { pace }, standing, gates }: SettledBatch, measure: TrendMeasure): Measured | null {
  if (measure.of === 'gate') {
    const gate = gates.find(({ key }) => key === measure.key)
    // Running on, it has nothing to spare yet; a batch that stands badly may be settled before its last gate.
    if (!gate?.spare || gate.standing === 'open') return null
    const { least, most } = gate.spare
    // Proven as at least so much, missed as at most so much: against the batch both ways.
    const drawn = gate.standing === 'proven' ? least : gate.standing === 'missed' ? most : null
    return { standing: gate.standing, spare: gate.spare, drawn }
  }
  const ms = paceMs(pace, measure.of)
  if (ms === null) return null
  const minutes = ms / MINUTE
  return { standing, spare: { unit: 'min', least: minutes, most: minutes }, drawn: minutes }
}

function paceMs({ firstMs, longestMs, answers }: Pace, of: PaceMeasure): number | null {
  switch (of) {
    case 'first reading':
      return firstMs
    case 'longest unread':
      return longestMs
    case 'latest answer':
      return answers.length === 0 ? null : Math.max(...answers)
  }
}

function answeredOf(settled: readonly SettledBatch[]): Answered {
  const answers = settled.flatMap(({ batch }) => batch.pace.answers).sort((a, b) => a - b)
  const inTime = answers.filter((ms) => ms <= IN_TIME).length
  const unread = settled.flatMap(({ gates }) => gates.filter((gate) => gate.unread)).length
  return { inTime, late: answers.length - inTime, unread, medianMs: answers[answers.length >> 1] ?? null }
}

function measuresOf(settled: readonly SettledBatch[]): Trend['measures'] {
  const keys = [...new Set(settled.flatMap(({ gates }) => gates.flatMap(({ key, spare }) => (spare ? [key] : []))))]
  const all: TrendMeasure[] = [
    ...keys.map((key) => ({ of: 'gate' as const, key })),
    ...PACE_MEASURES.map((of) => ({ of })),
  ]
  return all
    .flatMap((measure) => {
      const own = settled.flatMap((one) => measured(one, measure) ?? [])
      if (own.length === 0) return []
      const { of } = measure
      const degrees = settled.flatMap(({ gates }) =>
        gates.flatMap(({ key, celsius }) => (of === 'gate' && key === measure.key ? [celsius] : [])),
      )
      const celsius = new Set(degrees).size === 1 ? degrees[0]! : null
      return [{ measure, unit: own[0]!.spare.unit, batches: own.length, celsius }]
    })
    .sort((a, b) => Number(b.measure.of === 'gate') - Number(a.measure.of === 'gate') || b.batches - a.batches)
}

function countsOf(settled: readonly { standing: Settled }[]): Counts {
  const count = (standing: Settled) => settled.filter((one) => one.standing === standing).length
  return { proven: count('proven'), unproven: count('unproven'), missed: count('missed') }
}

function groupsOf(settled: readonly SettledBatch[], keysOf: (batch: LoggedBatch) => readonly string[]): Group[] {
  const keys = [...new Set(settled.flatMap(({ batch }) => keysOf(batch)))]
  return keys
    .map((key) => {
      const own = settled.filter(({ batch }) => keysOf(batch).includes(key))
      const counts = countsOf(own)
      return { key, ...counts, range: wilson(counts.proven, own.length) }
    })
    .sort((a, b) => b.proven + b.unproven + b.missed - (a.proven + a.unproven + a.missed))
}
