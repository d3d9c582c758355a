import type { Method } from '@logged-thermal/core'
import { assembled } from './assembled'
import { bakedCrumb } from './bakedCrumb'
import { bakedCustards } from './bakedCustards'
import { churnedBases } from './churnedBases'
import { custards } from './custards'
import { filled, finishes } from './finishes'
import { foams } from './foams'
import { setCreams } from './setCreams'
import { made, type MethodShape } from './shape'

/** Every method that a kitchen begins with, components before what they go into. Our own invention. */
const SHAPES: MethodShape[] = [
  ...custards,
  ...churnedBases,
  ...foams,
  ...setCreams,
  ...bakedCustards,
  ...bakedCrumb,
  ...finishes,
  ...assembled,
  ...filled,
]

/** The repertoire as methods, with ids of their own. */
export function repertoire(): Method[] {
  return SHAPES.reduce<Method[]>((before, shape) => [...before, made(shape, before)], [])
}
