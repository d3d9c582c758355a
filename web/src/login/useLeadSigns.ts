import { useState } from 'react'
import { decidesForLead, kinds, type Bodies, type Id, type Kind } from '@logged-thermal/core'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import type { PersonOnList } from '../app/lineData'

/**
 * What the lead signs with their PIN, or whoever decides for the lead where that may be: sent at once, never kept for
 * later. Who signs, the act, and what was refused.
 */
export function useLeadSigns<K extends Kind>(kind: K, onSigned: () => void) {
  const now = useNow(10_000)
  const line = useLine()
  const { person, reader } = useHand(line)
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const [refusal, setRefusal] = useState<string | null>(null)
  const delegable = kinds[kind].delegable === true
  const decides =
    person?.role === 'lead' || (delegable && line && person && decidesForLead(line, person.id, now, line.kitchen.zone))
  const lead: PersonOnList | undefined = person && decides ? person : line?.people.find(({ role }) => role === 'lead')
  const sign = async (pin: string, about: Id, body: Bodies[K]) => {
    if (!lead) return
    const result = await post({
      claim: claim(kind, about, body, { by: lead.id }),
      signer: lead.id,
      pin,
      scale: reader.scale,
      hours: reader.hours,
    })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    setRefusal(null)
    onSigned()
  }
  const standsIn = lead !== undefined && lead.role !== 'lead'
  return { lead, standsIn, sign, busy: isLoading, refusal }
}
