import type { GateForecast, Outcome, Passing, PlannedStage } from '@logged-thermal/core'
import { actionWord, outcomeWords, passingSentence, plannedInShort, plannedWords } from './coolingWords'

const reader = { unit: 'C' as const, zone: 'UTC' }
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
  expect(passingSentence(gate(), reader)).toBe('passes 21° about 13:52 (13:41–14:10), due 14:20')
  expect(passingSentence(gate({ high: null }), reader)).toBe(
    'passes 21° about 13:52 (from 13:41, perhaps never), due 14:20',
  )
  expect(passingSentence(gate({ median: null, low: null, high: null }), reader)).toBe(
    'does not pass 21° where it stands, due 14:20',
  )
  expect(passingSentence(gate(), { ...reader, unit: 'F' })).toContain('69.8°')
})

it('never promises: a plan is about so long, too close, or misses', () => {
  expect(plannedWords(planned(52, 'makes it'), reader)).toBe('21° in about 52 min of 2 h.')
  expect(plannedWords(planned(115, 'too close'), reader)).toBe('21° in about 1 h 55 min of 2 h: too close.')
  expect(plannedWords(planned(286, 'misses'), reader)).toBe('21° in about 4 h 46 min, and may take 2 h: misses.')
  expect(plannedWords(planned(Infinity, 'misses'), reader)).toBe('21° not reached there.')
  expect(plannedInShort(planned(286, 'misses'), reader)).toBe('misses: 4 h 46 min')
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
  expect(actionWord({ kind: 'shallow pans', place: 'refrigerator', depth: 0.045, pans: 3 })).toBe(
    'Split over 3 pans, 4.5 cm deep, into the cold',
  )
})
