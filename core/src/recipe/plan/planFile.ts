import { orNull, record } from '../../ground/jsonSchema'
import { ALLERGENS } from '../ingredient/own'
import { COOLINGS, FAMILY_KEYS, STEP_KINDS } from '../method/method'
import { HAZARDS, WATCHED } from './control'
import type { WrittenPlan } from './writtenPlan'

/** The file in which written plans are handed over. */
export const PLAN_FILE = 'logged-thermal written plan'

/** Who signed the plan of a method last, and whether it is still what is in force. */
export interface PlanSignature {
  /** Of the plan, not of the method. */
  version: number
  by: string
  /** When, ISO 8601. */
  at: string
  /** The number of its entry in the logbook. */
  entry: number | null
  note: string
  outOfDate: boolean
}

/** Plans as a file that other programs can read: see planSchema. */
export function planFile(
  kitchen: string,
  plans: readonly { plan: WrittenPlan; signed: PlanSignature | null }[],
): string {
  return `${JSON.stringify({ format: PLAN_FILE, version: 1, kitchen, plans }, null, 2)}\n`
}

const text = (maxLength: number) => ({ type: 'string', maxLength })
const whole = { type: 'integer', minimum: 1 }
const list = (items: object) => ({ type: 'array', items })
/** Of which only the kind is the same for all. */
const open = (...required: string[]) => ({ type: 'object', required })
const source = record({
  document: text(200),
  section: text(400),
  edition: text(120),
  confidence: { enum: ['high', 'medium'] },
})
const force = { enum: ['law', 'guidance', 'house', 'quality'] }
const limit = record(
  {
    key: text(40),
    origin: text(60),
    rule: open('kind'),
    force,
    source,
    alternative: { const: true },
    inPlaceOf: record({ rule: open('kind'), force, source }),
  },
  ['alternative', 'inPlaceOf'],
)
const allergens = list({ enum: [...ALLERGENS] })
const signed = record({ lines: list(open('limit', 'most', 'reason', 'validUntil')), bake: {}, acid: {} })

/** JSON Schema of a plan file. Published, so that others can read one without us. */
export const planSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Logged Thermal written plan file',
  ...record({
    format: { const: PLAN_FILE },
    version: { const: 1 },
    kitchen: text(120),
    plans: list(
      record({
        plan: record({
          method: record({ id: text(36), name: text(80), version: whole }),
          limits: record({
            version: whole,
            from: { type: 'number' },
            ruleSet: record({ key: text(60), name: text(200), edition: text(120) }),
          }),
          basis: record({
            method: whole,
            limits: whole,
            allergens,
            unread: list(text(80)),
            signed,
            variances: list(text(40)),
          }),
          product: record({
            family: { enum: [...FAMILY_KEYS] },
            grams: { type: 'number', minimum: 0 },
            portions: orNull(whole),
            allergens,
            unread: list(text(80)),
            cooling: { enum: [...COOLINGS] },
            raw: { type: 'boolean' },
            days: orNull(whole),
            acid: orNull(open('most', 'days', 'validUntil')),
            forSusceptible: { type: 'boolean' },
          }),
          steps: list(
            record({
              key: text(40),
              kind: { enum: [...STEP_KINDS] },
              leftOut: orNull(
                record({ why: { enum: ['heated later', 'on the clock', 'kept cold', 'no limit'] }, by: orNull(whole) }),
              ),
            }),
          ),
          rows: list(
            record(
              {
                step: orNull(whole),
                hazard: { enum: [...HAZARDS] },
                limit: orNull(limit),
                unit: { enum: ['C', 'F', 'stricter'] },
                bake: open('oven', 'minutes', 'cue'),
                watched: { enum: [...WATCHED] },
                missed: text(40),
                rework: limit,
              },
              ['bake', 'rework'],
            ),
          ),
          practice: record({ rounds: list(text(5)), closing: text(5), susceptible: { type: 'boolean' } }),
          recordMonths: orNull(whole),
        }),
        signed: orNull(
          record({
            version: whole,
            by: text(120),
            at: text(40),
            entry: orNull(whole),
            note: text(2000),
            outOfDate: { type: 'boolean' },
          }),
        ),
      }),
    ),
  }),
}
