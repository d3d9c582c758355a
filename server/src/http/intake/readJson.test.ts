import fc from 'fast-check'
import { DEEPEST, readJson } from './readJson'

const read = (text: string) => readJson(Buffer.from(text))
const nested = (depth: number) => `${'['.repeat(depth)}7${']'.repeat(depth)}`

describe('JSON of a request', () => {
  it('is what JSON.parse makes of it, whatever it holds', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) =>
        expect(read(JSON.stringify(value))).toEqual(JSON.parse(JSON.stringify(value))),
      ),
    )
  })

  it('is not taken for deep because of what stands in a text', () => {
    expect(read(JSON.stringify({ a: '[['.repeat(20_000), 'b"\\': '{:'.repeat(5_000) }))).toHaveProperty('a')
  })

  it('is cut off below the deepest that any entry has, so that the rest can still be judged', () => {
    const value = read(`{"entries": [${nested(1_500)}, {"id": 1}]}`) as { entries: unknown[] }
    expect(value.entries[1]).toEqual({ id: 1 })
    let depth = 0
    for (let inner: unknown = value; typeof inner === 'object' && inner !== null; depth++)
      inner = Object.values(inner)[0]
    expect(depth).toBe(DEEPEST)
  })

  it.each([
    ['brackets without end', nested(450_000), /levels deep/],
    [
      'an object of very many fields',
      `{${Array.from({ length: 90_000 }, (_, i) => `"f${i}":1`).join()}}`,
      /1000 fields/,
    ],
    ['half a text', '{"a": "b', /not readable/],
    ['nothing at all', '', /not readable/],
  ])('is refused for %s', (_, text, said) => {
    const refused = { status: 400, sentence: expect.stringMatching(said) as string }
    expect(() => read(text)).toThrow(expect.objectContaining(refused) as Error)
  })
})
