import type { Claim, Kind } from '../../ledger/entry'
import type { Refusal } from './refusal'
import type { BatchState } from '../../state/batch'
import type { Read } from '../../state/state'
import { needsOpenBatch } from './openBatch'

/** The open batch a claim is about, once it is known to have the step the claim names; else why it is refused. */
export function atKnownStep(claim: Pick<Claim<Kind>, 'about'>, step: string, read: Read): BatchState | Refusal {
  const refusal = needsOpenBatch(claim, read)
  if (refusal) return refusal
  const batch = read('batch', claim.about.id)!
  const known = batch.method.steps.some(({ key }) => key === step)
  return known ? batch : { code: 'not there', field: 'body.step', what: 'step' }
}

export function isRefusal(found: BatchState | Refusal): found is Refusal {
  return 'field' in found
}
