import {
  approvedOf,
  dayOf,
  heldTo,
  limitsAt,
  stagesOf,
  timelineOf,
  type BatchState,
  type CoolingStage,
  type Load,
  type Method,
} from '@logged-thermal/core'
import type { LineData } from '../app/lineData'

/** What is to be cooled: a method before it is made, or a batch on its way. */
export type Source = { kind: 'method'; method: Method } | { kind: 'batch'; batch: BatchState }

/** What it weighs, what is in it, how hot it is, and what it is held to. null where its amounts do not say. */
export interface Sourced {
  load: Load
  stages: CoolingStage[]
}

/** Under this nothing is planned any more, °C. */
const STILL_WARM = 25

/** As it comes off the heat where nobody read it, °C. */
const OFF_THE_HEAT = 80

export function sourcesIn(line: LineData, now: number): Source[] {
  const warmth = (batch: BatchState) => timelineOf(batch).warmth(now)
  const batches = line.batches.filter(
    (batch) => batch.method.cooling !== 'none' && batch.disposition === null && warmth(batch) > STILL_WARM,
  )
  // The hottest is the next to be poured.
  batches.sort((a, b) => warmth(b) - warmth(a))
  const methods = line.methods.flatMap((state) => approvedOf(state) ?? []).filter(({ cooling }) => cooling === 'stages')
  return [
    ...batches.map((batch): Source => ({ kind: 'batch', batch })),
    ...methods.map((method): Source => ({ kind: 'method', method })),
  ]
}

export function idOf(source: Source): string {
  return source.kind === 'batch' ? source.batch.id : source.method.id
}

export function sourced(source: Source, line: LineData, now: number): Sourced | null {
  if (source.kind === 'batch') {
    const { checks, terms } = source.batch
    const celsius = Math.max(timelineOf(source.batch).warmth(now), 25)
    return terms.product && { load: { ...terms.product, celsius }, stages: stagesOf(checks) }
  }
  const limits = limitsAt(line.limits?.versions ?? [], now)
  if (!limits) return null
  const signed = line.methods.find(({ id }) => id === source.method.id)?.signed
  const { checks, terms } = heldTo(source.method, 1, limits, false, dayOf(now, line.kitchen.zone), signed)
  const targets = Object.values(source.method.instructions).flatMap(({ target }) => (target ? [target.to.c] : []))
  const celsius = targets.length ? Math.max(...targets) : OFF_THE_HEAT
  return terms.product && { load: { ...terms.product, celsius }, stages: stagesOf(checks) }
}
