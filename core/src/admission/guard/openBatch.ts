import type { Claim } from '../../ledger/entry'
import type { Refusal } from './refusal'
import { isClosed } from '../../state/batch'
import type { Read } from '../../state/state'

/** Refused unless the batch it is about exists and is not thrown away. */
export function needsOpenBatch({ about }: Pick<Claim, 'about'>, read: Read): Refusal | null {
  const batch = read('batch', about.id)
  if (!batch) return { code: 'not there', field: 'about.id', what: 'batch' }
  return isClosed(batch) ? { code: 'batch closed', field: 'about.id', batch: batch.code } : null
}
