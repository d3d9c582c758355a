import { orNull, record } from '../../ground/jsonSchema'
import { METHOD_FILE } from './methodFile'
import { MARKS } from './parseMethod'
import { schedules } from '../../rules/sets/schedules'
import { COOLINGS, COOLS_FIRST, COVERED, FAMILY_KEYS, OVER, STEP_KINDS } from './method'

const text = (maxLength: number) => ({ type: 'string', minLength: 1, maxLength })
const number = (minimum: number, maximum: number) => ({ type: 'number', minimum, maximum })
const list = (items: object) => ({ type: 'array', items, maxItems: 200 })
const id = { type: 'string', pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[1-9a-f][0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}$' }
const degrees = record({ c: number(-90, 400), f: number(-130, 752) })
const typed = record({ value: { type: 'number' }, unit: { enum: ['C', 'F'] } })
const of = { anyOf: [{ const: 'mixture' }, record({ part: text(80) })] }
const share = number(0, 1)

/**
 * JSON Schema of a method file: { format, version, methods }. Published, so that other programs can write one; what a
 * schema cannot say (a step named by an amount exists, °F is the same temperature as °C) is checked when it is read.
 */
export const methodSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Logged Thermal method file',
  ...record({
    format: { const: METHOD_FILE },
    version: { const: 1 },
    methods: list(
      record({
        id,
        version: { type: 'integer', minimum: 1 },
        name: text(80),
        family: { enum: [...FAMILY_KEYS] },
        steps: list(record({ key: text(40), kind: { enum: [...STEP_KINDS] }, measures: of })),
        schedule: orNull({ enum: Object.keys(schedules) }),
        cooling: { enum: [...COOLINGS] },
        ceiling: orNull(degrees),
        raw: { type: 'boolean' },
        untreatedFruit: { type: 'boolean' },
        houseDays: { type: 'integer', minimum: 1, maximum: 365 },
        vessel: record({ id, name: text(80), fillDepth: number(0.005, 2) }),
        instructions: {
          type: 'object',
          additionalProperties: record(
            {
              text: { type: 'string', maxLength: 300 },
              activeMinutes: number(0, 1440),
              passiveMinutes: orNull(record({ least: number(0, 100_000), most: number(0, 100_000) })),
              target: orNull(record({ from: degrees, to: degrees })),
              oven: orNull(typed),
              over: { enum: [...OVER] },
              first: { enum: [...COOLS_FIRST] },
              cover: { enum: [...COVERED] },
            },
            ['over', 'first', 'cover'],
          ),
        },
        amounts: list(
          record(
            {
              key: text(40),
              ingredient: text(40),
              grams: orNull(number(0.01, 1e6)),
              count: orNull(number(0.1, 100_000)),
              step: text(40),
              state: { enum: ['as it is', 'pasteurized lot', 'frozen', 'treated'] },
              said: text(60),
            },
            ['said'],
          ),
        ),
        components: list(
          record({ key: text(40), method: id, name: text(80), grams: orNull(number(0.01, 1e6)), step: text(40) }),
        ),
        own: list(
          record(
            {
              key: text(40),
              name: text(80),
              synonyms: list(text(80)),
              composition: record(
                { water: share, protein: share, fat: share, carbohydrate: share, fibre: share, ash: share },
                ['fibre'],
              ),
              allergens: list({ type: 'string' }),
              origin: { enum: ['plant', 'milk', 'egg', 'honey', 'land animal', 'fish'] },
              alcohol: share,
              needsCold: { type: 'boolean' },
              egg: orNull({ enum: ['whole', 'yolk', 'white'] }),
              starch: { type: 'boolean' },
              bloom: number(0, 400),
              density: orNull(number(0.01, 3)),
              ...Object.fromEntries(MARKS.map((mark) => [mark, { const: true }])),
            },
            ['density', ...MARKS],
          ),
        ),
        portions: orNull({ type: 'integer', minimum: 1, maximum: 100_000 }),
        justified: list(record({ problem: text(120), reason: text(300) })),
      }),
    ),
  }),
}
