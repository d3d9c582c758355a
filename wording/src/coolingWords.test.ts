import type { Action, Forecast, GateForecast, Outcome, Passing, PlannedStage } from '@logged-thermal/core'
import {
  actionDone,
  actionWord,
  groundsSentence,
  leftAsItIs,
  lostSentence,
  outcomeWords,
  passingSentence,
  placedWords,
  plannedInShort,
  plannedWords,
  planWords,
  pouredWords,
} from './coolingWords'

const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
const at = (hours: number, minutes: number) => Date.UTC(2027, 2, 3, hours, minutes)
const passing = (more: Partial<Passing>): Passing => ({
  level: 21,
  median: at(13, 52),
  low: at(13, 41),
  high: at(14, 10),
  quantiles: [],
  ...more,
})
const gate = (more: Partial<Passing> = {}) =>
  ({ level: 21, deadline: at(14, 20), passing: passing(more) }) as GateForecast
const stage = { key: 'cool-first', from: 57, to: 21, withinMinutes: 120 }
const planned = (likely: number, says: PlannedStage['says']): PlannedStage => ({
  stage,
  minutes: { least: likely, likely, most: likely },
  miss: 0,
  says,
})

it('says when a gate is passed, how far that may be out, and when it is due', () => {
  const before = gate().passing.low!
  const said = (of: ReturnType<typeof gate>, now = before) => passingSentence(of, now, reader)
  expect(said(gate())).toBe('On course to reach 21° about 13:52 (13:41–14:10), due 14:20.')
  expect(said(gate({ high: null }))).toBe('On course to reach 21° about 13:52 (from 13:41, perhaps never), due 14:20.')
  expect(said(gate({ median: null, low: null, high: null }))).toBe('Where it stands it does not reach 21°, due 14:20.')
  expect(passingSentence(gate(), before, { ...reader, scale: 'F' })).toContain('reach 70°')
  // Its time has come and nobody read it: no forecast any more.
  expect(said(gate(), gate().passing.median! + 1)).toBe('It should have reached 21° about 13:52: read it, due 14:20.')
})

it('never promises: a plan is about so long, too close, or misses', () => {
  expect(plannedWords(planned(52, 'makes it'), reader)).toBe('21° in about 52 min of 2 h.')
  expect(plannedWords(planned(115, 'too close'), reader)).toBe('21° in about 1 h 55 min of 2 h: too close.')
  expect(plannedWords(planned(286, 'misses'), reader)).toBe('21° in about 4 h 46 min, and may take 2 h: too slow.')
  expect(plannedWords(planned(Infinity, 'misses'), reader)).toBe('21° not reached there.')
  expect(plannedInShort(planned(286, 'misses'), reader)).toBe('too slow: 4 h 46 min')
})

it('says why a vessel cannot be taken before how it would cool', () => {
  const outcome = {
    refused: 'not for hot',
    stages: [planned(30, 'makes it')],
    choice: { place: 'ice bath' },
  } as unknown as Outcome
  expect(outcomeWords(outcome, reader)).toBe('Not rated for hot food.')
  expect(outcomeWords({ ...outcome, refused: null }, reader)).toBe('21° in about 30 min of 2 h.')
})

it('names an action with its depth and its pans', () => {
  expect(actionWord({ kind: 'shallow pans', place: 'refrigerator', depth: 0.045, pans: 3 }, reader)).toBe(
    'Split over 3 pans, 4.5 cm deep, into the cold',
  )
})

it('says what a gate will see if nobody acts, and on what that rests', () => {
  const seen = { ...gate(), atDeadline: 26.7 }
  expect(leftAsItIs(seen, reader)).toBe('If you do nothing: about 27° at 14:20. Limit 21°.')
  expect(leftAsItIs({ ...seen, atDeadline: 22 }, { ...reader, scale: 'F' })).toContain('about 72° at')
  const rests = (batches: number, place: string | null, guessed: boolean) =>
    groundsSentence(
      { batches, setting: { place, product: guessed ? { guessed: true } : {} } } as unknown as Forecast,
      reader,
    )
  expect(rests(4, 'counter', false)).toBe('From 4 earlier coolings alike in this kitchen.')
  expect(rests(0, null, true)).toBe('Nobody said where it stands: say so, and the range narrows.')
  expect(rests(0, 'counter', true)).toContain('the pot was not measured')
  expect(rests(0, 'counter', false)).toBe('Reckoned from its vessel, depth and place.')
})

it('leaves what nothing saves to the lead, with rework only where the rule set knows it', () => {
  const rework = {
    limit: { key: 'rework', rule: { kind: 'hold', rows: [{ at: { c: 74, f: 165 }, seconds: 15 }] } },
    unit: 'C',
  }
  const said = (checks: unknown[]) => lostSentence({ checks } as Parameters<typeof lostSentence>[0], reader)
  expect(said([])).toContain('no rework here: discard it')
  expect(said([rework])).toContain('rework it (74° for 15 s), while its time runs, or discard it')
})

it('says where something stands and in what it was poured, as it was entered', () => {
  const air = { value: -1, unit: 'C' as const }
  expect(placedWords({ place: 'blast chiller', unit: null, air }, reader)).toBe('Blast chiller, air -1.0 °C')
  expect(placedWords({ place: 'counter', unit: null, air: null }, reader)).toBe('Counter')
  const pouring = { vessel: { name: 'Steel tray' }, pans: 3, depth: 0.045 } as Parameters<typeof pouredWords>[0]
  expect(pouredWords(pouring, reader)).toBe('3 × Steel tray, 4.5 cm deep')
  expect(pouredWords({ ...pouring, pans: 1 }, reader)).toBe('Steel tray, 4.5 cm deep')
  const plan = { ...pouring, place: 'fan refrigerator' } as unknown as Parameters<typeof planWords>[0]
  expect(planWords(plan, reader)).toBe('Plan: 3 × Steel tray, 4.5 cm deep, fan refrigerator')
})

it('has for every action a word to do it and a word that it was done', () => {
  const done = {
    'stirred ice bath': ['Ice bath + stir', 'Ice bath is on'],
    'ice bath': ['Ice bath', 'Ice bath is on'],
    'blast chiller': ['Blast chiller', 'It is in the chiller'],
    split: ['Split in two', 'It is split'],
    'shallow pans': ['Split over 2 pans, 6 cm deep, into the cold', 'It is split'],
  } satisfies Record<Action['kind'], string[]>
  for (const [kind, words] of Object.entries(done)) {
    const action = { kind, place: 'refrigerator', depth: 0.06, pans: 2 } as Action
    expect([actionWord(action, reader), actionDone(action, reader)]).toEqual(words)
  }
})
