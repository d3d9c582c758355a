import fc from 'fast-check'

/** What somebody does in a history made by chance: what, to which pot, with two numbers from 0 to 1, after so many minutes. */
export interface Deed {
  kind: string
  pot: number
  a: number
  b: number
  wait: number
  who: 'cook' | 'other' | 'lead'
}

const KINDS = [
  'read',
  'read',
  'read',
  'read',
  'late read',
  'word',
  'off',
  'combined',
  'back',
  'void',
  'correct',
  'move time',
  'yolk',
  'pasteurized yolk',
  'butter',
  'pour',
  'place',
  'hold',
  'release',
  'rework',
  'rewarm',
  'accept',
  'already in',
  'put away',
  'move',
  'out',
  'freeze late',
  'read item',
  'air',
  'late air',
  'hold item',
  'release item',
  'part',
  'split back',
  'use',
  'discard',
  'end',
]

export const deeds: fc.Arbitrary<Deed[]> = fc.array(
  fc.record({
    kind: fc.constantFrom(...KINDS),
    pot: fc.nat(1),
    a: fc.double({ min: 0, max: 1, noNaN: true }),
    b: fc.double({ min: 0, max: 1, noNaN: true }),
    wait: fc.oneof(fc.constantFrom(0, 0.05, 1, 3, 10), fc.integer({ min: 1, max: 90 })),
    who: fc.constantFrom('cook' as const, 'cook' as const, 'other' as const, 'lead' as const),
  }),
  { minLength: 5, maxLength: 32 },
)
