import {
  depthOf,
  filledTo,
  litresOf,
  plannedStages,
  prospectIn,
  type CoolingStage,
  type Cover,
  type Load,
  type Means,
  type VesselState,
} from '@logged-thermal/core'
import { plannedWords, type Reader, cooldownMessages } from '@logged-thermal/wording'
import type { Way } from './ways'
import { speaks } from '../kit/language'

const say = speaks(cooldownMessages)

/** What the kitchen's own coolings alike say of a way, and on how many that rests; nothing where there are too few. */
export function ownWords(
  { place, iceFirst }: Way,
  vessel: VesselState | null,
  load: Load | null,
  cover: Cover,
  pans: number,
  stages: CoolingStage[],
  means: Means,
  reader: Reader,
): string {
  if (!vessel || !load || iceFirst > 0) return ''
  const product = {
    shape: filledTo(vessel.inside, depthOf(litresOf(load), vessel.inside, pans)),
    composition: load.composition,
    wall: vessel.wall,
  }
  const setting = { from: 0, place, unit: null, air: null, cover, product, vessel: vessel.id, change: 'began' as const }
  const { prospect, batches } = prospectIn(setting, undefined, means)
  const [first] = plannedStages(prospect, load.celsius, stages)
  return batches > 0 && first
    ? say('fromEarlierCoolingsAlike', { batches, plannedWords: plannedWords(first, reader) })
    : ''
}
