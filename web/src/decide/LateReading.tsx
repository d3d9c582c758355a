import { useState } from 'react'
import type { BatchState, Fact, ReadingBody } from '@logged-thermal/core'
import { clock, span } from '@logged-thermal/wording'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { PinPad } from '../door/PinPad'
import { Key } from '../parts/Key'
import { Sheet } from '../parts/Sheet'
import './decide.css'

const REASONS = ['Seen on the paper sheet', 'The tablet was away', 'I was there']

/** A reading that was entered long after it was taken: it can deny, and proves only when the lead lets it, with a reason. */
export function LateReading({ batch, fact }: { batch: BatchState; fact: Fact<ReadingBody> }) {
  const line = useLine()
  const { reader, person } = useHand(line)
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const [open, setOpen] = useState(false)
  const [reason, setReason] = useState<string | null>(null)
  const [refusal, setRefusal] = useState<string | null>(null)
  const lead = person?.role === 'lead' ? person : line?.people.find(({ role }) => role === 'lead')
  const { typed } = fact.value
  const value = `${typed.value.toFixed(1)}°${typed.unit}`

  const sign = async (pin: string) => {
    if (!lead || !reason) return
    const made = claim('reading-accepted', batch.id, { target: fact.entry, reason }, { by: lead.id })
    const result = await post({ claim: made, signer: lead.id, pin })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    setOpen(false)
  }
  return (
    <p className="late-reading">
      <span>
        {value} of {clock(fact.at, reader)} was entered late, {span(fact.madeAt - fact.at)} after: it proves nothing
        yet.
      </span>
      <Key look="outlined" onClick={() => setOpen(true)}>
        Let it count
      </Key>
      <Sheet open={open} onClose={() => setOpen(false)} title={`${value} of ${clock(fact.at, reader)}, entered late`}>
        <div className="choices">
          {REASONS.map((each) => (
            <Key key={each} look={each === reason ? 'primary' : 'plain'} onClick={() => setReason(each)}>
              {each}
            </Key>
          ))}
        </div>
        {reason && lead ? (
          <PinPad name={lead.name} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
        ) : (
          <p className="sentence">
            Tap the reason; then the lead signs. The record goes on saying that it was entered late.
          </p>
        )}
      </Sheet>
    </p>
  )
}
