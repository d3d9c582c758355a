import {
  isUnitKind,
  PLACES,
  type Cover,
  type Load,
  type Place,
  type Trial,
  type UnitState,
  type VesselState,
} from '@logged-thermal/core'
import { placeWord, cooldownMessages } from '@logged-thermal/wording'
import { speaks, spoken } from '../kit/language'

const say = speaks(cooldownMessages)

/** A row to compare: a place, perhaps after some minutes in stirred ice. */
export interface Way {
  place: Place
  iceFirst: number
  name: string
  unit: UnitState | null
}

/** The ways of this kitchen: every place it has, and its cold units again after ice. */
export function waysOf(units: readonly UnitState[], iceFirst: number): Way[] {
  const unitOf = (place: Place) => units.find(({ kind }) => kind === place) ?? null
  const places = PLACES.filter((place) => place !== 'freezer' && (!isUnitKind(place) || unitOf(place) !== null))
  const plain = places.map((place): Way => {
    const unit = unitOf(place)
    return { place, iceFirst: 0, name: unit?.name ?? placeWord(place, spoken), unit }
  })
  const iced = plain
    .filter(({ unit }) => unit !== null && iceFirst > 0)
    .map((way): Way => ({ ...way, iceFirst, name: say('iceStirMinThen', { iceFirst, way: way.name }) }))
  return [...plain, ...iced]
}

export function trialOf(way: Way, load: Load, vessel: VesselState, pans: number, cover: Cover, ice: number): Trial {
  const { name, inside, wall } = vessel
  return { load, vessel: { name, inside, wall }, pans, cover, iceFirst: way.iceFirst, place: way.place, ice }
}
