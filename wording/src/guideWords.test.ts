import {
  acidityResult,
  type AcidityTable,
  STEP_KINDS,
  temperVerdict,
  type EggRule,
  type Refusal,
  type WarmUp,
} from '@logged-thermal/core'
import {
  aboutSpan,
  aciditySentence,
  cleaningWords,
  eggRuleSentence,
  endWord,
  orderSentence,
  practiceSentence,
  riseSentence,
  temperSentence,
  warmUpSentence,
} from './guideWords'
import { refusalSentence } from './refusalSentence'

const C = { scale: 'C', zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null } as const
const F = { scale: 'F', zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null } as const

it('says everything the Bench asks in whole sentences, and never that it is safe', () => {
  const rules: EggRule[] = ['any', 'pasteurized', 'shell with advisory']
  const measure = { phTolerance: 0, waterTolerance: 0, meter: 'M', buffers: [] }
  const source = { document: 'd', section: 's', edition: 'e', confidence: 'high' as const }
  const table: AcidityTable = { rows: [], force: 'law', source }
  const refusals: Refusal[] = [
    { code: 'out of order', field: 'body.reason', why: { code: 'before', step: 'cook', kind: 'cook' } },
    { code: 'clean first', field: 'body.step' },
    { code: 'other lot', field: 'body.form', lot: 'T-1' },
    { code: 'lot past its day', field: 'body.lot', lot: 'T-1', useBy: '2027-03-03' },
    { code: 'wrong egg', field: 'body.lot', lot: 'T-1', why: 'unheated' },
    { code: 'wrong egg', field: 'body.lot', lot: 'T-1', why: 'susceptible' },
    { code: 'lot needed', field: 'body.lot' },
    { code: 'heated here', field: 'body.pasteurized' },
    { code: 'other lineage', field: 'body' },
    { code: 'more than is left', field: 'body.grams', left: 90 },
    { code: 'item gone', field: 'about.id' },
    { code: 'kept, not served', field: 'about.id' },
  ]
  const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
  const said = [
    ...rules.flatMap((rule) =>
      [true, false].flatMap((a) => [true, false].map((b) => eggRuleSentence(rule, a, b, { locale: 'en-GB' }))),
    ),
    ...(['raw to cooked', 'separated by hand'] as const).map((why) => cleaningWords(why, { locale: 'en-GB' }).reason),
    ...STEP_KINDS.flatMap((kind) => [
      orderSentence({ code: 'before', step: 'x', kind }, reader),
      orderSentence({ code: 'left out', step: 'x', kind }, reader),
      orderSentence({ code: 'cut short', step: 'x', kind, ready: 0 }, reader),
      orderSentence({ code: 'too long', step: 'x', kind, until: 0 }, reader),
      `${endWord(kind, { locale: 'en-GB' })}.`,
    ]),
    aciditySentence(acidityResult(null, null, true), { locale: 'en-GB' }),
    aciditySentence(acidityResult({ ...measure, ph: 3, waterActivity: null }, null, true), { locale: 'en-GB' }),
    aciditySentence(acidityResult({ ...measure, ph: 3, waterActivity: null }, table, false), { locale: 'en-GB' }),
    aciditySentence(acidityResult({ ...measure, ph: 3, waterActivity: null }, table, true), { locale: 'en-GB' }),
    aciditySentence({ control: 'assessment' }, { locale: 'en-GB' }),
    aciditySentence({ control: 'not needed', row: 0 }, { locale: 'en-GB' }),
    aciditySentence({ control: 'needed', because: 'no water activity' }, { locale: 'en-GB' }),
    practiceSentence(
      {
        susceptible: true,
        cleanFirst: true,
        frozenUseBy: null,
        bakeDays: 180,
        fruitDays: 3,
        warmMinutes: 30,
        serveMinutes: 20,
        rewarmings: 1,
        cookChill: false,
        nightHours: 12,
        rounds: [],
        closing: '22:00',
        partsPassOn: 'ready to eat',
        openedDays: 3,
        hotHours: 4,
        freezerAir: -12,
        permits: { heatedEggs: null, susceptiblePlan: null, packagedAcidity: null },
      },
      { locale: 'en-GB' },
    ),
    ...refusals.map((refusal) =>
      refusalSentence(refusal, { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }),
    ),
  ]
  for (const sentence of said) {
    expect(sentence).toMatch(/^\S.*\.$/)
    expect(sentence).not.toMatch(/undefined|NaN|null|\[object|\bsafe\b|!/i)
  }
})

it('says of tempering how far it is from a kill step, in the reader’s unit, and that reckoning proves nothing', () => {
  const rows = [{ celsius: 63, seconds: 180 }]
  expect(temperSentence(temperVerdict(58, rows), C)).toContain(
    'not a kill step: the lowest row asks 63° for 3 min, 5.0° more',
  )
  expect(temperSentence(temperVerdict(58, rows), F)).toContain('9.0° more')
  expect(temperSentence(temperVerdict(70, rows), C)).toContain('only a reading of the mixture proves it')
})

it('gives a forecast no more precision than it has', () => {
  expect([1_000, 17_400, 42_000, 88_000, 200_000].map((ms) => aboutSpan(ms, { locale: 'en-GB' }))).toEqual([
    'about now',
    'about 17 s',
    'about 40 s',
    'about 90 s',
    'about 3 min',
  ])
  const rise = { at: 0, celsius: 60, least: 1, likely: 2.4, most: 3 }
  expect(riseSentence(rise, C)).toBe('Rising 2.4° a minute.')
  expect(riseSentence(rise, F)).toBe('Rising 4.3° a minute.')
})

it('says how long it was warm in the reader’s unit, and asks for a note only until there is one', () => {
  const warm: WarmUp = { of: { part: 'milk' }, mostMs: 31 * 60_000, long: true, noted: false }
  expect(warmUpSentence(warm, 30, C)).toBe(
    'The milk was between 5 and 57° for up to 31 min, past the house line of 30 min. Note why.',
  )
  expect(warmUpSentence({ ...warm, noted: true }, 30, F)).toBe(
    'The milk was between 41 and 135° for up to 31 min, past the house line of 30 min.',
  )
})
