import { PACE_MEASURES, sameMeasure, type Trend, type TrendMeasure } from '@logged-thermal/core'
import { limitDegreesOf, trendsMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(trendsMessages)

/** What is looked at, as it stands in the address: 'gate cool-first', 'first reading'. */
export function keyOf(measure: TrendMeasure): string {
  return measure.of === 'gate' ? `gate ${measure.key}` : measure.of
}

/** As the server is asked; nothing, where the address says nothing that is known. */
export function measureQuery(key: string): string {
  if (key.startsWith('gate ')) return `&gate=${encodeURIComponent(key.slice(5))}`
  return PACE_MEASURES.some((of) => of === key) ? `&pace=${encodeURIComponent(key)}` : ''
}

/** What is looked at, in words: 'minutes to spare at 21°'. */
export function measureWords(measure: TrendMeasure, trend: Trend, reader: Reader): string {
  const known = trend.measures.find((each) => sameMeasure(each.measure, measure))
  if (measure.of !== 'gate') return say(`measure_${measure.of}`)
  const gate = known?.celsius == null ? say('gateWord', { key: measure.key }) : limitDegreesOf(known.celsius, reader)
  return say(`measure_gate ${known?.unit ?? 'min'}`, { gate })
}
