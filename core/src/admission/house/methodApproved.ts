import type { Id } from '../../ledger/subject'
import { dayOf } from '../../ground/zone'
import { id, object, whole } from '../../ground/field'
import { limitsAt } from '../../rules/limitSet'
import { blocking, problemsOf } from '../../recipe/checks/problems'
import { limitsOf } from '../../recipe/checks/checksFor'
import type { Limit } from '../../rules/limit'
import type { DaysRule } from '../../rules/rule'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'method-approved': { version: number; limits: Id; components: Id[] }
  }
}

/** The lead puts a version of a method in force, once nothing in it blocks that is not justified in writing. */
export const methodApproved: KindOf<'method-approved'> = {
  kind: 'method-approved',
  v: 1,
  about: 'method',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { version, limits, components } = object(body, ['version', 'limits', 'components'])
    return {
      version: whole(version, 1, 1e6),
      limits: id(limits),
      components: Array.isArray(components.value)
        ? components.value.map((value, i) => id({ path: `${components.path}[${i}]`, value }))
        : [],
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { limits, components } }) => [
    { type: 'limits', id: limits },
    ...components.map((method) => ({ type: 'method' as const, id: method })),
  ],
  refuse({ about, at, body }, read, { zone }) {
    const state = read('method', about.id)
    const method = state?.versions.find(({ version }) => version === body.version)
    if (!state || !method) return { code: 'not there', field: 'body.version', what: 'method' }
    const latest = state.versions.at(-1)!.version
    if (method.version !== latest) return { code: 'older version', field: 'body', current: latest }
    const limits = limitsAt(read('limits', body.limits)?.versions ?? [], at)
    if (!limits) return { code: 'not there', field: 'body.limits', what: 'limits' }
    const tooLong = limitsOf(limits, 'date-marking', dayOf(at, zone)).find(
      (limit): limit is Limit<DaysRule> => limit.rule.kind === 'days' && method.houseDays > limit.rule.days,
    )
    if (tooLong && method.cooling !== 'none' && !method.raw)
      return { code: 'keeps too long', field: 'body.version', days: method.houseDays, limit: tooLong }
    const find = (other: string) => read('method', other)?.versions.at(-1) ?? null
    const [first] = blocking(problemsOf(method, limits, dayOf(at, zone), find), method)
    return first ? { code: 'method blocked', field: 'body.version', problem: first } : null
  },
  folds: {
    method: (state, { claim: { by, at, body } }) => ({
      ...state,
      approved: [...state.approved, { version: body.version, by, at }],
    }),
  },
}
