import { MINUTE, type Instant } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import { VALIDATED_CORE, type HeldBake } from '../../recipe/checks/signed'
import { celsiusOf, SAME_DEGREE, type Typed } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { isWaiting, valid } from '../../state/fact'
import type { CheckWatch } from '../find/checkWatch'
import type { CoreReading } from '../timeline/core'
import { timelineOf } from '../timeline/timeline'

/** Read in the middle so near to its end, colder than what validated it, it was another bake, ms. */
const NEAR_THE_END = 2 * MINUTE
/** In the oven and not told, it is open so much longer than it should take. */
const FORGOTTEN = 120 * MINUTE
/** Depths that differ by less are the same, m. */
export const SAME_DEPTH = 0.001

/** The oven as it stood at the end of a bake, told with its first mark; null where nobody said. */
export function ovenOf(step: string, { facts: { 'step-marked': marks } }: BatchState): Typed | null {
  return lastBake(step, marks)?.value.oven ?? null
}

/**
 * A floor that a validated bake closes too: what readings prove or deny stays; where they say neither, the oven at its
 * heat, its minutes between the two marks and the cue seen do. Raw things that went in after it was in the oven open it.
 */
export function orBaked(watch: CheckWatch, { bake }: Check, batch: BatchState): CheckWatch {
  if (!bake) return watch
  const end = bakedAt(bake, batch)
  const began = timelineOf(batch).marks.first({ step: bake.step, edge: 'started' })
  const isIn = (now: Instant) =>
    began !== null &&
    lastBake(bake.step, batch.facts['step-marked']) === null &&
    now <= began + bake.minutes * MINUTE + FORGOTTEN
  return {
    take: (trace, from, to) => watch.take(trace, from, to),
    provenAt: () => Math.min(watch.provenAt?.() ?? Infinity, end ?? Infinity),
    find(now) {
      const found = watch.find(now)
      if (found.standing === 'proven' || found.standing === 'missed') return found
      if (end !== null && began !== null && end <= now) {
        const because = { code: 'baked as validated' as const, minutes: Math.floor((end - began) / MINUTE), bake }
        return { ...found, standing: 'proven', because, need: null, ladder: [], readBy: null, nextAt: null }
      }
      return found.standing === 'unproven' && isIn(now) ? { ...found, standing: 'open' } : found
    },
  }
}

/** When a bake ended as it was validated; null while it did not. */
function bakedAt({ step, oven, minutes, depth }: HeldBake, batch: BatchState): Instant | null {
  const { marks, reopenedAt, core } = timelineOf(batch)
  const began = marks.first({ step, edge: 'started' })
  const done = lastBake(step, batch.facts['step-marked'])
  const told = valid(batch.facts['step-marked']).filter(({ value }) => value.step === step)
  // Told late, or taken back late, it is the lead's to accept.
  if (told.some(isWaiting)) return null
  if (began === null || !done?.value.oven || reopenedAt > began) return null
  if (done.at - began < minutes * MINUTE) return null
  if (celsiusOf(done.value.oven) < celsiusOf(oven) - SAME_DEGREE) return null
  return isDeeper(batch, depth) || isReadColder(core, done.at) ? null : done.at
}

function isDeeper({ vessel, facts: { poured: pourings } }: BatchState, depth: number): boolean {
  const most = depth + SAME_DEPTH
  return vessel.fillDepth > most || valid(pourings).some(({ value }) => value.depth > most)
}

function isReadColder(core: readonly CoreReading[], end: Instant): boolean {
  return core.some(({ at, celsius }) => Math.abs(at - end) <= NEAR_THE_END && celsius < VALIDATED_CORE.c - SAME_DEGREE)
}

function lastBake(step: string, marks: BatchState['facts']['step-marked']) {
  return valid(marks)
    .filter(({ value }) => value.step === step && value.edge === 'done')
    .sort((a, b) => a.at - b.at)[0]
}
