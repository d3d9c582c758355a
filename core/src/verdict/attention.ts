import { HOUR, MINUTE, type Instant } from '../calendar/instant'
import { dayOf } from '../calendar/zone'
import { atPace, paceOf } from '../cooling/pace'
import { stageOf } from '../limits/compared'
import { isClosed, type BatchState } from '../state/batch'
import { mixtureTrace } from './evidence'
import type { Finding } from './finding'
import { batchStanding, isBinding, rulingDate } from './judgeBatch'
import type { World } from './judge'
import { instantOf, legStart } from './offHeat'
import { phaseOf } from './phase'

/** What a batch asks of somebody, the most urgent kind first. */
export type Attention =
  /** A gate is still open and even the present pace does not make it. `celsius`: what it would be at the gate, at best. */
  | { kind: 'rescue'; finding: Finding; by: Instant; celsius: number }
  /** Past its last day. */
  | { kind: 'discard'; finding: Finding }
  /** A reading is due; `at` may lie in the past or ahead. */
  | { kind: 'read'; finding: Finding; at: Instant }
  /** Everything is to be combined, or it is to come off the heat: `step` has to be marked. */
  | { kind: 'mark'; step: string; edge: 'combined' | 'done' }
  /** Missed or not proven: the lead decides. */
  | { kind: 'decide'; finding: Finding }
  /** Last day today. */
  | { kind: 'use today'; finding: Finding }
  /** Hot, and to be served by then; what is left goes to discard. */
  | { kind: 'serve'; finding: Finding; by: Instant }
  | { kind: 'keep'; finding: Finding | null }
  | { kind: 'held' }
  | { kind: 'closed' }

/** Longest that a cooling pot goes unread, ms. */
const COOLING_ROUND = 30 * MINUTE
/** While the start of the clock is not read yet, the next look is soon: a sharp start proves the most. */
const SHARP_START = 5 * MINUTE
const ON_THE_HEAT = MINUTE
/** A last look this long before a gate leaves time to act. */
const BEFORE_GATE = 10 * MINUTE

/** The one thing this batch asks for now. */
export function attention(batch: BatchState, findings: readonly Finding[], world: World, now: Instant): Attention {
  if (isClosed(batch)) return { kind: 'closed' }
  const date = rulingDate(findings)
  if (date?.standing === 'missed') return { kind: 'discard', finding: date }
  const decided = batch.disposition?.value.decision
  if (decided === 'hold') return { kind: 'held' }
  if (decided === 'release') return dated(date, world, now)

  const standing = batchStanding(findings)
  const worst = findings.find((finding) => finding.standing === standing && isBinding(finding))
  if (worst && standing === 'missed') return { kind: 'decide', finding: worst }
  const open = findings.filter((finding) => finding.standing === 'open' && finding.check.limit.rule.kind === 'reach')
  const rescue = toRescue(batch, open, now)
  if (rescue) return rescue
  const overdue = findings.find((finding) => finding.overdue)
  if (overdue) return { kind: 'read', finding: overdue, at: overdue.deadline ?? now }

  const waits = beforeCooling(batch, findings, now)
  if (waits) return waits
  if (date && batch.method.cooling === 'none') return { kind: 'serve', finding: date, by: date.deadline ?? now }
  const due = open[0] && nextLook(batch, open)
  if (due) return due
  if (worst && standing === 'unproven') return { kind: 'decide', finding: worst }
  return dated(date, world, now)
}

function dated(date: Finding | null, world: World, now: Instant): Attention {
  const today = date?.because.code === 'in date' && date.because.lastDay === dayOf(now, world.zone)
  return date && today ? { kind: 'use today', finding: date } : { kind: 'keep', finding: date }
}

/**
 * The floor to cook to: of those still open the one that asks most, so that a stricter house line is not lost behind
 * the printed one; once all are proven, the first.
 */
export function floorOf(findings: readonly Finding[]): Finding | null {
  const floors = findings.filter(
    ({ check }) =>
      ['hold', 'equivalent'].includes(check.limit.rule.kind) &&
      check.limit.force !== 'quality' &&
      check.evidence.to !== null,
  )
  return (
    floors.find(({ check }) => check.limit.key === 'rework') ??
    floors.findLast(({ standing }) => standing !== 'proven') ??
    floors[0] ??
    null
  )
}

/** The order of the Line: what needs hands first. Lower is more urgent; within a kind, the earlier instant. */
export function urgency(asks: Attention, now: Instant): number {
  const within = (rank: number, at: Instant) => rank + 0.5 + Math.atan((at - now) / HOUR) / Math.PI
  switch (asks.kind) {
    case 'rescue':
      return within(0, asks.by)
    case 'discard':
      return within(1, asks.finding.deadline ?? now)
    case 'mark':
      return within(2, now)
    case 'read':
      return within(2, asks.at)
    case 'serve':
      return within(2, asks.by)
    case 'decide':
      return within(3, asks.finding.deadline ?? now)
    case 'use today':
      return within(4, asks.finding.deadline ?? now)
    case 'held':
      return 5
    case 'keep':
      return within(6, asks.finding?.deadline ?? now)
    case 'closed':
      return 7
  }
}

function toRescue(batch: BatchState, open: readonly Finding[], now: Instant): Attention | null {
  const cooled = open[0] && instantOf(open[0].check.evidence.from, batch)
  if (cooled === null || cooled === undefined) return null
  const pace = paceOf(mixtureTrace(batch), cooled)
  if (!pace) return null
  for (const finding of open) {
    const { rule } = finding.check.limit
    const { deadline } = finding
    if (
      rule.kind !== 'reach' ||
      rule.direction !== 'falling' ||
      deadline === null ||
      deadline <= now ||
      finding.start?.latest == null
    )
      continue
    const celsius = atPace(pace, deadline)
    if (celsius > stageOf(finding.check.key, rule, finding.check).to)
      return { kind: 'rescue', finding, by: deadline, celsius }
  }
  return null
}

/** Until the heat has ended, or what is made cold is together: the mark that is due, or a reading on the way to it. */
function beforeCooling(batch: BatchState, findings: readonly Finding[], now: Instant): Attention | null {
  const { next } = phaseOf(batch)
  if (!next) return null
  const { step } = next
  if (next.edge === 'combined') return { kind: 'mark', step, edge: 'combined' }
  const floor = floorOf(findings)
  if (!floor) return { kind: 'mark', step, edge: 'done' }
  if (floor.standing === 'proven') {
    const cooled = readAgainSince(batch)
    return cooled === null ? { kind: 'mark', step, edge: 'done' } : { kind: 'read', finding: floor, at: cooled }
  }
  const last = mixtureTrace(batch)
    .filter(({ at }) => at >= legStart(batch))
    .at(-1)
  if (!last) return { kind: 'read', finding: floor, at: now }
  const wait = floor.because.code === 'holding' ? Math.min(floor.because.moreMs, ON_THE_HEAT) : ON_THE_HEAT
  return { kind: 'read', finding: floor, at: last.at + wait }
}

/** Something cold went in on the heat after the last reading: one more is asked for, and the earlier proof stands. */
function readAgainSince(batch: BatchState): Instant | null {
  const last = mixtureTrace(batch).at(-1)
  const added = batch.additions.filter(({ void: gone }) => !gone).at(-1)
  return last && added && added.at > last.at ? added.at : null
}

function nextLook(batch: BatchState, open: readonly Finding[]): Attention | null {
  const last = mixtureTrace(batch).at(-1)
  const finding = open[0]
  if (!finding) return null
  if (!last || finding.start === null) return { kind: 'read', finding, at: (last?.at ?? batch.startedAt) + SHARP_START }
  if (finding.start.latest === null) return { kind: 'read', finding, at: finding.start.earliest! + SHARP_START }
  const gates = open.flatMap(({ deadline }) => (deadline === null ? [] : [deadline - BEFORE_GATE, deadline]))
  const looks = [last.at + COOLING_ROUND, ...gates].filter((at) => at > last.at + MINUTE)
  return { kind: 'read', finding, at: Math.min(...looks) }
}
