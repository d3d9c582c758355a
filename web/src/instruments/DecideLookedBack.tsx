import type { Id } from '@logged-thermal/core'
import { useBatchQuery } from '../app/api'
import { useLine } from '../app/kitchen'
import { DecideSheet } from '../decide/DecideSheet'

/** The lead decides about a batch that no longer stands on the Line. */
export function DecideLookedBack({ batch, onClose }: { batch: Id; onClose: () => void }) {
  const { data } = useBatchQuery({ id: batch, seq: useLine()?.seq ?? 0 })
  return data ? <DecideSheet batch={data.batch} findings={data.findings} onClose={onClose} /> : null
}
