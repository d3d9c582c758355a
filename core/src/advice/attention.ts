import { HOUR, MINUTE, type Instant } from '../ground/instant'
import { dayOf } from '../ground/zone'
import type { Action } from './cooling/action'
import {
  forecastOf,
  rescuesFor,
  type Forecast,
  type ForecastWorld,
  type GateForecast,
  type Rescue,
} from './cooling/forecast'
import { isClosed, isHeld, isPutAway, unanswered, wentOut, type BatchState } from '../state/batch'
import { mixtureTrace } from '../judgement/evidence/evidence'
import type { Finding } from '../judgement/finding'
import { batchStanding, isBinding, isGate, rulingDate } from '../judgement/batch/judgeBatch'
import { isReleased } from '../judgement/batch/disposition'
import { READ_AGAIN } from '../judgement/doubt'
import type { StepKind } from '../recipe/method/method'
import { coolingTo, type CoolTarget } from '../judgement/timeline/coolEnds'
import { timelineOf } from '../judgement/timeline/timeline'
import { stepLeft } from '../judgement/timeline/stepLeft'
import { READ_AGAIN_AFTER } from '../judgement/evidence/plausible'
import { valid } from '../state/fact'

/** What a batch asks of somebody, the most urgent kind first. */
export type Attention =
  /** Left as it is, it will likely miss a gate that is still open; `first` saves it if it is done by `by`. */
  | { kind: 'rescue'; finding: Finding; by: Instant; gate: GateForecast; first: Action; all: Rescue[] }
  /** It will likely miss, and nothing saves it any more: the lead decides, before the deadline or after. */
  | { kind: 'lost'; finding: Finding; by: Instant; gate: GateForecast; all: Rescue[] }
  /** Past its last day. */
  | { kind: 'discard'; finding: Finding }
  /** A reading is due; `at` may lie in the past or ahead. `target`: it ends a cooling that the method goes on from. */
  | { kind: 'read'; finding: Finding; at: Instant; target?: CoolTarget }
  /** Everything is to be combined, it goes into the oven, or it is to come off the heat: `step` has to be marked. */
  | { kind: 'mark'; step: string; edge: 'started' | 'combined' | 'done' }
  /** Every gate is settled, and the method goes on: hands do a step, or it waits until `at`. */
  | { kind: 'step'; step: string; of: StepKind; at: Instant | null }
  /** Missed or not proven: the lead decides. */
  | { kind: 'decide'; finding: Finding }
  /** Last day today. */
  | { kind: 'use today'; finding: Finding }
  /** Hot, and to be served by then; what is left goes to discard. */
  | { kind: 'serve'; finding: Finding; by: Instant }
  | { kind: 'keep'; finding: Finding | null }
  | { kind: 'held' }
  | { kind: 'closed' }

/** After the clock has started, the second look: from two readings on there is a forecast, ms. */
const SECOND_LOOK = 30 * MINUTE
/** A likely miss is said; a possible one only where the last moment is near. */
const POSSIBLE_MISS = 0.2
const NEAR = 15 * MINUTE
/** Above this chance of a miss it is looked at more often. */
const WATCHED_MISS = 0.1
/** Looks that add something are at least so far apart, ms. */
const LOOKS_APART = 10 * MINUTE
/** While the start of the clock is not read yet, the next look is soon: a sharp start proves the most. */
const SHARP_START = 5 * MINUTE
const ON_THE_HEAT = MINUTE
/** A reading that is overdue is asked for so long; then it is for the lead, ms. */
const ASKED_FOR = 30 * MINUTE
/** A last look this long before a gate leaves time to act. */
const BEFORE_GATE = 10 * MINUTE

/** What asks for no hands at any time: on hold, it waits for the lead instead. */
const CALM: readonly Attention['kind'][] = ['step', 'keep', 'use today', 'decide']

/** A rescue is pressing when its last moment is this near, ms; so is a reading when its gate is. */
const PRESSING_RESCUE = 30 * MINUTE
const PRESSING_READING = 15 * MINUTE

/** The one thing this batch asks for now. A hold is a flag beside it (`isHeld`): what has a time is asked for as before. */
export function attention(
  batch: BatchState,
  findings: readonly Finding[],
  world: ForecastWorld,
  now: Instant,
): Attention {
  if (isClosed(batch) || isPutAway(batch)) return { kind: 'closed' }
  const date = rulingDate(findings)
  if (date?.standing === 'missed') return { kind: 'discard', finding: date }
  // Before a plate that went out, all else waits; what went in against what stood asks beside what hands must do.
  const answer = unanswered(batch).length > 0 ? toAnswerFor(findings) : null
  if (answer && wentOut(batch)) return { kind: 'decide', finding: answer }
  if (isReleased(batch, findings)) return goingOn(batch) ?? dated(date, world, now)
  const asks = asked(batch, findings, date, world, now)
  if (!isHeld(batch)) {
    const calm = ['step', 'keep', 'use today'].includes(asks.kind)
    return answer && calm ? { kind: 'decide', finding: answer } : asks
  }
  return CALM.includes(asks.kind) ? { kind: 'held' } : asks
}

/** Whether acting within the next minutes changes the outcome: a rescue, a reading before its gate, a pot on the heat. */
export function isPressing(asks: Attention, now: Instant): boolean {
  switch (asks.kind) {
    case 'rescue':
      return asks.by - now <= PRESSING_RESCUE
    case 'read': {
      const { deadline } = asks.finding
      return asks.at + MINUTE <= now && (deadline === null || (deadline > now && deadline - now <= PRESSING_READING))
    }
    default:
      return false
  }
}

/** Since when a reading was asked for that is taken at an instant; null: nobody had asked for it by then. */
export function askedSince(asks: Attention, at: Instant): Instant | null {
  return asks.kind === 'read' && asks.at <= at ? asks.at : null
}

/** What the lead answers for: a gate that is not proven, else whatever binds. */
function toAnswerFor(findings: readonly Finding[]): Finding | null {
  const binding = findings.filter(isBinding)
  return binding.find((finding) => isGate(finding) && finding.standing !== 'proven') ?? binding[0] ?? null
}

function asked(
  batch: BatchState,
  findings: readonly Finding[],
  date: Finding | null,
  world: ForecastWorld,
  now: Instant,
): Attention {
  const standing = batchStanding(findings)
  const worst = findings.find((finding) => finding.standing === standing && isBinding(finding))
  if (worst && standing === 'missed') return { kind: 'decide', finding: worst }
  const again = readAgain(batch, findings)
  if (again) return again
  const open = findings.filter((finding) => finding.standing === 'open' && finding.check.limit.rule.kind === 'reach')
  // Sent back on the heat it does not cool: its row is read first.
  const reworks = findings.some(({ check, standing: of }) => check.limit.key === 'rework' && of === 'open')
  const forecast = reworks ? null : forecastOf(batch, findings, world.means)
  const rescue = forecast && toRescue(batch, forecast, world, now)
  if (rescue) return rescue
  const overdue = findings.find(
    ({ overdue: late, deadline, because }) =>
      late && because.code !== 'never read' && now <= (deadline ?? now) + ASKED_FOR,
  )
  if (overdue) return { kind: 'read', finding: overdue, at: overdue.deadline ?? now }

  const waits = worst && standing === 'unproven' && isSilent(findings) ? null : beforeCooling(batch, findings, now)
  if (waits) return waits
  if (date && batch.method.cooling === 'none') {
    if (worst && standing === 'unproven') return { kind: 'decide', finding: worst }
    return { kind: 'serve', finding: date, by: date.deadline ?? now }
  }
  const due = open[0] && nextLook(batch, open, forecast, world, now)
  if (due) return due
  if (worst && standing === 'unproven') return { kind: 'decide', finding: worst }
  return goingOn(batch) ?? dated(date, world, now)
}

/** The step that the method goes on with, once nothing is left to prove; null where it only has to be kept. */
function goingOn(batch: BatchState): Attention | null {
  const left = stepLeft(batch)
  return left && { kind: 'step', step: left.step, of: left.kind, at: left.wait?.ready ?? null }
}

/** Nobody reads it any more: it is the lead's. */
function isSilent(findings: readonly Finding[]): boolean {
  return findings.some(({ because }) => because.code === 'never read')
}

/** The last reading was one that no pan makes, or a hot spot: it is read again, stirred, with the probe placed anew. */
function readAgain(batch: BatchState, findings: readonly Finding[]): Attention | null {
  const last = mixtureTrace(batch).at(-1)
  const finding = findings.find((each) => each.standing === 'open' && isGate(each))
  if (!last || !finding || !last.doubts.some((doubt) => READ_AGAIN.includes(doubt))) return null
  return { kind: 'read', finding, at: last.at + READ_AGAIN_AFTER }
}

function dated(date: Finding | null, world: ForecastWorld, now: Instant): Attention {
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

/**
 * The order of the Line: what needs hands first. Lower is more urgent; within a rank, the gate that a hand can still change
 * and that is nearest, however late its reading is.
 */
export function urgency(asks: Attention, now: Instant): number {
  const within = (rank: number, at: Instant) => rank + 0.5 + Math.atan((at - now) / HOUR) / Math.PI
  switch (asks.kind) {
    case 'rescue':
      return within(isPressing(asks, now) ? 0 : 1, asks.by)
    case 'mark':
      return within(1, now)
    case 'serve':
      return within(1, asks.by)
    case 'read': {
      const { deadline } = asks.finding
      // What is to go on warm has a window of minutes.
      if (asks.target) return within(1, asks.at)
      // A gate that has passed unread is not changed any more by reading it: it stands with what is due later.
      const passed = deadline !== null && deadline <= now
      return within(asks.at <= now && !passed ? 1 : 2, deadline === null || passed ? Math.max(asks.at, now) : deadline)
    }
    case 'discard':
      return within(3, asks.finding.deadline ?? now)
    case 'lost':
      return within(4, asks.by)
    case 'decide':
      return within(4, asks.finding.deadline ?? now)
    case 'step':
      return asks.at !== null && asks.at > now ? within(5, asks.at) : within(2, asks.at ?? now)
    case 'use today':
      return within(5, asks.finding.deadline ?? now)
    case 'held':
      return 6
    case 'keep':
      return within(7, asks.finding?.deadline ?? now)
    case 'closed':
      return 8
  }
}

/** Said from the second reading on, and only where a miss is likely or the last moment is near. */
function toRescue(batch: BatchState, forecast: Forecast, { means }: ForecastWorld, now: Instant): Attention | null {
  if (!forecast.told) return null
  for (const gate of forecast.gates) {
    if (gate.deadline <= now || gate.miss < POSSIBLE_MISS) continue
    const all = rescuesFor(batch, forecast, gate, means)
    const [first] = all
    const { finding } = gate
    const left = first !== undefined && first.by > now
    if (left && (gate.misses || first.by - now < NEAR))
      return { kind: 'rescue', finding, by: first.by, gate, first: first.action, all }
    if (!left && gate.misses) return { kind: 'lost', finding, by: gate.deadline, gate, all }
  }
  return null
}

/** Until the heat has ended, or what is made cold is together: the mark that is due, or a reading on the way to it. */
function beforeCooling(batch: BatchState, findings: readonly Finding[], now: Instant): Attention | null {
  const { next } = timelineOf(batch).phase
  if (!next) return null
  const { step } = next
  if (next.edge === 'combined') return { kind: 'mark', step, edge: 'combined' }
  const floor = floorOf(findings)
  if (!floor) return { kind: 'mark', step, edge: 'done' }
  const baking = floor.standing === 'open' && inTheOven(batch, step, floor, now)
  if (baking) return baking
  if (floor.standing === 'proven') {
    const cooled = readAgainSince(batch)
    return cooled === null ? { kind: 'mark', step, edge: 'done' } : { kind: 'read', finding: floor, at: cooled }
  }
  const last = mixtureTrace(batch)
    .filter(({ at }) => at >= timelineOf(batch).heatSince)
    .at(-1)
  if (!last) return { kind: 'read', finding: floor, at: now }
  return { kind: 'read', finding: floor, at: Math.min(floor.readBy ?? Infinity, last.at + ON_THE_HEAT) }
}

/** Before it is in the oven nothing is read; a validated bake goes by the clock from then on. null: it is read. */
function inTheOven(batch: BatchState, step: string, floor: Finding, now: Instant): Attention | null {
  const isBake = batch.method.steps.some(({ key, kind }) => key === step && kind === 'bake')
  if (!isBake) return null
  const began = timelineOf(batch).marks.first({ step, edge: 'started' })
  if (began === null && mixtureTrace(batch).length === 0) return { kind: 'mark', step, edge: 'started' }
  const { bake } = floor.check
  if (!bake || began === null) return null
  const ready = began + bake.minutes * MINUTE
  return ready > now ? { kind: 'read', finding: floor, at: ready } : { kind: 'mark', step, edge: 'done' }
}

/** Something cold went in on the heat after the last reading: one more is asked for, and the earlier proof stands. */
function readAgainSince(batch: BatchState): Instant | null {
  const last = mixtureTrace(batch).at(-1)
  const added = valid(batch.facts.added).at(-1)
  return last && added && added.at > last.at ? added.at : null
}

/** When the next reading of a cooling adds something: a sharp start, a second one, the gates; oftener where it may miss. */
function nextLook(
  batch: BatchState,
  open: readonly Finding[],
  forecast: Forecast | null,
  { means }: ForecastWorld,
  now: Instant,
): Attention | null {
  const trace = mixtureTrace(batch)
  const last = trace.at(-1)
  const finding = open[0]
  if (!finding) return null
  const target = coolingTo(batch, timelineOf(batch))
  if (!last || finding.start === null) return { kind: 'read', finding, at: (last?.at ?? batch.startedAt) + SHARP_START }
  const started = finding.start.latest
  if (started === null) return { kind: 'read', finding, at: finding.start.earliest! + SHARP_START }
  const second = trace.some(({ at }) => at > started) ? Infinity : started + SECOND_LOOK
  const looks = [...(forecast?.gates ?? []).flatMap((gate) => [...gateLooks(gate), watched(gate)]), targetLook(last.at)]
  const deadlines = open.flatMap(({ deadline }) => (deadline === null ? [] : [deadline - BEFORE_GATE, deadline]))
  const next = Math.min(...[second, ...looks, ...deadlines].filter((at) => at > last.at + MINUTE))
  const at = Number.isFinite(next) ? next : last.at + SECOND_LOOK
  return { kind: 'read', finding, at, ...(target ? { target } : {}) }

  /** As it is most likely where the method goes on from; until that can be foretold, soon. */
  function targetLook(read: Instant): Instant {
    if (!forecast?.target) return Infinity
    const at = forecast.told ? forecast.target.passing.median : read + SHARP_START
    return at === null ? Infinity : Math.max(at, read + 2 * MINUTE)
  }

  /** Once it has most likely passed: one reading proves it. */
  function gateLooks({ passing: { high }, deadline }: GateForecast): Instant[] {
    return high !== null && high < deadline - BEFORE_GATE ? [Math.max(high, last!.at + LOOKS_APART)] : []
  }

  /** Where it may miss: half way to the last moment of what would still save it. */
  function watched(gate: GateForecast): Instant {
    if (!forecast || gate.miss < WATCHED_MISS) return Infinity
    const by = rescuesFor(batch, forecast, gate, means).find((rescue) => rescue.by > now)?.by ?? gate.deadline
    return Math.max(last!.at + LOOKS_APART, Math.min(last!.at + SECOND_LOOK, (last!.at + by) / 2))
  }
}
