import fc from 'fast-check'
import { houseDeeds } from './houseDeeds'
import { itemDeeds } from './itemDeeds'
import { matterDeeds } from './matterDeeds'
import { potDeeds } from './potDeeds'
import type { Act, Deed } from './history'

/** Every deed there is; together they make every kind of entry. */
export const acts: Readonly<Record<string, Act>> = { ...potDeeds, ...itemDeeds, ...houseDeeds, ...matterDeeds }

/** Readings, the heat and what is put away make histories that go somewhere. */
const OFTEN = ['read', 'read', 'read', 'read', 'off', 'combined', 'put away', 'put away', 'part', 'air']

export const deeds: fc.Arbitrary<Deed[]> = fc.array(
  fc.record({
    kind: fc.oneof(fc.constantFrom(...OFTEN), fc.constantFrom(...Object.keys(acts))),
    pot: fc.nat(1),
    a: fc.double({ min: 0, max: 1, noNaN: true }),
    b: fc.double({ min: 0, max: 1, noNaN: true }),
    wait: fc.oneof(fc.constantFrom(0, 0.05, 1, 3, 10), fc.integer({ min: 1, max: 90 })),
    who: fc.constantFrom('cook' as const, 'cook' as const, 'other' as const, 'lead' as const),
  }),
  { minLength: 5, maxLength: 32 },
)
