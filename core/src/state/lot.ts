import { catalogue } from '../recipe/ingredient/catalogue'
import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Bodies } from '../ledger/entry'
import type { LotReceived } from '../ledger/storeEntries'
import type { FailedProbe } from './backing'
import type { Fact } from './fact'

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
export function mayGoIn({ verdict, decided, recall }: Pick<LotState, 'verdict' | 'decided' | 'recall'>): boolean {
  return (
    (recall === null || recall.value.drill) && (decided ? decided.value.verdict === 'accept' : verdict === 'accept')
  )
}

/** Whether a lot is egg, in whatever form. */
export function isEggLot({ form, ingredient }: Pick<LotState, 'form' | 'ingredient'>): boolean {
  return form !== null || (ingredient !== null && catalogue[ingredient]?.egg != null)
}
