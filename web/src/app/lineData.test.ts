import { v7 as uuid } from 'uuid'
import { NOTHING_YET, type AnyClaim, type BatchState, type Seal } from '@logged-thermal/core'
import { foldLine } from './foldLine'
import type { LineData } from './lineData'

const batch = { id: uuid(), ...NOTHING_YET } as unknown as BatchState
const line: LineData = {
  seq: 7,
  kitchen: { id: uuid(), name: '', address: null, zone: 'UTC', unit: 'C' },
  people: [],
  codes: [],
  limits: null,
  methods: [],
  instruments: [],
  batches: [batch],
  lots: [],
  items: [],
  vessels: [],
  handover: null,
  deputies: [],
  week: null,
  roles: null,
  restored: null,
  tools: [],
  ingredients: [],
  signedDays: [],
  lists: [],
  listsDone: [],
  traceTries: [],
  samples: [],
  units: [],
}
const reading = (id: string): AnyClaim => ({
  id,
  kitchen: line.kitchen.id,
  kind: 'reading-taken',
  v: 1,
  about: { type: 'batch', id: batch.id },
  at: 1,
  madeAt: 1,
  by: uuid(),
  device: uuid(),
  body: { typed: { value: 60, unit: 'C' }, where: 'core', of: 'mixture', instrument: null },
})
const seal = (seq: number): Seal => ({ seq, recordedAt: 2, offsetMinutes: 0, postedBy: uuid(), prev: '', hash: '' })
const readings = ({ batches }: LineData) => batches[0]!.facts['reading-taken'].map(({ entry }) => entry)

describe('what is shown', () => {
  it('takes a recorded entry once', () => {
    const once = foldLine(line, { claim: reading('a'), seal: seal(8) })
    expect([once.seq, readings(once)]).toEqual([8, ['a']])
    expect(foldLine(once, { claim: reading('a'), seal: seal(8) })).toBe(once)
  })

  it('folds what is still on the tablet on top, without counting it', () => {
    const recorded = foldLine(line, { claim: reading('a'), seal: seal(8) })
    const shown = foldLine(recorded, { claim: reading('b'), seal: null })
    expect([shown.seq, readings(shown)]).toEqual([8, ['a', 'b']])
    expect(readings(recorded)).toEqual(['a'])
  })
})
