import { difference, type Reader } from './figures'
import { backingWords, errorWords } from './instrumentWords'

const reader = (scale: 'C' | 'F'): Reader => ({ scale, zone: 'UTC', locale: 'en-GB', hours: 24, today: null })

it('tells how far apart two temperatures are in the degrees of the reader, with its side where that is asked', () => {
  expect(difference(1.9, reader('C'), 'told')).toBe('+1.9°')
  expect(difference(-0.5, reader('F'), 'told')).toBe('−0.9°')
  expect(difference(-0.5, reader('C'))).toBe('0.5°')
  expect(difference(0.01, reader('C'), 'told')).toBe('0.0°')
})

it('tells the error of a pH meter as pH, whatever the degrees', () => {
  expect(errorWords('ph', -0.02, reader('F'))).toBe('−0.02')
  expect(errorWords('ph', 0.1, reader('C'), 'not told')).toBe('0.10')
  expect(errorWords('probe', 0.7, reader('C'))).toBe('+0.7°')
})

it('says of an instrument only what takes its power, or marks it', () => {
  expect((['checked', 'not asked'] as const).map((backing) => backingWords(backing, reader('C')))).toEqual([null, null])
  for (const backing of ['lapsed', 'unchecked', 'failed'] as const)
    expect(backingWords(backing, reader('C'))).toContain('proves nothing')
  expect(backingWords('overdue', reader('C'))).toBe('check overdue')
})
