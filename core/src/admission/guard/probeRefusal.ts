import type { Instant } from '../../ground/instant'
import { celsiusOf, type Typed } from '../../ground/temperature'
import type { Id } from '../../ledger/subject'
import { canProve, readByOf } from '../../state/instrument'
import type { Read } from '../../state/state'
import type { Refusal } from './refusal'

/**
 * Why something cannot go anywhere as it was read: by no probe, or by one that is in doubt. What has happened already is
 * entered as it was read.
 */
export function probeRefusal(
  { typed, instrument }: { typed: Typed | null; instrument: Id | null },
  read: Read,
  at: Instant,
  happened: boolean,
): Refusal | null {
  if (typed === null || (instrument === null && happened)) return null
  const known = instrument === null ? null : read('instrument', instrument)
  if (!known) return { code: 'not there', field: 'body.instrument', what: 'instrument' }
  if (known.kind !== 'probe') return { code: 'cannot measure that', field: 'body.where', instrument: known.code }
  return happened || canProve(readByOf(known, at, celsiusOf(typed)))
    ? null
    : { code: 'instrument in doubt', field: 'body.instrument', instrument: known.code }
}
