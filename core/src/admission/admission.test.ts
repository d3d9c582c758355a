import type { Bodies, Kind } from '../ledger/entry'
import { FieldError } from '../ground/field'
import type { Variance } from '../rules/source'
import { limitSetOf } from '../rules/limitSet'
import { ruleSets } from '../rules/sets/ruleSets'
import { Story } from '../test/story'
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
  return {
    id: OTHER,
    kitchen: ID,
    kind,
    v: kinds[kind].v,
    about,
    at: NOW,
    madeAt: NOW,
    by: ID,
    device: ID,
    body,
    ...more,
  }
}

const set = limitSetOf(ruleSets['us-food-code-2022']!, { id: ID, from: NOW })
const keeping = (ruleSet: string, monthsKept: number) => {
  const other = limitSetOf(ruleSets[ruleSet]!, { id: ID, from: NOW })
  return claim('limits-set', { set: { ...other, practice: { ...other.practice, monthsKept } } })
}
const lineOf = (key: string) => set.lines.findIndex((line) => line.key === key)
const withHouse = (key: string, rule: unknown, variance: Variance | null = null) => ({
  ...set,
  lines: set.lines.map((line) => (line.key === key ? { ...line, house: { rule, reason: 'ours' }, variance } : line)),
})
const decided = { decision: 'hold', reason: 'x', findings: [] as unknown[], core: '1' }

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

  it('takes the kitchen’s clock as 12 or 24 hours, or not chosen, and nothing else', () => {
    const withClock = (clock: unknown) => claim('limits-set', { set: { ...set, practice: { ...set.practice, clock } } })
    for (const hours of [12, 24]) expect(fault(withClock(hours))).toBe('taken')
    expect(parseClaim(withClock(12))).toMatchObject({ body: { set: { practice: { clock: 12 } } } })
    // Entries of before it could be chosen stay as they are.
    expect(parseClaim(withClock(null))).not.toHaveProperty('body.set.practice.clock')
    for (const hours of [13, 0, '12']) expect(fault(withClock(hours))).toMatch(/^body\.set\.practice\.clock: /)
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
    ['an empty note', claim('noted', { text: ' ', cue: null }), 'body.text: missing'],
    ['a control zero', claim('noted', { text: 'a\u0000', cue: null }), 'body.text: not text'],
    ['half a surrogate pair', claim('noted', { text: '\ud83c', cue: null }), 'body.text: not text'],
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
    ['asked for at no time', claim('reading-taken', { ...reading, asked: 'noon' }), 'body.asked: not an instant'],
    ['another place', claim('reading-taken', { ...reading, where: 'lid' }), 'body.where: not one of'],
    [
      'a correction to nothing',
      claim('corrected', { target: OTHER, reason: 'mistyped', now: null, item: null }),
      'body.now: missing',
    ],
    [
      'a correction without a reason',
      claim('corrected', { target: OTHER, reason: '', now: 'void', item: null }),
      'body.reason: not one of',
    ],
    [
      'limits of our own',
      claim('limits-set', {
        set: {
          ...set,
          lines: set.lines.map((line, i) => (i === 3 ? { ...line, published: set.lines[0]!.published } : line)),
        },
      }),
      'body.set.lines[3]: not one of',
    ],
    [
      'a rule set nobody knows',
      claim('limits-set', { set: { ...set, ruleSet: { ...set.ruleSet, key: 'mine' } } }),
      'body.set.ruleSet.key: not one of',
    ],
    [
      'a house line in which °F is another temperature',
      claim('limits-set', {
        set: withHouse('cold-holding', { kind: 'stay', side: 'under', level: { c: 4, f: 41 }, grace: null }),
      }),
      `body.set.lines[${lineOf('cold-holding')}].house.rule.level.f: other temperature`,
    ],
    ['a decision that nobody knows', claim('disposed', { ...decided, decision: 'sell' }), 'body.decision: not one of'],
    [
      'a decision without what was seen',
      claim('disposed', { ...decided, findings: null }),
      'body.findings: not a list',
    ],
  ])('names the field of %s', (_, raw, expected) => {
    expect(fault(raw)).toBe(expected)
  })
})

describe('admitting a claim', () => {
  const begun = new Story().batch
  const batch = {
    ...begun,
    id: ID,
    checks: [],
    facts: {
      ...begun.facts,
      'reading-taken': [
        { entry: OTHER, value: reading, waiting: [], amends: [], accepted: null, late: false, void: false, at: NOW },
      ],
    },
  } as unknown as BatchState
  const states: Record<string, unknown> = {
    [`batch ${ID}`]: batch,
    [`instrument ${OTHER}`]: { id: OTHER, code: 'IR1', kind: 'infrared' },
  }
  const read: Read = (type, id) => (states[`${type} ${id}`] ?? null) as never
  const cook: Author = { kitchen: ID, role: 'cook', signed: false, now: NOW, zone: 'UTC', limits: ID, clockAheadMs: 0 }
  const lead: Partial<Author> = { role: 'lead', signed: true }
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
    ['a step the method has', claim('step-marked', { step: 'warm', edge: 'done', reason: null }), {}, 'admitted'],
    [
      'a step before one that matters',
      claim('step-marked', { step: 'cook', edge: 'done', reason: null }),
      {},
      'out of order',
    ],
    [
      'the same with a reason',
      claim('step-marked', { step: 'cook', edge: 'done', reason: 'combined in the pan' }),
      {},
      'admitted',
    ],
    [
      'a step as an older tablet sends it',
      claim('step-marked', { step: 'temper', edge: 'combined' }, { v: 1 }),
      {},
      'admitted',
    ],
    ['a step the method has not', claim('step-marked', { step: 'bake', edge: 'done', reason: null }), {}, 'not there'],
    ['an undo', claim('corrected', { target: OTHER, reason: 'undo', now: 'void', item: null }), {}, 'admitted'],
    [
      'an undo of nothing',
      claim('corrected', { target: ID, reason: 'undo', now: 'void', item: null }),
      {},
      'not there',
    ],
    [
      'a move to no batch',
      claim('corrected', { target: OTHER, reason: 'wrong pot', now: { at: NOW, reading, batch: OTHER }, item: null }),
      {},
      'not there',
    ],
    ['a decision by a cook', claim('disposed', decided), {}, 'may not'],
    ['a decision by the lead, unsigned', claim('disposed', decided), { role: 'lead' }, 'lead must sign'],
    ['a decision by the lead, signed', claim('disposed', decided), { role: 'lead', signed: true }, 'admitted'],
    [
      'a decision on what has changed since',
      claim('disposed', { ...decided, findings: [{ check: 'egg', force: 'law', standing: 'proven' }] }),
      lead,
      'changed since',
    ],
    ['limits of the rule set', claim('limits-set', { set }), lead, 'admitted'],
    ['a version that skips one', claim('limits-set', { set: { ...set, version: 2 } }), lead, 'older version'],
    [
      'a stricter line',
      claim('limits-set', {
        set: withHouse('cold-holding', { kind: 'stay', side: 'under', level: { c: 4, f: 39.2 }, grace: null }),
      }),
      lead,
      'admitted',
    ],
    ['names kept for less than records are asked for', keeping('anz-3-2-2', 2), lead, 'kept too short'],
    ['names kept for as long as records are asked for', keeping('anz-3-2-2', 3), lead, 'admitted'],
    ['names kept for a month where nobody asks for more', keeping('us-food-code-2022', 1), lead, 'admitted'],
    [
      'a looser line',
      claim('limits-set', { set: withHouse('date-marking', { kind: 'days', days: 9 }) }),
      lead,
      'looser',
    ],
    [
      'a looser line with a variance',
      claim('limits-set', {
        set: withHouse(
          'date-marking',
          { kind: 'days', days: 9 },
          { authority: 'County', reference: 'L-9', reason: 'study', validUntil: '2027-12-31' },
        ),
      }),
      lead,
      'admitted',
    ],
    ['a late reading let count by a cook', claim('reading-accepted', { target: OTHER, reason: 'seen' }), {}, 'may not'],
    [
      'a late reading let count by the lead',
      claim('reading-accepted', { target: OTHER, reason: 'seen' }),
      lead,
      'admitted',
    ],
    [
      'a reading let count that is not there',
      claim('reading-accepted', { target: ID, reason: 'seen' }),
      lead,
      'not there',
    ],
    [
      'a probe already there',
      claim(
        'instrument-registered',
        { code: 'P9', kind: 'probe', place: null, tolerance: 1, checks: 'not asked' },
        { about: { type: 'instrument', id: OTHER } },
      ),
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
    expect(about(claim('noted', { text: 'late', cue: null }))).toBe('batch closed')
    expect(about(claim('disposed', decided), { role: 'lead', signed: true })).toBe('admitted')
  })

  it('touches both pots when a reading moves, and looks at its instrument', () => {
    const moved = parseClaim(
      claim('corrected', {
        target: OTHER,
        reason: 'wrong pot',
        now: { at: NOW, reading: { ...reading, instrument: OTHER }, batch: OTHER },
        item: null,
      }),
    )
    const touched = [`batch ${ID}`, `batch ${OTHER}`, `instrument ${OTHER}`]
    expect(touches(moved).map(({ type, id }) => `${type} ${id}`)).toEqual(touched)
    expect(needs(moved).map(({ type }) => type)).toEqual(['batch', 'batch', 'instrument'])
  })
})
