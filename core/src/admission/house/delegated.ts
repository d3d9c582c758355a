import type { Deputy } from '../../ledger/week'
import { type Instant, DAY } from '../../ground/instant'
import { FieldError, id, instant, object, oneOf } from '../../ground/field'
import { DEPUTIES } from '../../state/signing'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** What was named before either stays in its other hours, or ends. */
    delegated: Deputy & { earlier: 'stays' | 'ends' }
  }
}

/** So far ahead a deputy is named at most, ms: what lasts belongs to the week. */
const AHEAD = 31 * DAY

/** Somebody decides for the lead while the lead is away, with a PIN of their own; taken back by naming nobody. */
export const delegated: KindOf<'delegated'> = {
  kind: 'delegated',
  v: 2,
  about: 'kitchen',
  may: ['lead'],
  signed: true,
  // There was one deputy at a time, from the entry on.
  upcast: (body) => ({ ...body, from: 0, earlier: 'ends' }),
  parse(body) {
    const { to, from, until, earlier } = object(body, ['to', 'from', 'until', 'earlier'])
    const span = { from: instant(from), until: instant(until) }
    if (span.until <= span.from)
      throw new FieldError(until.path, { code: 'out of range', least: span.from, most: span.from + AHEAD })
    return { to: to.value === null ? null : id(to), ...span, earlier: oneOf(earlier, ['stays', 'ends']) }
  },
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, at, body: { to, until } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const problem = { code: 'out of range', least: at, most: at + AHEAD } as const
    if (until > problem.most) return { code: 'bad field', field: 'body.until', problem }
    const people = read('kitchen', kitchen)?.people
    const named = people?.find((each) => each.id === to)
    return to !== null && people && !(named && DEPUTIES.includes(named.role))
      ? { code: 'not there', field: 'body.to', what: 'person' }
      : null
  },
  folds: {
    kitchen: (state, { claim: { at, body } }) => ({ ...state, deputies: withDeputy(state.deputies, body, at) }),
  },
}

/** Never from before it was said; what has ended is forgotten. */
function withDeputy(
  deputies: readonly Deputy[],
  { earlier, to, from, until }: Deputy & { earlier: 'stays' | 'ends' },
  at: Instant,
): Deputy[] {
  const standing = earlier === 'ends' ? [] : deputies.filter((deputy) => deputy.until > at)
  return [...standing, { to, from: Math.max(from, at), until }]
}
