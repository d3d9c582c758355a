import { useState } from 'react'
import type { Bodies, Id, Kind } from '@logged-thermal/core'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import type { PersonOnList } from '../app/lineData'

/** What the lead signs with their PIN, sent at once and never kept for later: who signs, what is refused, and the act. */
export function useLeadSigns(onSigned: () => void) {
  const line = useLine()
  const { person } = useHand(line)
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const [refusal, setRefusal] = useState<string | null>(null)
  const lead: PersonOnList | undefined =
    person?.role === 'lead' ? person : line?.people.find(({ role }) => role === 'lead')
  const sign = async <K extends Kind>(pin: string, kind: K, about: Id, body: Bodies[K]) => {
    if (!lead) return
    const result = await post({ claim: claim(kind, about, body, { by: lead.id }), signer: lead.id, pin })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    setRefusal(null)
    onSigned()
  }
  return { lead, sign, busy: isLoading, refusal }
}
