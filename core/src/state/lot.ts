import { catalogue } from '../recipe/ingredient/catalogue'
import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Bodies } from '../ledger/entry'
import type { LotReceived } from '../ledger/storeEntries'
import { SAME_DEGREE } from '../ground/temperature'
import { failureOf, type FailedProbe } from './backing'
import type { Fact } from './fact'
import { celsiusRead } from './reading'

/** An ingredient as it was received, and what the lead decided of it since. */
export interface LotState extends LotReceived {
  id: Id
  receivedAt: Instant
  receivedBy: Id
  decided: Fact<Bodies['lot-decided']> | null
  /** Its instrument failed a check after. */
  fails: Fact<FailedProbe>[]
  /** Called back: nothing of it may be used until that ends. */
  recall: Fact<{ reason: string; drill: boolean }> | null
}

/** Whether it may go into anything: accepted at the door or since, and not called back; a drill stops nothing. */
export function mayGoIn(lot: LotState): boolean {
  const { verdict, decided, recall } = lot
  const accepted = decided ? decided.value.verdict === 'accept' : verdict === 'accept'
  return (recall === null || recall.value.drill) && accepted && doubtOf(lot) === null
}

/** Why the lead has to decide about it; null: nothing is left to decide. */
export function waitsFor(lot: LotState): 'held at the door' | LotDoubt | null {
  const isRefused = (lot.decided?.value.verdict ?? lot.verdict) === 'refuse'
  const doubt = isRefused ? null : doubtOf(lot)
  return doubt ?? (lot.verdict === 'hold' && !lot.decided ? 'held at the door' : null)
}

/** What became known since of the probe that read it at the door. */
type LotDoubt = 'probe failed' | 'probe fell'

/**
 * Why it may have come in too warm after all: read wrong by the error that was found, the unfavourable way, or by a probe
 * that had fallen, whose error nobody knows. null: nothing is against it, or the lead has decided since.
 */
export function doubtOf({ received, receivedAt, fails, decided }: LotState): LotDoubt | null {
  if (!received || received.atMost === null) return null
  const { atMost } = received
  for (const fail of fails) {
    const failed = failureOf({ at: receivedAt, value: received, accepted: null }, [fail])
    if (!failed || (decided && decided.knownAt >= fail.knownAt)) continue
    if (failed.due) return 'probe fell'
    const atWorst = celsiusRead({ ...received, readBy: { backing: 'failed', off: -Math.abs(failed.error) } })
    if (atMost === undefined || atWorst > atMost + SAME_DEGREE) return 'probe failed'
  }
  return null
}

/** Whether a lot is egg, in whatever form. */
export function isEggLot({ form, ingredient }: Pick<LotState, 'form' | 'ingredient'>): boolean {
  return form !== null || (ingredient !== null && catalogue[ingredient]?.egg != null)
}
