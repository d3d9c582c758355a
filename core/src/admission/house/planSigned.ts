import { canonical } from '../../ground/canonical'
import { id, list, object, text, whole } from '../../ground/field'
import { dayOf } from '../../ground/zone'
import type { Id } from '../../ledger/subject'
import { withOurs } from '../../recipe/ingredient/ours'
import type { PlanBasis } from '../../recipe/plan/planBasis'
import { writtenPlan } from '../../recipe/plan/writtenPlan'
import { limitsAt } from '../../rules/limitSet'
import { approvedOf } from '../../state/method'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'plan-signed': {
      /** Of the plan: 1 the first time it is signed. */
      version: number
      limits: Id
      /** Methods that go into it, and into these in turn: what they hold it holds too. */
      parts: Id[]
      /** What the lead saw it made from. */
      basis: PlanBasis
      note: string
    }
  }
}

/** Longer is a document of its own. */
const LONGEST_NOTE = 2000

/**
 * The lead signs the written plan of a method as it is in force: what it is made from is sealed with the signature, so that
 * any later change of method, limits or permissions shows that it is out of date.
 */
export const planSigned: KindOf<'plan-signed'> = {
  kind: 'plan-signed',
  v: 1,
  about: 'method',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { version, limits, parts, basis, note } = object(body, ['version', 'limits', 'parts', 'basis', 'note'])
    return {
      version: whole(version, 1, 1e6),
      limits: id(limits),
      parts: list(parts, id, 200),
      // Its shape needs no parsing: none but ours, sign for sign, is taken.
      basis: basis.value as PlanBasis,
      note: note.value === '' ? '' : text(note, LONGEST_NOTE),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ kitchen, body: { limits, parts } }) => [
    { type: 'kitchen', id: kitchen },
    { type: 'limits', id: limits },
    ...parts.map((method) => ({ type: 'method' as const, id: method })),
  ],
  refuse({ about, kitchen, at, body }, read, { zone }) {
    const state = read('method', about.id)
    const method = approvedOf(state)
    if (!state || !method) return { code: 'not there', field: 'about.id', what: 'method' }
    const limits = limitsAt(read('limits', body.limits)?.versions ?? [], at)
    if (!limits) return { code: 'not there', field: 'body.limits', what: 'limits' }
    const signed = state.plan?.version ?? 0
    if (body.version !== signed + 1) return { code: 'older version', field: 'body', current: signed }
    const ours = read('kitchen', kitchen)?.ingredients ?? []
    const find = (of: Id) => {
      const part = of === about.id ? method : body.parts.includes(of) ? approvedOf(read('method', of)) : null
      return part && withOurs(part, ours)
    }
    const { basis } = writtenPlan(withOurs(method, ours), limits, state.signed, dayOf(at, zone), find)
    return canonical(basis) === canonical(body.basis ?? null) ? null : { code: 'plan changed', field: 'body.basis' }
  },
  folds: {
    method: (state, { claim: { by, at, body }, seal }) => ({
      ...state,
      plan: { version: body.version, basis: body.basis, note: body.note, by, at, seq: seal?.seq ?? null },
    }),
  },
}
