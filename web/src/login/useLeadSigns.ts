import { useState } from 'react'
import { decidesForLead, type Bodies, type Id, type Kind } from '@logged-thermal/core'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { ledger } from '../app/ledger'
import { useNow } from '../app/now'
import { useAppSelector } from '../app/store'
import type { PersonOnList } from '../app/lineData'

/** Whose PIN comes beside the lead's, where the house asks for a second. */
interface Beside {
  second: Id
  secondPin: string
}

interface Refused {
  sentence: string
  /** null: the whole post was. */
  code: string | null
}

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
  const [refused, setRefused] = useState<Refused | null>(null)
  const isThere = useAppSelector(({ ledgerThere }) => ledgerThere)
  const delegable = isThere && ledger().kinds[kind].delegable === true
  const decides =
    person?.role === 'lead' || (delegable && line && person && decidesForLead(line, person.id, now, line.kitchen.zone))
  const lead: PersonOnList | undefined = person && decides ? person : line?.people.find(({ role }) => role === 'lead')
  const sign = async (pin: string, about: Id, body: Bodies[K], beside: Beside | null = null) => {
    if (!lead) return
    const result = await post({
      claim: claim(kind, about, body, { by: lead.id }),
      signer: lead.id,
      pin,
      scale: reader.scale,
      hours: reader.hours,
      ...beside,
    })
    if (result.error) return setRefused({ sentence: sentenceOf(result.error), code: null })
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefused(answer)
    setRefused(null)
    onSigned()
  }
  const standsIn = lead !== undefined && lead.role !== 'lead'
  return { lead, standsIn, sign, busy: isLoading, refusal: refused?.sentence ?? null, code: refused?.code ?? null }
}
