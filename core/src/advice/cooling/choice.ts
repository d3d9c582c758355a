import { type Composition, mixtureProperties } from '../../physics/material/properties'
import type { Cover } from '../../physics/cooling/faces'
import type { Id } from '../../ledger/subject'
import type { Check } from '../../recipe/checks/checksFor'
import { stageOf, type CoolingStage } from '../../rules/compared'
import { depthOf, filledTo, fillRefusal, pansFor, type RegisteredVessel } from '../../physics/cooling/vessel'
import type { Place } from '../../physics/cooling/place'
import { planMakesIt, plannedStages, type PlannedStage } from './planned'
import { prospectOf, type Product } from '../../physics/cooling/prospect'

/** What is to be cooled. */
export interface Load {
  kilograms: number
  composition: Composition
  /** As it is poured, °C. */
  celsius: number
}

/** Into which vessels, and where. */
export interface Choice {
  vessel: RegisteredVessel & { id: Id }
  pans: number
  place: Place
  cover: Cover
}

/** What a choice comes to, before anything is read: a forecast, never evidence. */
export interface Outcome {
  choice: Choice
  product: Product
  /** m. */
  depth: number
  /** Why it cannot be done at all; null where it can. */
  refused: 'over the rim' | 'not for food' | 'not for hot' | null
  stages: PlannedStage[]
  makes: boolean
}

/** The stages that a batch is held to in falling temperature: by law, house, or guidance where that is all there is. */
export function stagesOf(checks: readonly Check[]): CoolingStage[] {
  return checks.flatMap((check) => {
    const { key, rule, force } = check.limit
    return key !== 'rewarmed' && force !== 'quality' && rule.kind === 'reach' && rule.direction === 'falling'
      ? [stageOf(check.key, rule, check)]
      : []
  })
}

/** Litres of a load, as it is poured. */
export function litresOf({ kilograms, composition }: Omit<Load, 'celsius'>): number {
  return (1000 * kilograms) / mixtureProperties(composition, 35).density
}

/** What becomes of a load in a choice of vessels and place. */
export function outcomeOf(load: Load, choice: Choice, stages: readonly CoolingStage[]): Outcome {
  const { vessel, pans, place, cover } = choice
  const depth = depthOf(litresOf(load), vessel.inside, pans)
  const shape = filledTo(vessel.inside, Math.max(0.003, depth))
  const product: Product = { shape, composition: load.composition, wall: vessel.wall }
  const planned = plannedStages(prospectOf(product, place, cover), load.celsius, stages)
  const refused = fillRefusal(vessel, load.celsius) ?? (depth > vessel.inside.height ? 'over the rim' : null)
  return { choice, product, depth, refused, stages: planned, makes: refused === null && planMakesIt(planned) }
}

/** Not more than so many pans are offered by themselves. */
const MOST_PANS = 12

/**
 * The nearest choice to one that misses which makes every stage: the same place with more pans or another vessel, the
 * fewest pans first; then the same pans in a colder place. null where there is none.
 */
export function nearestThatMakes(
  load: Load,
  choice: Choice,
  stages: readonly CoolingStage[],
  vessels: readonly Choice['vessel'][],
  places: readonly Place[],
): Outcome | null {
  const makes = (each: Choice) => {
    const outcome = outcomeOf(load, each, stages)
    return outcome.makes ? outcome : null
  }
  for (const place of places) {
    const here = makes({ ...choice, place })
    if (here && place !== choice.place) return here
  }
  const rated = vessels.filter((vessel) => fillRefusal(vessel, load.celsius) === null)
  for (const place of [choice.place, ...places]) {
    const found = rated
      .flatMap((vessel) => {
        const least = pansFor(litresOf(load), vessel.inside, vessel.inside.height)
        return fewest(least, (pans) => makes({ ...choice, vessel, pans, place }))
      })
      .sort((a, b) => a.choice.pans - b.choice.pans)
    if (found[0]) return found[0]
  }
  return null
}

/** The outcome with the fewest pans that makes it, from `least` on. */
function fewest(least: number, makes: (pans: number) => Outcome | null): Outcome[] {
  for (let pans = least; pans <= MOST_PANS; pans++) {
    const outcome = makes(pans)
    if (outcome) return [outcome]
  }
  return []
}

/** How a product goes on in each of some places, from a temperature, °C. */
export function waysToCool(
  product: Product,
  celsius: number,
  cover: Cover,
  places: readonly Place[],
  stages: readonly CoolingStage[],
): { place: Place; stages: PlannedStage[]; makes: boolean }[] {
  return places.map((place) => {
    const planned = plannedStages(prospectOf(product, place, cover), celsius, stages)
    return { place, stages: planned, makes: planMakesIt(planned) }
  })
}
