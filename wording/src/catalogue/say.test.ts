import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { parse } from '@formatjs/icu-messageformat-parser'
import * as words from '../index'
import { say } from './say'

const CATALOGUE = __dirname
/** Help is asked for by the names of the views. */
const catalogues = Object.entries(words).filter(([name]) => name.endsWith('Messages') && name !== 'helpMessages') as [
  string,
  Record<string, string>,
][]

describe('a message', () => {
  const eggs = '{count, plural, one {# egg} other {# eggs}}{isRaw, select, true {, raw} other {}}'

  it('chooses its plural and what is turned on, and leaves out what is not there', () => {
    expect(say(eggs, 'en-GB', { count: 1, isRaw: true })).toBe('1 egg, raw')
    expect(say(eggs, 'en-GB', { count: 0, isRaw: false })).toBe('0 eggs')
    expect(say('{lot} of {day}', 'en-GB', { lot: null, day: 'Mon' })).toBe(' of Mon')
  })

  it('says the same when it was compiled', () => {
    expect(say(parse(eggs), 'en-GB', { count: 12, isRaw: true })).toBe('12 eggs, raw')
  })

  it('fails where a value is missing', () => {
    expect(() => say('{lot}', 'en-GB')).toThrow(/lot/)
  })

  it('is accented and 40 % longer in the language that finds faults, with its values as they are', () => {
    expect(say('{name} is cold: {count, plural, one {one egg} other {eggs}}', 'en-XA', { name: 'Nog', count: 1 })).toBe(
      'Nog íš çóĺd:··· óñé égg···',
    )
    expect(say('ten letters', 'en-XA')).toHaveLength('ten letters'.length + 4)
    expect(say('ten letters', 'en-GB')).toBe('ten letters')
  })
})

describe('American English', () => {
  const us = (text: string) => say(text, 'en-US')

  it('is written as it is there, whatever stands before it, and what is filled in stays as it was typed', () => {
    expect(us('Moulds of 3 litres, 40 millilitres, 12 centimetres: cancelled, labelled')).toBe(
      'Molds of 3 liters, 40 milliliters, 12 centimeters: canceled, labeled',
    )
    expect(us('A thermometer, a parameter and the colours')).toBe('A thermometer, a parameter and the colors')
    expect(
      say('{name}: {count, plural, one {# litre} other {# litres}}', 'en-US', { name: 'Grey litre', count: 2 }),
    ).toBe('Grey litre: 2 liters')
    expect(say(parse('A litre'), 'en-US')).toBe('A liter')
    expect(say('A litre', 'en-GB')).toBe('A litre')
  })

  it('has the month before the day', () => {
    const reader = { scale: 'F', zone: 'UTC', locale: 'en-US', hours: 12, today: null } as const
    expect([words.dayName('2027-03-03', reader), words.fullDate('2027-03-03', reader)]).toEqual([
      'Wed Mar 3',
      'Mar 3, 2027',
    ])
  })

  it('is chosen by its name; what there are no words in is British', () => {
    expect(words.LANGUAGES.map((each) => words.localeOf(each))).toEqual([...words.LANGUAGES])
    expect([words.localeOf('xx'), words.localeOf(null)]).toEqual(['en-GB', 'en-GB'])
  })
})

describe('the catalogue', () => {
  it.each(catalogues)('%s: each message can be read, and is asked for', (name, messages) => {
    const files = sourcesThatSpeak(name)
    for (const [key, message] of Object.entries(messages)) {
      expect(() => parse(message)).not.toThrow()
      // A key that is put together, as `claim_${claim}`, is known by its first part; a step of the tour by its list.
      const asked = [`'${key}'`, `\`${key.split('_')[0]!}_$`, key.endsWith('Says') ? 'Says`' : '']
      expect({ key, asked: files.some((text) => asked.some((each) => each !== '' && text.includes(each))) }).toEqual({
        key,
        asked: true,
      })
    }
  })
})

/** The sources of every part that speak these messages, and the catalogue's own lists of keys. */
function sourcesThatSpeak(name: string): string[] {
  const root = join(CATALOGUE, '..', '..', '..')
  return ['wording', 'web', 'checker', 'server']
    .map((part) => join(root, part, 'src'))
    .flatMap((folder) => readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((file) => join(folder, file)))
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
    .map((file) => readFileSync(file, 'utf8'))
    .filter(
      (text) =>
        text.includes(`(${name})`) || (text.includes(`const ${name} `) && /export const [A-Z]+ = \[/.test(text)),
    )
}
