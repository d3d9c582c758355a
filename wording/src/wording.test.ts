import { checksFor, limitSetOf, newMethod, ruleSets, type Method } from '@logged-thermal/core'
import {
  clock,
  clockWithSeconds,
  dayName,
  degrees,
  hoursWritten,
  largeSpan,
  limitDegrees,
  limitDegreesOf,
  span,
} from './figures'
import { limitTitle, sourceLine } from './limitWords'
import { refusalSentence } from './refusalSentence'

const celsius = {
  scale: 'C' as const,
  zone: 'Europe/London',
  locale: 'en-GB' as const,
  hours: 24 as const,
  today: null,
}
const fahrenheit = { ...celsius, scale: 'F' as const }

describe('figures', () => {
  it('rounds a temperature to reach down and one to stay under up', () => {
    expect(degrees(67.99, celsius, 'reach')).toBe('67.9°')
    expect(degrees(5.01, celsius, 'under')).toBe('5.1°')
    expect(degrees(68.4, celsius)).toBe('68.4°')
  })

  it('prints the figure of the document in °F, and in °C the stricter tenth of what is compared in °F', () => {
    expect(limitDegrees({ c: 68, f: 155 }, 'F', fahrenheit, 'reach')).toBe('155°')
    expect(limitDegrees({ c: 68, f: 155 }, 'F', celsius, 'reach')).toBe('68.4°')
    expect(limitDegrees({ c: 21, f: 70 }, 'F', celsius, 'under')).toBe('21.1°')
    expect(limitDegrees({ c: 21, f: 70 }, 'C', fahrenheit, 'under')).toBe('70°')
    expect([68, 57, 21, 5].map((printed) => limitDegreesOf(printed, fahrenheit))).toEqual([
      '155°',
      '135°',
      '70°',
      '41°',
    ])
    expect([68, 57, 21, 5].map((printed) => limitDegreesOf(printed, celsius))).toEqual(['68°', '57°', '21°', '5°'])
    // As a kitchen of °F compares them.
    expect([155, 135, 70, 41].map((f) => limitDegreesOf(((f - 32) * 5) / 9, fahrenheit))).toEqual([
      '155°',
      '135°',
      '70°',
      '41°',
    ])
    // Where one document prints both figures, another's conversion does not stand in for it.
    expect([63, 60, 74].map((printed) => limitDegreesOf(printed, fahrenheit))).toEqual(['145°', '140°', '165°'])
    // No document prints it: a guard of the house.
    expect(limitDegreesOf(68.5, fahrenheit)).toBe('155.3°')
  })

  it('tells time on the wall of the kitchen', () => {
    expect(clock(Date.UTC(2027, 6, 1, 13, 44), celsius)).toBe('14:44')
    expect(dayName('2027-03-05', celsius)).toBe('Fri 5 Mar')
    expect([17_000, 240_000, 12_120_000].map((ms) => span(ms, celsius))).toEqual(['17 s', '4 min', '3 h 22 min'])
    expect([17_000, 240_000, 6_540_000, 10_800_000].map((ms) => largeSpan(ms, celsius))).toEqual([
      ['17', 's'],
      ['4', 'min'],
      ['1:49', 'h'],
      ['3', 'h'],
    ])
  })
})

describe('sentences', () => {
  const set = limitSetOf(ruleSets['us-food-code-2022']!, { id: 'l', from: 0, unit: 'C' })
  const steps = (['temper', 'cook', 'cool', 'hold'] as const).map((kind) => ({
    key: kind,
    kind,
    measures: 'mixture' as const,
  }))
  const method: Method = {
    ...newMethod({ id: 'm', vesselId: 'v', name: 'Custard', family: 'poured-custard' }),
    steps: [...steps],
  }

  it('says what each check asks and where it is from', () => {
    const said = checksFor(method, set, '2027-03-03').map(
      (check) => `${limitTitle(check, celsius)} | ${sourceLine(check, { locale: 'en-GB' })}`,
    )
    expect(said[0]).toBe('68° for 17 s, or 70° at once | FDA Food Code 2022, 3-401.11(A)(2) · law')
    expect(said[4]).toBe('5° within 6 h of 57° | FDA Food Code 2022, 3-501.14(A)(2) · law')
  })

  it('never says what the program may not say', () => {
    const refusals = [
      refusalSentence({ code: 'ahead of clock', field: 'at', aheadMs: 240_000, clockAheadMs: 240_000 }, celsius),
      refusalSentence(
        {
          code: 'bad field',
          field: 'body.typed.value',
          problem: { code: 'not a temperature', typed: '900 °C' },
        },
        celsius,
      ),
    ]
    expect(refusals[0]).toBe(
      "That time is 4 min ahead of the kitchen's clock, and so is this tablet's clock. Was it just now?",
    )
    for (const sentence of refusals) expect(sentence).not.toMatch(/safe|oops|!/i)
  })
})

describe('a clock time', () => {
  const at = Date.UTC(2027, 2, 6, 14, 44, 20)
  const on = (today: string | null, hours: 12 | 24 = 24) => clock(at, { ...celsius, today, hours })

  it('carries its day where that is not today, and its date where it is not of this week', () => {
    expect(['2027-03-06', '2027-03-05', '2027-03-12', '2027-03-13', null].map((day) => on(day))).toEqual([
      '14:44',
      'Sat 14:44',
      'Sat 14:44',
      '6 Mar 14:44',
      '14:44',
    ])
  })

  it('carries its day to the second too', () => {
    const said = ['2027-03-06', '2027-03-07'].map((today) => clockWithSeconds(at, { ...celsius, today }))
    expect(said).toEqual(['14:44:20', 'Sat 14:44:20'])
  })

  it('is written as the kitchen writes it', () => {
    expect(on('2027-03-06', 12)).toBe('2:44 pm')
    expect(on('2027-03-05', 12)).toBe('Sat 2:44 pm')
    const reader = { ...celsius, hours: 12 as const }
    expect(['00:05', '11:59', '12:00', '23:05:09'].map((time) => hoursWritten(time, reader))).toEqual([
      '12:05 am',
      '11:59 am',
      '12:00 pm',
      '11:05:09 pm',
    ])
  })
})
