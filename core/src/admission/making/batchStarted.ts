import type { MethodRef } from '../../recipe/method/methodRef'
import type { FilledVessel } from '../../recipe/method/method'
import type { Check } from '../../recipe/checks/checksFor'
import { heldTo } from '../../recipe/checks/heldTo'
import { type Terms, FORMER_TERMS } from '../../recipe/checks/terms'
import type { Id } from '../../ledger/subject'
import { KEPT_APART, type KitchenState } from '../../state/kitchen'
import { SIGNED_WITHIN } from '../../ledger/matter'
import { DAY } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import { id, list, number, object, whole, nameOf } from '../../ground/field'
import { limitsAt } from '../../rules/limitSet'
import { NOTHING_SIGNED } from '../../recipe/checks/signed'
import { approvedOf } from '../../state/method'
import { parseProcedure, parseVessel, PROCEDURE } from '../../recipe/method/parseMethod'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { withOurs } from '../../recipe/ingredient/ours'

declare module '../../ledger/entry' {
  interface Bodies {
    'batch-started': {
      code: string
      method: MethodRef
      limits: { id: Id; version: number }
      checks: Check[]
      vessel: FilledVessel
      /** How many times over the method is made. */
      factor: number
      terms: Terms
    }
  }
}

/** A batch begins, and what it is held to is fixed. */
export const batchStarted: KindOf<'batch-started'> = {
  kind: 'batch-started',
  v: 8,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  upcast: (body) => ({ ...body, terms: { ...FORMER_TERMS, ...(body.terms as Partial<Terms> | undefined) } }),
  parse(body) {
    const fields = object(body, ['code', 'method', 'limits', 'checks', 'vessel', 'factor', 'terms'])
    const { code, method, limits, checks, vessel, factor, terms } = fields
    const m = object(method, ['id', ...PROCEDURE])
    const l = object(limits, ['id', 'version'])
    return {
      code: nameOf(code, 12),
      method: { id: id(m.id), ...parseProcedure(m) },
      limits: { id: id(l.id), version: whole(l.version, 1, 1e6) },
      // Neither their shape nor that of the terms needs parsing: what core derives is taken and not these.
      checks: list(checks, ({ value }) => value as Check),
      vessel: parseVessel(vessel),
      factor: number(factor, 0.01, 1000),
      terms: terms.value as Terms,
    }
  },
  writes: ({ about, kitchen }) => [about, { type: 'kitchen', id: kitchen }],
  reads: ({ body }) => [
    { type: 'method', id: body.method.id },
    { type: 'limits', id: body.limits.id },
  ],
  refuse({ about, at, body, kitchen }, read) {
    if (read('batch', about.id)) return { code: 'already there', field: 'about.id', what: 'batch' }
    const method = approvedOf(read('method', body.method.id))
    if (!method) return { code: 'not there', field: 'body.method', what: 'method' }
    const limits = limitsAt(read('limits', body.limits.id)?.versions ?? [], at)
    if (!limits) return { code: 'not there', field: 'body.limits', what: 'limits' }
    if (method.version !== body.method.version) return { code: 'older version', field: 'body', current: method.version }
    if (limits.version !== body.limits.version) return { code: 'older version', field: 'body', current: limits.version }
    if (read('kitchen', kitchen)?.codes.includes(body.code)) {
      return { code: 'code taken', field: 'body.code', taken: body.code }
    }
    return null
  },
  derive({ at, body, kitchen }, read, { zone }) {
    const state = read('method', body.method.id)
    // Its own ingredients by what is known of them now, and not as the method was saved.
    const method = withOurs(approvedOf(state)!, read('kitchen', kitchen)?.ingredients ?? [])
    const limits = limitsAt(read('limits', body.limits.id)!.versions, at)!
    const signed = state?.signed ?? NOTHING_SIGNED
    return heldTo(method, body.factor, limits, isForSusceptible(body.terms), dayOf(at, zone), signed)
  },
  begins: {
    batch: ({ claim: { about, at, by, body } }) => ({
      id: about.id,
      startedAt: at,
      startedBy: by,
      ...body,
      recalls: [],
      failedProbes: [],
      reached: [],
      contested: [],
      served: null,
      disposition: null,
      reworks: [],
    }),
  },
  folds: {
    kitchen: (state, { claim: { about, at, body } }) => ({
      ...state,
      codes: [...state.codes, body.code].slice(-KEPT_APART),
      begun: withBegun(state.begun, { id: about.id, at }),
    }),
  },
}

/** Those of days that may still be signed, by the latest of them. */
function withBegun(begun: KitchenState['begun'], batch: KitchenState['begun'][number]): KitchenState['begun'] {
  const all = [...begun, batch]
  const latest = Math.max(...all.map(({ at }) => at))
  return all.filter(({ at }) => latest - at < SIGNED_WITHIN + 2 * DAY)
}

/** Terms as sent may be anything; whether the order is for susceptible people is the one thing that is theirs to say. */
function isForSusceptible(terms: unknown): boolean {
  return typeof terms === 'object' && terms !== null && 'susceptible' in terms && terms.susceptible === true
}
