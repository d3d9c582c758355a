import { LEAST_GRAMS, MOST_GRAMS } from '../amount/bounds'
import { catalogue } from '../ingredient/catalogue'
import { ALLERGENS, withEgg } from '../ingredient/own'
import type { Composition } from '../../physics/material/properties'
import type { Ingredient, Origin } from '../ingredient/ingredient'
import {
  FieldError,
  flag,
  id,
  list,
  number,
  object,
  oneOf,
  text,
  typedTemperature,
  whole,
  type Field,
  nameOf,
} from '../../ground/field'
import { families } from './families'
import { schedules } from '../../rules/sets/schedules'
import {
  COOLINGS,
  COOLS_FIRST,
  COVERED,
  OVER,
  STEP_KINDS,
  type Amount,
  type Component,
  type FamilyKey,
  type Instruction,
  type Method,
  type Of,
  type Procedure,
  type Step,
  type StepKind,
  type FilledVessel,
} from './method'
import { parseDegrees } from '../../rules/parseRule'

export const PROCEDURE = [
  'version',
  'name',
  'family',
  'steps',
  'schedule',
  'cooling',
  'ceiling',
  'raw',
  'untreatedFruit',
  'houseDays',
] as const

const REST = ['id', 'vessel', 'instructions', 'amounts', 'components', 'own', 'portions', 'justified'] as const

/** A method, field by field. What belongs to a step names one of its steps. Throws FieldError. */
export function parseMethod(field: Field): Method {
  const fields = object(field, [...PROCEDURE, ...REST])
  const procedure = parseProcedure(fields)
  const own = list(fields.own, parseIngredient)
  const steps = procedure.steps.map(({ key }) => key)
  unique(fields.steps, steps)
  return {
    id: id(fields.id),
    ...procedure,
    vessel: parseVessel(fields.vessel),
    instructions: parseInstructions(fields.instructions, steps),
    amounts: list(fields.amounts, (each) => parseAmount(each, steps, own)),
    components: list(fields.components, (each) => parseComponent(each, steps)),
    own,
    portions: fields.portions.value === null ? null : whole(fields.portions, 1, 100_000),
    justified: list(fields.justified, (each) => {
      const { problem, reason } = object(each, ['problem', 'reason'])
      return { problem: text(problem, 120), reason: text(reason, 300) }
    }),
  }
}

/** What of a method decides the checks. */
export function parseProcedure(fields: Record<(typeof PROCEDURE)[number], Field>): Procedure {
  const { version, name, family, steps, schedule, cooling, ceiling, raw, untreatedFruit, houseDays } = fields
  const of = oneOf(family, Object.keys(families) as FamilyKey[])
  return {
    version: whole(version, 1, 1e6),
    name: nameOf(name, 80),
    family: of,
    steps: list(steps, parseStep, 40),
    schedule: schedule.value === null ? null : oneOf(schedule, Object.keys(schedules)),
    cooling: oneOf(cooling, families[of].crumb ? COOLINGS : NOT_DRY),
    ceiling: ceiling.value === null ? null : parseDegrees(ceiling),
    raw: flag(raw),
    untreatedFruit: flag(untreatedFruit),
    houseDays: whole(houseDays, 1, 365),
  }
}

/** Only crumb and dry pieces are kept without cold. */
const NOT_DRY = COOLINGS.filter((cooling) => cooling !== 'dry')

export function parseVessel(field: Field): FilledVessel {
  const vessel = object(field, ['id', 'name', 'fillDepth'])
  return { id: id(vessel.id), name: nameOf(vessel.name, 80), fillDepth: number(vessel.fillDepth, 0.005, 2) }
}

export function parseOf(field: Field): Of {
  if (field.value === 'mixture') return 'mixture'
  return { part: text(object(field, ['part']).part, 80) }
}

function parseStep(field: Field): Step {
  const { key, kind, measures } = object(field, ['key', 'kind', 'measures'])
  return { key: text(key, 40), kind: oneOf<StepKind>(kind, STEP_KINDS), measures: parseOf(measures) }
}

const WAYS = ['over', 'first', 'cover'] as const

function parseInstructions(field: Field, steps: readonly string[]): Record<string, Instruction> {
  const { value, path } = field
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new FieldError(path, { code: 'missing' })
  const found: Record<string, Instruction> = {}
  for (const [key, each] of Object.entries(value)) {
    oneOf({ path: `${path}.${key}`, value: key }, steps)
    const at = { path: `${path}.${key}`, value: each as unknown }
    const fields = object(at, ['text', 'activeMinutes', 'passiveMinutes', 'target', 'oven', ...WAYS])
    found[key] = {
      text: typeof fields.text.value === 'string' && fields.text.value === '' ? '' : text(fields.text, 300),
      activeMinutes: number(fields.activeMinutes, 0, 1440),
      passiveMinutes: fields.passiveMinutes.value === null ? null : parseSpan(fields.passiveMinutes),
      target: fields.target.value === null ? null : parseTarget(fields.target),
      oven: fields.oven.value === null ? null : typedTemperature(fields.oven),
      ...(fields.over.value === undefined ? {} : { over: oneOf(fields.over, OVER) }),
      ...(fields.first.value === undefined ? {} : { first: oneOf(fields.first, COOLS_FIRST) }),
      ...(fields.cover.value === undefined ? {} : { cover: oneOf(fields.cover, COVERED) }),
    }
  }
  return found
}

function parseSpan(field: Field): { least: number; most: number } {
  const { least, most } = object(field, ['least', 'most'])
  const from = number(least, 0, 100_000)
  return { least: from, most: number(most, from, 100_000) }
}

function parseTarget(field: Field) {
  const { from, to } = object(field, ['from', 'to'])
  return { from: parseDegrees(from), to: parseDegrees(to) }
}

function parseAmount(field: Field, steps: readonly string[], own: readonly Ingredient[]): Amount {
  const { key, ingredient, grams, count, step, state, said } = object(field, [
    'key',
    'ingredient',
    'grams',
    'count',
    'step',
    'state',
    'said',
  ])
  return {
    key: text(key, 40),
    ingredient: oneOf(ingredient, [...Object.keys(catalogue), ...own.map((each) => each.key)]),
    grams: grams.value === null ? null : number(grams, LEAST_GRAMS, MOST_GRAMS),
    count: count.value === null ? null : number(count, 0.1, 100_000),
    step: oneOf(step, steps),
    state: oneOf(state, ['as it is', 'pasteurized lot', 'frozen', 'treated'] as const),
    ...(said.value === undefined ? {} : { said: text(said, 60) }),
  }
}

function parseComponent(field: Field, steps: readonly string[]): Component {
  const { key, method, name, grams, step } = object(field, ['key', 'method', 'name', 'grams', 'step'])
  return {
    key: text(key, 40),
    method: id(method),
    name: nameOf(name, 80),
    grams: grams.value === null ? null : number(grams, 0.01, 1e6),
    step: oneOf(step, steps),
  }
}

const ORIGINS: Origin[] = ['plant', 'milk', 'egg', 'honey', 'land animal', 'fish']

/** What an ingredient is, or is not: left out, it is not. */
export const MARKS = ['unchecked', 'fresh', 'lookedAt', 'frozenFruit', 'comesFrozen'] as const

/** An ingredient of the house's own. FieldError that names the field. */
export function parseIngredient(field: Field): Ingredient {
  const names = [
    'key',
    'name',
    'synonyms',
    'composition',
    'allergens',
    'origin',
    'alcohol',
    'needsCold',
    'egg',
    'starch',
    'bloom',
    'density',
    ...MARKS,
  ] as const
  const fields = object(field, names)
  const egg = fields.egg.value === null ? null : oneOf(fields.egg, ['whole', 'yolk', 'white'] as const)
  return {
    key: text(fields.key, 40),
    name: nameOf(fields.name, 80),
    synonyms: list(fields.synonyms, (each) => nameOf(each, 80)),
    composition: parseComposition(fields.composition),
    allergens: withEgg(
      list(fields.allergens, (each) => oneOf(each, ALLERGENS)),
      egg,
    ),
    origin: oneOf(fields.origin, ORIGINS),
    alcohol: number(fields.alcohol, 0, 1),
    needsCold: flag(fields.needsCold),
    egg,
    starch: flag(fields.starch),
    bloom: number(fields.bloom, 0, 400),
    ...(fields.density.value === undefined
      ? {}
      : { density: fields.density.value === null ? null : number(fields.density, 0.01, 3) }),
    ...Object.fromEntries(
      MARKS.filter((mark) => fields[mark].value !== undefined).map((mark) => [
        mark,
        oneOf(fields[mark], [true] as const),
      ]),
    ),
  }
}

function parseComposition(field: Field): Composition {
  const { water, protein, fat, carbohydrate, fibre, ash } = object(field, [
    'water',
    'protein',
    'fat',
    'carbohydrate',
    'fibre',
    'ash',
  ])
  const share = (one: Field) => number(one, 0, 1)
  const parts = {
    water: share(water),
    protein: share(protein),
    fat: share(fat),
    carbohydrate: share(carbohydrate),
    ash: share(ash),
  }
  const rest = fibre.value === undefined ? 0 : share(fibre)
  const sum = Object.values(parts).reduce((a, b) => a + b, rest)
  if (Math.abs(sum - 1) > 0.001) throw new FieldError(field.path, { code: 'not a whole' })
  return { ...parts, ...(fibre.value === undefined ? {} : { fibre: rest }) }
}

function unique(field: Field, keys: readonly string[]): void {
  const twice = keys.findIndex((key, i) => keys.indexOf(key) !== i)
  if (twice >= 0) throw new FieldError(`${field.path}[${twice}].key`, { code: 'twice' })
}
