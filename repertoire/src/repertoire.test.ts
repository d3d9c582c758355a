import Ajv from 'ajv/dist/2020'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  blocking,
  checksFor,
  FAMILY_KEYS,
  FieldError,
  heldTo,
  judged,
  limitSetOf,
  methodFile,
  methodSchema,
  problemsOf,
  readMethodFile,
  ruleSets,
  type Method,
} from '@logged-thermal/core'
import { repertoire } from './repertoire'

const methods = repertoire()
const find = (id: string): Method | null => methods.find((method) => method.id === id) ?? null
const limits = Object.values(ruleSets).map((set) => limitSetOf(set, { id: 'limits', from: 0 }))

describe('the repertoire', () => {
  it('has every family, two or more where practitioners differ', () => {
    expect(methods.length).toBeGreaterThanOrEqual(24)
    const count = (family: string) => methods.filter((method) => method.family === family).length
    for (const family of FAMILY_KEYS) expect(count(family)).toBeGreaterThanOrEqual(1)
    for (const family of [
      'starch-custard',
      'poured-custard',
      'churned-base',
      'heated-nog',
      'fruit-curd',
      'yolk-foam',
      'white-foam',
      'mousse',
      'gelatine-cream',
      'fruit-jelly',
      'baked-custard',
    ])
      expect(count(family)).toBeGreaterThanOrEqual(2)
    expect(new Set(methods.map(({ name }) => name)).size).toBe(methods.length)
  })

  it('holds nothing that blocks, under any rule set', () => {
    for (const set of limits)
      for (const method of methods) {
        const problems = blocking(problemsOf(method, set, '2027-03-03', find), method)
        expect([method.name, problems.map(({ id }) => id)]).toEqual([method.name, []])
        expect(checksFor(method, set, '2027-03-03').length).toBeGreaterThan(0)
      }
  })
})

describe('the method file', () => {
  const valid = new Ajv({ allErrors: true }).compile(methodSchema)

  it('is described by the published schema, which is the one in docs', () => {
    expect(JSON.parse(readFileSync(join(__dirname, '../../docs/method.schema.json'), 'utf8'))).toEqual(methodSchema)
    const file: unknown = JSON.parse(methodFile(methods))
    expect([valid(file), valid.errors]).toEqual([true, null])
    expect(valid({ format: 'logged-thermal method', version: 1, methods: [{ name: 'x' }] })).toBe(false)
  })

  it('comes back as it went out', () => {
    expect(readMethodFile(methodFile(methods))).toEqual(methods)
  })

  it.each<[string, (file: { methods: Record<string, unknown>[] }) => unknown, string]>([
    [
      'a step that an amount names and nobody has',
      (file) => ((file.methods[0]!.amounts as { step: string }[])[0]!.step = 'nowhere'),
      'file.methods[0].amounts[0].step',
    ],
    [
      'an ingredient nobody knows',
      (file) => ((file.methods[0]!.amounts as { ingredient: string }[])[1]!.ingredient = 'gold'),
      'file.methods[0].amounts[1].ingredient',
    ],
    [
      'a bare oven setting',
      (file) => ((file.methods[0]!.instructions as Record<string, { oven: unknown }>).cook!.oven = { value: 210 }),
      'file.methods[0].instructions.cook.oven.unit',
    ],
    [
      'two steps of one key',
      (file) => (file.methods[0]!.steps as unknown[]).push((file.methods[0]!.steps as unknown[])[0]),
      'file.methods[0].steps[6].key',
    ],
    ['another format', (file) => Object.assign(file, { format: 'x' }), 'file.format'],
  ])('is refused for %s, naming the field', (_, spoil, field) => {
    const file = JSON.parse(methodFile(methods.slice(0, 1))) as { methods: Record<string, unknown>[] }
    spoil(file)
    let found = 'taken'
    try {
      readMethodFile(JSON.stringify(file))
    } catch (error) {
      found = (error as FieldError).field
    }
    expect(found).toBe(field)
  })

  it('is refused when it is no JSON', () => {
    expect(() => readMethodFile('{')).toThrow(FieldError)
  })
})

describe('a limit that is printed and judged nowhere', () => {
  it('is in no check of any method under any rule set; what is in one says that it is judged', () => {
    const inChecks = new Set(
      limits.flatMap((set) =>
        methods.flatMap((method) => heldTo(method, 1, set, true, '2027-03-03').checks.map(({ limit }) => limit.key)),
      ),
    )
    expect([...inChecks].filter((key) => !judged[key])).toEqual([])
    const printed = new Set(Object.values(ruleSets).flatMap((set) => set.limits.map(({ key }) => key)))
    expect([...printed].filter((key) => !judged[key])).toContain('time-control-cold')
  })
})
