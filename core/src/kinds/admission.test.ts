import type { Bodies, Kind } from '../ledger/entry'
import { FieldError } from '../ledger/parse'
import type { BatchState } from '../state/batch'
import type { Read } from '../state/state'
import { admit, parseClaim, type Author } from './admission'
import { kinds, needs, touches } from './kinds'

const ID = '01a20bf3-5302-753b-a1ac-749fd32bb5cb'
const OTHER = '01a20bf3-5305-73bc-bd88-d464e13a99fd'
const NOW = Date.UTC(2027, 2, 3, 10)

const reading: Bodies['reading-taken'] = {
  typed: { value: 61.2, unit: 'C' },
  where: 'core',
  of: 'mixture',
  instrument: null,
}

function claim<K extends Kind>(kind: K, body: unknown, more: object = {}): Record<string, unknown> {
  const about = { type: kinds[kind].about, id: ID }
  return { id: OTHER, kitchen: ID, kind, v: 1, about, at: NOW, madeAt: NOW, by: ID, device: ID, body, ...more }
}

function fault(raw: unknown): string {
  try {
    parseClaim(raw)
    return 'taken'
  } catch (error) {
    if (!(error instanceof FieldError)) throw error
    return `${error.field}: ${error.problem.code}`
  }
}

describe('reading a claim', () => {
  it('takes one that is whole, as it is', () => {
    const raw = claim('reading-taken', reading)
    expect(parseClaim(raw)).toEqual(raw)
  })

  it.each<[string, unknown, string]>([
    ['nothing', null, 'entry: missing'],
    ['a list', [], 'entry: missing'],
    ['an unknown kind', claim('noted', {}, { kind: 'wished' }), 'kind: not one of'],
    ['a body of a later version', claim('noted', { text: 'a' }, { v: 2 }), 'v: out of range'],
    ['an id in capitals', claim('noted', { text: 'a' }, { id: ID.toUpperCase() }), 'id: not an id'],
    ['seconds for milliseconds', claim('noted', { text: 'a' }, { at: NOW / 1000 }), 'at: not an instant'],
    ['half a millisecond', claim('noted', { text: 'a' }, { madeAt: NOW + 0.5 }), 'madeAt: not an instant'],
    [
      'a subject of another type',
      claim('noted', { text: 'a' }, { about: { type: 'method', id: ID } }),
      'about.type: not one of',
    ],
    ['a field too many', claim('noted', { text: 'a' }, { colour: 1 }), 'entry.colour: unknown field'],
    ['an empty note', claim('noted', { text: ' ' }), 'body.text: missing'],
    ['a control zero', claim('noted', { text: 'a\u0000' }), 'body.text: not text'],
    ['half a surrogate pair', claim('noted', { text: '\ud83c' }), 'body.text: not text'],
    [
      'a word for a number',
      claim('reading-taken', { ...reading, typed: { value: 'abc', unit: 'C' } }),
      'body.typed.value: not a number',
    ],
    ['no unit', claim('reading-taken', { ...reading, typed: { value: 1 } }), 'body.typed.unit: not one of'],
    [
      '900 °C',
      claim('reading-taken', { ...reading, typed: { value: 900, unit: 'C' } }),
      'body.typed.value: not a temperature',
    ],
    [
      '-200 °F',
      claim('reading-taken', { ...reading, typed: { value: -200, unit: 'F' } }),
      'body.typed.value: not a temperature',
    ],
    ['another place', claim('reading-taken', { ...reading, where: 'lid' }), 'body.where: not one of'],
    [
      'a correction to nothing',
      claim('corrected', { target: OTHER, reason: 'mistyped', now: null }),
      'body.now: missing',
    ],
    [
      'a correction without a reason',
      claim('corrected', { target: OTHER, reason: '', now: 'void' }),
      'body.reason: not one of',
    ],
    [
      'limits of our own',
      claim('limits-set', {
        set: { id: ID, version: 1, ruleSet: { key: 'us-food-code-2022', name: 'x' }, unit: 'C', limits: [] },
      }),
      'body.set.limits: not one of',
    ],
    [
      'a rule set nobody knows',
      claim('limits-set', { set: { id: ID, version: 1, ruleSet: { key: 'mine', name: 'x' }, unit: 'C', limits: [] } }),
      'body.set.ruleSet.key: not one of',
    ],
    [
      'a decision that has no rule yet',
      claim('disposed', { decision: 'release', reason: 'fine' }),
      'body.decision: not one of',
    ],
  ])('names the field of %s', (_, raw, expected) => {
    expect(fault(raw)).toBe(expected)
  })
})

describe('admitting a claim', () => {
  const batch = {
    id: ID,
    code: '62-1',
    method: { steps: [{ key: 'cook' }] },
    readings: [{ entry: OTHER }],
    marks: [],
    notes: [],
    disposition: null,
  } as unknown as BatchState
  const states: Record<string, unknown> = {
    [`batch ${ID}`]: batch,
    [`instrument ${OTHER}`]: { id: OTHER, code: 'IR1', kind: 'infrared' },
  }
  const read: Read = (type, id) => (states[`${type} ${id}`] ?? null) as never
  const cook: Author = { kitchen: ID, role: 'cook', signed: false, now: NOW, clockAheadMs: 0 }
  const refusal = (raw: unknown, author: Partial<Author> = {}) =>
    admit(parseClaim(raw), { ...cook, ...author }, read)?.code ?? 'admitted'

  it.each<[string, unknown, Partial<Author>, string]>([
    ['a reading', claim('reading-taken', reading), {}, 'admitted'],
    ['a reading for another kitchen', claim('reading-taken', reading), { kitchen: OTHER }, 'other kitchen'],
    ['a reading by nobody', claim('reading-taken', reading), { role: null }, 'not on the list'],
    ['a reading by an inspector', claim('reading-taken', reading), { role: 'inspector' }, 'may not'],
    ['a reading from the future', claim('reading-taken', reading, { at: NOW + 5001 }), {}, 'ahead of clock'],
    ['a reading from a clock a little fast', claim('reading-taken', reading, { at: NOW + 4000 }), {}, 'admitted'],
    [
      'a reading of no batch',
      claim('reading-taken', reading, { about: { type: 'batch', id: OTHER } }),
      {},
      'not there',
    ],
    ['a core read by infrared', claim('reading-taken', { ...reading, instrument: OTHER }), {}, 'cannot measure that'],
    [
      'a surface read by infrared',
      claim('reading-taken', { ...reading, where: 'surface', instrument: OTHER }),
      {},
      'admitted',
    ],
    ['a reading by an unknown probe', claim('reading-taken', { ...reading, instrument: ID }), {}, 'not there'],
    ['a step the method has', claim('step-marked', { step: 'cook', edge: 'done' }), {}, 'admitted'],
    ['a step the method has not', claim('step-marked', { step: 'bake', edge: 'done' }), {}, 'not there'],
    ['an undo', claim('corrected', { target: OTHER, reason: 'undo', now: 'void' }), {}, 'admitted'],
    ['an undo of nothing', claim('corrected', { target: ID, reason: 'undo', now: 'void' }), {}, 'not there'],
    [
      'a move to no batch',
      claim('corrected', { target: OTHER, reason: 'wrong pot', now: { at: NOW, reading, batch: OTHER } }),
      {},
      'not there',
    ],
    ['a decision by a cook', claim('disposed', { decision: 'hold', reason: 'x' }), {}, 'may not'],
    [
      'a decision by the lead, unsigned',
      claim('disposed', { decision: 'hold', reason: 'x' }),
      { role: 'lead' },
      'lead must sign',
    ],
    [
      'a decision by the lead, signed',
      claim('disposed', { decision: 'hold', reason: 'x' }),
      { role: 'lead', signed: true },
      'admitted',
    ],
    [
      'a probe already there',
      claim('instrument-registered', { code: 'P9', kind: 'probe' }, { about: { type: 'instrument', id: OTHER } }),
      { role: 'lead', signed: true },
      'already there',
    ],
  ])('says of %s', (_, raw, author, expected) => {
    expect(refusal(raw, author)).toBe(expected)
  })

  it('takes nothing more about a batch that was thrown away, but a new decision', () => {
    const closed = { ...batch, disposition: { value: { decision: 'discard' }, void: false } }
    const shut: Read = (type, id) => (type === 'batch' && id === ID ? closed : null) as never
    const about = (raw: unknown, author: Partial<Author> = {}) =>
      admit(parseClaim(raw), { ...cook, ...author }, shut)?.code ?? 'admitted'
    expect(about(claim('reading-taken', reading))).toBe('batch closed')
    expect(about(claim('noted', { text: 'late' }))).toBe('batch closed')
    expect(about(claim('disposed', { decision: 'hold', reason: 'x' }), { role: 'lead', signed: true })).toBe('admitted')
  })

  it('touches both pots when a reading moves, and looks at its instrument', () => {
    const moved = parseClaim(
      claim('corrected', {
        target: OTHER,
        reason: 'wrong pot',
        now: { at: NOW, reading: { ...reading, instrument: OTHER }, batch: OTHER },
      }),
    )
    expect(touches(moved).map(({ type, id }) => `${type} ${id}`)).toEqual([`batch ${ID}`, `batch ${OTHER}`])
    expect(needs(moved).map(({ type }) => type)).toEqual(['batch', 'batch', 'instrument'])
  })
})
