import { useState } from 'react'
import { decidesForLead, type Bodies, type Id, type Kind } from '@logged-thermal/core'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { PinPad } from '../door/PinPad'
import { Sheet } from '../parts/Sheet'
import './signed.css'

interface Props<K extends Kind> {
  title: string
  ask: string
  /** A reason is at least so long. */
  least: number
  kind: K
  about: Id
  body: (reason: string) => Bodies[K]
  onClose: () => void
}

/** What the lead signs: a reason in writing, then the PIN. */
export function SignedSheet<K extends Kind>({ title, ask, least, kind, about, body, onClose }: Props<K>) {
  const now = useNow()
  const line = useLine()
  const { person } = useHand(line)
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const [reason, setReason] = useState('')
  const [refusal, setRefusal] = useState<string | null>(null)
  const stands = line && person ? decidesForLead(line, person.id, now) : false
  const lead = person?.role === 'lead' || stands ? person : line?.people.find(({ role }) => role === 'lead')
  const sign = async (pin: string) => {
    if (!lead) return
    const made = claim(kind, about, body(reason.trim()), { by: lead.id })
    const result = await post({ claim: made, signer: lead.id, pin })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    onClose()
  }
  return (
    <Sheet open onClose={onClose} title={title}>
      <div className="signed">
        <label className="form-field">
          {ask}
          <textarea
            rows={4}
            maxLength={300}
            value={reason}
            onChange={({ target }) => setReason(target.value)}
            onKeyDown={(event) => event.stopPropagation()}
          />
        </label>
        {lead && reason.trim().length >= least ? (
          <PinPad name={lead.name} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
        ) : (
          <p className="muted">The food-safety lead signs with a PIN, once the reason is written.</p>
        )}
      </div>
    </Sheet>
  )
}
