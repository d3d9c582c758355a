import type { RegisteredVessel, Inside, Vessel } from '../../physics/cooling/vessel'
import { WALLS } from '../../physics/cooling/faces'
import { flag, number, object, oneOf, type Field, nameOf } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'vessel-registered': RegisteredVessel
  }
}

/** A vessel becomes one of the kitchen's, or is measured anew. */
export const vesselRegistered: KindOf<'vessel-registered'> = {
  kind: 'vessel-registered',
  v: 1,
  about: 'vessel',
  may: ['chef', 'lead'],
  signed: false,
  parse(body) {
    const { name, inside, wall, food, hotFill } = object(body, ['name', 'inside', 'wall', 'food', 'hotFill'])
    return { ...parseVesselFacts({ name, inside, wall }), food: flag(food), hotFill: flag(hotFill) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: () => null,
  begins: { vessel: ({ claim: { body } }, id) => ({ id, ...body }) },
  folds: { vessel: ({ id }, { claim: { body } }) => ({ id, ...body }) },
}

export function parseVesselFacts({ name, inside, wall }: Record<'name' | 'inside' | 'wall', Field>): Vessel {
  return { name: nameOf(name, 80), inside: parseInside(inside), wall: oneOf(wall, WALLS) }
}

function parseInside(field: Field): Inside {
  const { kind } = object(field, ['kind', 'diameter', 'length', 'width', 'height'])
  if (oneOf(kind, ['round', 'rectangular'] as const) === 'round') {
    const { diameter, height } = object(field, ['kind', 'diameter', 'height'])
    return { kind: 'round', diameter: number(diameter, 0.02, 2), height: number(height, 0.01, 2) }
  }
  const { length, width, height } = object(field, ['kind', 'length', 'width', 'height'])
  return {
    kind: 'rectangular',
    length: number(length, 0.02, 3),
    width: number(width, 0.02, 3),
    height: number(height, 0.01, 2),
  }
}
