import type { Spare, TrendPoint } from '@logged-thermal/core'
import { difference, trendsMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(trendsMessages)

/** A value as it is written: '12 min', '3.4°'. */
export function valueWords(value: number, unit: Spare['unit'], reader: Reader): string {
  if (unit === '°C') return `${value < 0 ? '−' : ''}${difference(value, reader)}`
  return say('minutes', { value: `${value < 0 ? '−' : ''}${Math.abs(Math.round(value))}` })
}

/** What the readings of a batch say, in words: 'at most −12 min', 'between 4 and 20 min'. */
export function pointWords({ spare: { unit, least, most }, drawn, standing }: TrendPoint, reader: Reader): string {
  const words = (value: number) => valueWords(value, unit, reader)
  if (drawn !== null) return standing === 'missed' ? say('atMost', { value: words(drawn) }) : words(drawn)
  if (least !== null && most !== null) return say('between', { least: words(least), most: words(most) })
  return most !== null ? say('atMost', { value: words(most) }) : say('unknown')
}
