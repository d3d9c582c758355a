import fc from 'fast-check'
import { canonical, isCanonical } from './canonical'

it('knows the canonical text of a value from every other text of it', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.string(), (value, name) => {
      const text = canonical(value)
      expect(isCanonical(text, JSON.parse(text))).toBe(true)
      const spaced = JSON.stringify([value], null, 1)
      expect(isCanonical(spaced, JSON.parse(spaced))).toBe(false)
      const twice = `{"a":1,${JSON.stringify(name)}:2,"a":1}`
      expect(isCanonical(twice, JSON.parse(twice))).toBe(false)
    }),
    { numRuns: 200 },
  )
  for (const [text, is] of [
    ['{"10":1,"9":2}', true],
    ['{"9":2,"10":1}', false],
    ['{"b":1,"a":2}', false],
    ['{"a":{"d":1,"c":1}}', false],
    ['[1.0]', false],
    ['[1e2]', false],
    ['["\\u0061"]', false],
  ] as const)
    expect([text, isCanonical(text, JSON.parse(text))]).toEqual([text, is])
})
