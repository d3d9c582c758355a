import { type SignedLine, movable, SIGNED_DAYS } from '../../rules/signedLine'
import type { Id } from '../../ledger/subject'
import type { LimitKey } from '../../rules/limit'
import { addDays, dayOf } from '../../ground/zone'
import { id, number, object, text } from '../../ground/field'
import { checksFor } from '../../recipe/checks/checksFor'
import { limitsAt } from '../../rules/limitSet'
import { approvedOf } from '../../state/method'
import type { KindOf } from '../guard/kindOf'
import { parseDayField } from '../../rules/parseVariance'

declare module '../../ledger/entry' {
  interface Bodies {
    /** null: taken back, and the guidance holds again. */
    'guidance-replaced': { limits: Id; limit: LimitKey; line: Omit<SignedLine, 'limit'> | null }
  }
}

/**
 * For one method the lead signs a line of the house in place of a limit that is only guidance, so that nobody is asked at
 * each pot: an upper bound, a reason, a last day. Law and floors stay as they are printed.
 */
export const guidanceReplaced: KindOf<'guidance-replaced'> = {
  kind: 'guidance-replaced',
  v: 1,
  about: 'method',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { limits, limit, line } = object(body, ['limits', 'limit', 'line'])
    const key = text(limit, 40) as LimitKey
    if (line.value === null) return { limits: id(limits), limit: key, line: null }
    const { most, reason, validUntil } = object(line, ['most', 'reason', 'validUntil'])
    return {
      limits: id(limits),
      limit: key,
      line: { most: number(most, 0.1, 10_000), reason: text(reason, 300), validUntil: parseDayField(validUntil) },
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { limits } }) => [{ type: 'limits', id: limits }],
  refuse({ about, at, body: { limits: of, limit: key, line } }, read, { zone }) {
    const method = approvedOf(read('method', about.id))
    if (!method) return { code: 'not there', field: 'about.id', what: 'method' }
    if (line === null) return null
    const day = dayOf(at, zone)
    const limits = limitsAt(read('limits', of)?.versions ?? [], at)
    if (!limits) return { code: 'not there', field: 'body.limits', what: 'limits' }
    const guidance = checksFor(method, limits, day).flatMap(({ limit }) =>
      limit.key === key && limit.force === 'guidance' ? (movable(limit.rule) ?? []) : [],
    )
    const [first] = guidance
    if (!first) return { code: 'not guidance', field: 'body.limit' }
    if (line.most <= first.printed || line.most > first.most)
      return {
        code: 'bad field',
        field: 'body.line.most',
        problem: { code: 'out of range', least: first.printed, most: first.most },
      }
    const last = addDays(day, SIGNED_DAYS)
    return line.validUntil < day || line.validUntil > last
      ? { code: 'signed too long', field: 'body.line.validUntil', last }
      : null
  },
  folds: {
    method: (state, { claim: { body } }) => {
      const { limit, line } = body
      const others = state.signed.lines.filter((each) => each.limit !== limit)
      const lines = line ? [...others, { limit, ...line }] : others
      return { ...state, signed: { ...state.signed, lines } }
    },
  },
}
