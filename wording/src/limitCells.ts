import type { Degrees, Rule, TemperatureScale } from '@logged-thermal/core'
import { ruleWords } from './limitWords'
import { span, type Reader } from './figures'
import { speaker } from './catalogue/say'
import { rulesMessages } from './catalogue/rules'

const say = speaker(rulesMessages)

/** A limit as the cells of a table: the figure in each unit as printed, and the time. */
export interface LimitCells {
  celsius: string
  fahrenheit: string
  time: string
  /** What is said where no figure says it. */
  words: string
}

/** Of a floor the shortest hold stands for all its rows; the number of the others is in `words`. */
export function limitCells(rule: Rule, reader: Reader): LimitCells {
  const pair = (text: (degrees: Degrees, scale: TemperatureScale) => string, ...all: Degrees[]) => ({
    celsius: all.map((each) => text(each, 'C')).join(' to '),
    fahrenheit: all.map((each) => text(each, 'F')).join(' to '),
  })
  const plain = (each: Degrees, scale: TemperatureScale) => `${figure(scale === 'C' ? each.c : each.f)}°`
  const minutes = (count: number) => span(count * 60_000, reader)
  switch (rule.kind) {
    case 'hold': {
      const row = rule.rows.findLast(({ seconds }) => seconds > 0) ?? rule.rows[0]!
      const others = rule.rows.length - 1
      const time = row.seconds === 0 ? say(reader, 'atOnce') : span(row.seconds * 1000, reader)
      return { ...pair(plain, row.at), time, words: others ? say(reader, 'orOneOtherRows', { others }) : '' }
    }
    case 'equivalent': {
      const { atCelsius } = rule.reference
      return {
        ...pair(plain, { c: atCelsius, f: atCelsius * 1.8 + 32 }),
        time: minutes(rule.minutes),
        words: say(reader, 'addedUp'),
      }
    }
    case 'reach': {
      const from = typeof rule.clock === 'object' && 'crossing' in rule.clock ? [rule.clock.crossing] : []
      const further = typeof rule.clock === 'object' && 'after' in rule.clock
      return {
        ...pair(plain, ...from, rule.to),
        time: minutes(rule.withinMinutes),
        words: further ? say(reader, 'aFurther') : '',
      }
    }
    case 'stay': {
      const time = rule.grace
        ? `${minutes(rule.grace.minutes)} ${rule.grace.count === 'once' ? 'once' : say(reader, 'inAll')}`
        : ''
      return {
        ...pair(plain, rule.level),
        time,
        words: rule.side === 'under' ? say(reader, 'orUnder2') : say(reader, 'orOver2'),
      }
    }
    case 'exposure':
      return {
        ...pair(plain, rule.low, rule.high),
        time: rule.bands
          .filter(({ fromMinutes }) => fromMinutes > 0)
          .map(({ fromMinutes }) => minutes(fromMinutes))
          .join(', '),
        words: say(reader, 'inAll'),
      }
    case 'days':
      return { celsius: '', fahrenheit: '', time: say(reader, 'daysDays', { days: rule.days }), words: '' }
    case 'hours':
      return {
        ...(rule.under ? pair(plain, rule.under) : { celsius: '', fahrenheit: '' }),
        time: minutes(rule.hours * 60),
        words: '',
      }
    case 'tolerance':
      return { celsius: `±${figure(rule.within.c)}`, fahrenheit: `±${figure(rule.within.f)}`, time: '', words: '' }
    case 'egg lot':
    case 'no number':
    case 'condition':
    case 'acidity':
      return { celsius: '', fahrenheit: '', time: '', words: ruleWords(rule, 'C', reader) }
  }
}

function figure(value: number): string {
  return String(Math.round(value * 10) / 10)
}
