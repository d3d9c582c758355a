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
