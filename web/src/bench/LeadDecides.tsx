import { useState } from 'react'
import type { BatchState, Decision } from '@logged-thermal/core'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useLine } from '../app/kitchen'
import { PinPad } from '../door/PinPad'
import { Key } from '../parts/Key'
import { Sheet } from '../parts/Sheet'

const REASONS: Record<Decision, string[]> = {
  hold: ['A limit is missed', 'A limit is not proven', 'Waiting for a reading'],
  discard: ['Past its last day', 'A limit is missed', 'Spoiled or dropped'],
}

/** What only the lead may do: a reason, and the lead's own PIN. */
export function LeadDecides({
  decision,
  batch,
  onClose,
}: {
  decision: Decision
  batch: BatchState
  onClose: () => void
}) {
  const [reason, setReason] = useState<string | null>(null)
  const [refusal, setRefusal] = useState<string | null>(null)
  const line = useLine()
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const lead = line?.people.find(({ role }) => role === 'lead')

  const sign = async (pin: string) => {
    if (!lead || !reason) return
    const made = claim('disposed', batch.id, { decision, reason }, { by: lead.id })
    const result = await post({ claim: made, signer: lead.id, pin })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    onClose()
  }
  const title = decision === 'hold' ? `Put ${batch.code} on hold` : `${batch.code} goes in the bin`
  return (
    <Sheet open onClose={onClose} title={title}>
      <div className="choices">
        {REASONS[decision].map((each) => (
          <Key key={each} look={each === reason ? 'primary' : 'plain'} onClick={() => setReason(each)}>
            {each}
          </Key>
        ))}
      </div>
      {reason && lead && (
        <PinPad name={lead.name} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
      )}
      {!reason && <p className="sentence">Tap the reason; then the lead signs.</p>}
    </Sheet>
  )
}
