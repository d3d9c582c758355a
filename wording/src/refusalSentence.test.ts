import type { FieldProblem, Limit, DaysRule, Problem, Refusal, Shut } from '@logged-thermal/core'
import { problemSentence } from './methodWords'
import { fieldSentence, refusalSentence, shutSentence } from './refusalSentence'

const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
const days = {
  rule: { kind: 'days', days: 7 },
  source: { document: 'Food code', section: '3-5', edition: '', confidence: 'high' },
} as unknown as Limit<DaysRule>
const problem = (code: Problem['code'], values: Problem['values'] = {}): Problem => ({
  id: code,
  code,
  weight: 'blocks',
  step: null,
  amount: null,
  values: { name: 'Corn starch', ...values },
})

/** One of every code there is, with what its sentence has to name: a new code does not compile without one. */
const refusals: { [C in Refusal['code']]: [Extract<Refusal, { code: C }>, ...named: string[]] } = {
  'bad field': [{ code: 'bad field', field: 'body.typed.value', problem: { code: 'not a number' } }, 'value'],
  'ahead of clock': [{ code: 'ahead of clock', field: 'at', aheadMs: 240_000, clockAheadMs: 0 }, '4 min'],
  'id taken': [{ code: 'id taken', field: 'id' }],
  'other kitchen': [{ code: 'other kitchen', field: 'kitchen' }],
  'not on the list': [{ code: 'not on the list', field: 'by' }],
  'may not': [{ code: 'may not', field: 'by', kind: 'limits-set' }, 'limits-set', 'lead'],
  'sign yourself': [{ code: 'sign yourself', field: 'pin', kind: 'method-saved' }, 'PIN'],
  'before it began': [{ code: 'before it began', field: 'at', begins: 0 }, 'before it began'],
  'readings out of order': [{ code: 'readings out of order', field: 'body.readings' }, 'follow one another'],
  'marked already': [{ code: 'marked already', field: 'body.edge', at: 0 }, 'first mark'],
  'lead must sign': [{ code: 'lead must sign', field: 'pin' }, 'PIN'],
  'second needed': [{ code: 'second needed', field: 'second' }, 'somebody else'],
  'not there': [{ code: 'not there', field: 'about.id', what: 'vessel' }, 'vessel'],
  'already there': [{ code: 'already there', field: 'about.id', what: 'lot' }, 'lot'],
  'code taken': [{ code: 'code taken', field: 'body.code', taken: '62-1a' }, '62-1a'],
  'batch closed': [{ code: 'batch closed', field: 'about.id', batch: '62-1' }, '62-1'],
  'cannot measure that': [{ code: 'cannot measure that', field: 'body.where', instrument: 'IR1' }, 'IR1'],
  'instrument gone': [{ code: 'instrument gone', field: 'body.instrument', instrument: 'P4' }, 'P4'],
  'instrument in doubt': [{ code: 'instrument in doubt', field: 'body.instrument', instrument: 'P5' }, 'P5', 'another'],
  'too long ago': [{ code: 'too long ago', field: 'at', instrument: 'P4' }, 'P4', 'as a matter'],
  'not checked so': [{ code: 'not checked so', field: 'body.against', instrument: 'IR1' }, 'IR1'],
  'reference not checked': [
    { code: 'reference not checked', field: 'body.against', instrument: 'P5' },
    'P5',
    'Check it',
  ],
  'read again': [{ code: 'read again', field: 'body.shown', read: 2 }, 'three readings', '2'],
  'not steady': [{ code: 'not steady', field: 'body.shown', apart: 0.8 }, '0.8'],
  'not a reading': [{ code: 'not a reading', field: 'body.target' }],
  'older version': [{ code: 'older version', field: 'body', current: 4 }, '4'],
  'trace incomplete': [{ code: 'trace incomplete', field: 'body.found', left: 2 }, '2 of its'],
  'still kept': [{ code: 'still kept', field: 'body.note', until: '2027-03-09' }, 'kept through'],
  'plan changed': [{ code: 'plan changed', field: 'body.basis' }, 'Read it again'],
  'kept too short': [{ code: 'kept too short', field: 'body.set.practice.monthsKept', months: 3 }, '3 months'],
  looser: [{ code: 'looser', field: 'body.set.lines', line: 'cold-holding' }, 'variance'],
  'method blocked': [
    { code: 'method blocked', field: 'body.version', problem: problem('starch not boiled') },
    'Corn starch',
  ],
  'out of order': [{ code: 'out of order', field: 'body.reason', why: { code: 'before', step: 'cook', kind: 'cook' } }],
  'clean first': [{ code: 'clean first', field: 'body.step' }, 'clean'],
  'other lot': [{ code: 'other lot', field: 'body.form', lot: 'T-2207' }, 'T-2207'],
  'lot past its day': [
    { code: 'lot past its day', field: 'body.lot', lot: 'T-2207', useBy: '2027-03-05' },
    'T-2207',
    'Fri 5 Mar',
  ],
  'wrong egg': [{ code: 'wrong egg', field: 'body.lot', lot: 'T-2207', why: 'susceptible' }, 'T-2207', 'pasteurized'],
  'other unit': [{ code: 'other unit', field: 'body.place', unit: 'Walk-in 1' }, 'Walk-in 1'],
  'over the rim': [{ code: 'over the rim', field: 'body.depth', vessel: 'Tray', height: 0.06 }, 'Tray', '6 cm'],
  'unrated vessel': [
    { code: 'unrated vessel', field: 'body.vessel', vessel: 'Tub', why: 'not for hot' },
    'Tub',
    'hot food',
  ],
  'rewarmed enough': [{ code: 'rewarmed enough', field: 'about.id', most: 2 }, '2 times'],
  'not proven to rewarm': [{ code: 'not proven to rewarm', field: 'about.id' }],
  'lot needed': [{ code: 'lot needed', field: 'body.lot' }],
  'package needed': [{ code: 'package needed', field: 'body.item', lot: 'SHELL-12' }, 'SHELL-12', 'carton'],
  'time to serve is up': [{ code: 'time to serve is up', field: 'about.id', batch: 'B-7' }, 'B-7', 'bin'],
  'not proven to serve': [{ code: 'not proven to serve', field: 'about.id', batch: 'B-7' }, 'B-7', 'not proven'],
  'heated here': [{ code: 'heated here', field: 'body.pasteurized' }, 'variance'],
  'other lineage': [{ code: 'other lineage', field: 'body' }],
  'more than is left': [{ code: 'more than is left', field: 'body.grams', left: 792 }, '792 g'],
  'item gone': [{ code: 'item gone', field: 'about.id' }],
  'item shut': [{ code: 'item shut', field: 'about.id', item: '62-1a', why: { code: 'held' } }, '62-1a'],
  'move shut': [{ code: 'move shut', field: 'body.how', item: '62-1a', why: 'not a freezer' }, '62-1a'],
  'not to open': [{ code: 'not to open', field: 'about.id', item: 'L522' }, 'L522'],
  'not proven to leave': [{ code: 'not proven to leave', field: 'body.last', batch: '62-1' }, '62-1', 'not proven'],
  'nothing went out': [{ code: 'nothing went out', field: 'about.id', item: '328-1a' }, '328-1a'],
  'recall stands': [{ code: 'recall stands', field: 'about.id', item: '62-1a' }, '62-1a'],
  'recalled already': [{ code: 'recalled already', field: 'about.id', lot: 'T-2207' }, 'T-2207'],
  'no lead left': [{ code: 'no lead left', field: 'body.role' }, 'lead'],
  'no role for it': [{ code: 'no role for it', field: 'body.administers' }, 'cook'],
  'reason short': [{ code: 'reason short', field: 'body.reason' }, 'characters'],
  'not taken back': [{ code: 'not taken back', field: 'body.target', why: 'late' }, '15 minutes'],
  'lot refused': [{ code: 'lot refused', field: 'body.verdict', lot: 'T-2207' }, 'T-2207'],
  'lot not accepted': [{ code: 'lot not accepted', field: 'body.lot', lot: 'T-2207' }, 'T-2207'],
  'received otherwise': [
    { code: 'received otherwise', field: 'body.verdict', why: { code: 'past its day', useBy: '2027-03-05' } },
    'Fri 5 Mar',
  ],
  'keeps too long': [
    { code: 'keeps too long', field: 'body.version', days: 12, limit: days },
    '12 days',
    '7',
    'Food code, 3-5',
  ],
  'not guidance': [{ code: 'not guidance', field: 'body.limit' }],
  'signed too long': [{ code: 'signed too long', field: 'body.line.validUntil', last: '2027-06-01' }, '1 Jun'],
  'not crumb': [{ code: 'not crumb', field: 'about.id' }],
  'bakes wanting': [{ code: 'bakes wanting', field: 'body.bake.shownBy' }],
  'bake not shown': [
    { code: 'bake not shown', field: 'body.bake.shownBy', batch: '328-1', why: 'not read' },
    '328-1',
    'no probe',
  ],
  'kept, not served': [{ code: 'kept, not served', field: 'about.id' }],
  backdated: [{ code: 'backdated', field: 'body.set.from' }],
  'matter open': [{ code: 'matter open', field: 'body.action' }, 'waits for the lead'],
  'day not over': [{ code: 'day not over', field: 'body.day', day: '2027-03-04' }, '4 Mar'],
  'day long over': [{ code: 'day long over', field: 'body.day', day: '2027-03-04', days: 31 }, 'more than 31 days ago'],
  'changed since': [{ code: 'changed since', field: 'body.findings' }],
  'decision shut': [
    {
      code: 'decision shut',
      field: 'body.decision',
      decision: 'release',
      why: { code: 'law missed', check: 'cool-total' },
    },
    'law',
  ],
}

const shuts: Record<Shut['code'], string> = {
  closed: 'thrown away',
  recalled: 'called back',
  'law missed': 'cannot be released',
  'still open': 'can be proven or missed yet',
  'needs assessment': 'prints "not proven"',
  'no rework here': 'no rework',
  'reworked already': 'discard',
  'too late to rework': 'too late',
  'nothing to rework': 'nothing to rework',
}

const fields: { [C in FieldProblem['code']]: [Extract<FieldProblem, { code: C }>, string] } = {
  missing: [{ code: 'missing' }, '"grams" is missing.'],
  'unknown field': [{ code: 'unknown field' }, '"grams" is not a field of this entry.'],
  'not text': [{ code: 'not text', longest: 80 }, 'at most 80 characters'],
  'hidden characters': [{ code: 'hidden characters' }, 'nobody can see'],
  'not one of': [{ code: 'not one of', allowed: 'C, F' }, 'one of: C, F.'],
  'not a number': [{ code: 'not a number' }, 'a number'],
  'not an id': [{ code: 'not an id' }, 'UUID'],
  'not an instant': [{ code: 'not an instant' }, 'milliseconds since 1970'],
  'not a list': [{ code: 'not a list' }, 'a list'],
  'not a day': [{ code: 'not a day' }, 'YYYY-MM-DD'],
  'other temperature': [{ code: 'other temperature' }, 'than its °C'],
  'not readable': [{ code: 'not readable' }, 'JSON'],
  'not a whole': [{ code: 'not a whole' }, 'add up to 1'],
  twice: [{ code: 'twice' }, 'twice'],
  'not a temperature': [{ code: 'not a temperature', typed: '900 °C' }, '900 °C is no temperature of a pan'],
  'out of range': [{ code: 'out of range', least: 1, most: 50_000 }, 'from 1 to 50000'],
}

/** A sentence for a person: it ends, leaves nothing out, and promises nothing. */
function expectSentence(said: string): void {
  expect(said).toMatch(/^[^a-z].*[.?]$/)
  expect(said).not.toMatch(/undefined|NaN|null|\[object/)
  expect(said).not.toMatch(/\bsafe\b/i)
}

const READER = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }

describe('what was not taken', () => {
  it.each(Object.values(refusals).map((each) => [each[0].code, each] as const))(
    '%s is said in a sentence that names what it is about',
    (_code, [refusal, ...named]) => {
      const said = refusalSentence(refusal, READER)
      expectSentence(said)
      for (const name of named) expect(said).toContain(name)
    },
  )

  it('says of a clock that is ahead whether it is the tablet’s or the time that was chosen', () => {
    const ahead = (clockAheadMs: number) =>
      refusalSentence({ code: 'ahead of clock', field: 'at', aheadMs: 30_000, clockAheadMs }, READER)
    expect(ahead(0)).toBe("That time is 30 s ahead of the kitchen's clock. Was it just now?")
    expect(ahead(90_000)).toContain("and so is this tablet's clock")
  })

  it('says of eggs, vessels and warming what the house or the rule stands on', () => {
    const egg = refusalSentence({ code: 'wrong egg', field: 'body.lot', lot: 'T-1', why: 'unheated' }, READER)
    expect(egg).toContain('no step heats this egg')
    expect(
      refusalSentence({ code: 'unrated vessel', field: 'body.vessel', vessel: 'Tub', why: 'not for food' }, READER),
    ).toContain('not rated for food')
    const warmed = (most: number) => refusalSentence({ code: 'rewarmed enough', field: 'about.id', most }, READER)
    expect([0, 1].map(warmed)).toEqual([
      'This house warms nothing again. Make it new.',
      'It was warmed again once, as often as this house allows. Make it new.',
    ])
  })
})

it.each(Object.entries(shuts))('a decision that is shut because of "%s" says so', (code, named) => {
  const said = shutSentence({ code } as Shut, reader)
  expectSentence(said)
  expect(said.toLowerCase()).toContain(named.toLowerCase())
})

it.each(Object.values(fields))('a field that is wrong says what it has to be: %o', (wrong, said) => {
  const sentence = fieldSentence('body.amounts.grams', wrong, reader)
  expectSentence(sentence.replace(/^"/, 'A'))
  expect(sentence).toContain(said)
})

describe('what is the matter with a method', () => {
  const said = (code: Problem['code'], values: Problem['values'] = {}) => problemSentence(problem(code, values), reader)

  it('names the ingredient and the number, and why it matters', () => {
    expect(said('step missing', { kind: 'cool' })).toContain('cool')
    expect(said('egg after the last heat')).toBe(
      'Corn starch goes in after the last heat. No later step reaches the floor, so this method cannot be proven.',
    )
    expect(said('floor above ceiling', { floor: 70, ceiling: 68 })).toContain('70.0°, lies above the ceiling, 68.0°')
    expect(said('lean cream', { percent: 18 })).toContain('18 % fat')
    for (const code of ['much sugar', 'much gelatine', 'much salt'] as const)
      expect(said(code, { percent: 61 })).toBe('Corn starch is 61 % of the whole. Is that a slip of the pen?')
  })

  it('is a sentence for every fault there is', () => {
    const codes: Problem['code'][] = [
      'no amount',
      'no ingredients',
      'unknown ingredient',
      'starch not boiled',
      'egg not heated',
      'frozen fruit not treated',
      'component unknown',
    ]
    for (const code of codes) expectSentence(said(code).replace(/^"/, 'A'))
    expect(said('sugar slows the kill', { percent: 55 })).toContain('55 %')
  })
})

it('is read in the unit and on the clock of whoever reads it', () => {
  const begins = Date.UTC(2027, 2, 3, 8, 5)
  const early = (zone: string) =>
    refusalSentence(
      { code: 'before it began', field: 'at', begins },
      { scale: 'C', zone, locale: 'en-GB', hours: 24, today: null },
    )
  expect(early('UTC')).toContain('it began at 08:05')
  expect(early('Asia/Kathmandu')).toContain('it began at 13:50')
  const shown = { code: 'bake not shown', field: 'body.bake.shownBy', batch: '62-1', why: 'not read' } as const
  expect(refusalSentence(shown, READER)).toContain('no probe read 90°C')
  expect(refusalSentence(shown, { scale: 'F', zone: 'UTC', locale: 'en-GB', hours: 24, today: null })).toContain(
    'no probe read 194°F',
  )
})
