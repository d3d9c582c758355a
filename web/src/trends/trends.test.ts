import { controlChart, type TrendPoint } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import { keyOf, measureQuery } from './asked'
import { chartOrder } from './chartOrder'
import { pointWords, valueWords } from './values'

const reader: Reader = { scale: 'C', zone: 'UTC', hours: 24, today: '2027-03-03', locale: 'en-GB' }
const point = (drawn: number | null, standing: TrendPoint['standing'], least: number | null, most: number | null) =>
  ({ drawn, standing, spare: { unit: 'min', least, most } }) as TrendPoint

it('keeps each value of the chart beside its own batch, over those that have none', () => {
  const points = [point(10, 'proven', 10, null), point(null, 'unproven', 2, 30), point(-4, 'missed', null, -4)]
  const { charted, ranges } = chartOrder({ points, chart: controlChart([10, -4]) })
  expect(charted.map((each) => each?.value ?? null)).toEqual([10, null, -4])
  expect(ranges).toEqual([null, null, 14])
})

it('writes what is missed as at most, what is not proven as a range, in the reader’s degrees', () => {
  expect(pointWords(point(12.4, 'proven', 12.4, null), reader)).toBe('12 min')
  expect(pointWords(point(-12, 'missed', null, -12), reader)).toBe('at most −12 min')
  expect(pointWords(point(null, 'unproven', 4, 20), reader)).toBe('between 4 min and 20 min')
  expect(pointWords(point(null, 'unproven', null, null), reader)).toBe('the readings do not say')
  expect(valueWords(-2, '°C', { ...reader, scale: 'F' })).toBe('−3.6°')
})

it('asks in the address for a gate or a pace, and for nothing that nobody knows', () => {
  for (const measure of [{ of: 'gate', key: 'cool-first' }, { of: 'longest unread' }] as const) {
    const asked = new URLSearchParams(measureQuery(keyOf(measure)))
    expect(asked.get('gate') ?? asked.get('pace')).toBe(measure.of === 'gate' ? measure.key : measure.of)
  }
  expect(measureQuery('the moon')).toBe('')
})
