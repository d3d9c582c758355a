import { heatPlan } from '../../recipe/method/heatPlan'
import type { StepKind } from '../../recipe/method/method'
import type { Instant } from '../../ground/instant'
import { SAME_DEGREE, type Degrees } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import type { Mark } from '../../rules/rule'
import type { CoreReading } from './core'

/** A cooling that the method goes on from while it is still warm: "to 25°, then fold". */
export interface CoolTarget {
  step: string
  /** What comes then; null where nothing does. */
  then: StepKind | null
  from: Degrees
  to: Degrees
}

/** What of a batch's timeline says how it cools. */
export interface CoolTimes {
  /** Since when its heat counts. */
  heatSince: Instant
  at(mark: Mark): Instant | null
  stepEnded(step: string): Instant | null
  /** What was read of its slowest pan. */
  coreOf(): readonly CoreReading[]
}

/** The cooling to a target that goes on now; null where none does, or before the heat ended. */
export function coolingTo(batch: BatchState, times: CoolTimes): CoolTarget | null {
  const step = batch.method.steps.find(
    ({ key }) => batch.terms.coolTo[key] !== undefined && times.stepEnded(key) === null,
  )
  return step && coolsSince(batch, times, step.key) !== null ? targetOf(batch, step.key) : null
}

/** Where a step cools it to, and what comes then; null where the method does not say. */
export function targetOf({ method: { steps }, terms }: BatchState, step: string): CoolTarget | null {
  const target = terms.coolTo[step]
  const next = steps[steps.findIndex(({ key }) => key === step) + 1]
  return target ? { step, then: next?.kind ?? null, ...target } : null
}

/**
 * When a step that cools ended by what was read: the first reading of the core, of the slowest pan, at or under where it
 * goes to. That is its own target, else the coldest that the batch's limits ask for. null while it was not read so cold,
 * and where neither says how cold. It proves nothing: in time or late, it is as cold as the next step wants it.
 */
export function cooledBy(batch: BatchState, times: CoolTimes, step: string): Instant | null {
  const to = batch.terms.coolTo[step]?.to.c ?? coldest(batch)
  const since = coolsSince(batch, times, step)
  if (to === null || since === null) return null
  return times.coreOf().find(({ at, celsius }) => at >= since && celsius <= to + SAME_DEGREE)?.at ?? null
}

/** Whether a reading ends a step that cools; else hands say that it is done. */
export function endsByReading(batch: BatchState, step: string): boolean {
  return batch.terms.coolTo[step] !== undefined || coldest(batch) !== null
}

/** It cools from the last heat before it on, or from when all was together where nothing heats it. */
function coolsSince({ method }: BatchState, times: CoolTimes, step: string): Instant | null {
  const before = method.steps.slice(
    0,
    method.steps.findIndex(({ key }) => key === step),
  )
  const { lastHeat, combined } = heatPlan({ steps: before })
  const heated = lastHeat && times.stepEnded(lastHeat.step)
  if (lastHeat) return heated === null ? null : Math.max(heated, times.heatSince)
  return times.at(combined)
}

/** The coldest that a limit asks for, °C; null where none prints a number. */
function coldest({ checks }: BatchState): number | null {
  const levels = checks.flatMap(({ limit: { rule, force } }) =>
    rule.kind === 'reach' && rule.direction === 'falling' && force !== 'quality' ? [rule.to.c] : [],
  )
  return levels.length ? Math.min(...levels) : null
}
