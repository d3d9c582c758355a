import { id, list, number, object, oneOf, text, whole, type Field } from '../ledger/parse'
import { families } from '../limits/families'
import { schedules } from '../limits/sets/schedules'
import type { FamilyKey, Method, Of, Procedure, Step, StepKind, Vessel } from '../method/method'
import type { KindOf } from './kindOf'

/** A version of a method. */
export const methodSaved: KindOf<'method-saved'> = {
  kind: 'method-saved',
  v: 1,
  about: 'method',
  may: ['chef', 'lead'],
  signed: false,
  parse(body) {
    return { method: parseMethod(object(body, ['method']).method) }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit({ about, body }, read) {
    const current = read('method', about.id)?.version ?? 0
    return body.method.version === current + 1 ? null : { code: 'older version', field: 'body', current }
  },
}

export const PROCEDURE = ['version', 'name', 'family', 'steps', 'schedule', 'houseDays'] as const

/** What of a method decides the checks. */
export function parseProcedure(fields: Record<(typeof PROCEDURE)[number], Field>): Procedure {
  const { version, name, family, steps, schedule, houseDays } = fields
  return {
    version: whole(version, 1, 1e6),
    name: text(name, 80),
    family: oneOf(family, Object.keys(families) as FamilyKey[]),
    steps: parseSteps(steps),
    schedule: schedule.value === null ? null : oneOf(schedule, Object.keys(schedules)),
    houseDays: whole(houseDays, 1, 365),
  }
}

function parseSteps(field: Field): Step[] {
  return list(field, (step) => {
    const { key, kind, measures } = object(step, ['key', 'kind', 'measures'])
    return { key: text(key, 40), kind: oneOf<StepKind>(kind, STEPS), measures: parseOf(measures) }
  })
}

export function parseVessel(field: Field): Vessel {
  const vessel = object(field, ['id', 'name', 'fillDepth'])
  return { id: id(vessel.id), name: text(vessel.name, 80), fillDepth: number(vessel.fillDepth, 0.005, 1) }
}

export function parseOf(field: Field): Of {
  if (field.value === 'mixture') return 'mixture'
  return { part: text(object(field, ['part']).part, 80) }
}

const STEPS: readonly StepKind[] = ['heat dairy', 'temper', 'cook', 'cool', 'hold']

function parseMethod(field: Field): Method {
  const method = object(field, ['id', 'vessel', ...PROCEDURE])
  return { id: id(method.id), ...parseProcedure(method), vessel: parseVessel(method.vessel) }
}
