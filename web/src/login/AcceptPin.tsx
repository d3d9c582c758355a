import { useState } from 'react'
import type { Bodies } from '@logged-thermal/core'
import { decideMessages } from '@logged-thermal/wording'
import { useLine } from '../app/kitchen'
import { PinPad } from '../kit/PinPad'
import { speaks } from '../kit/language'
import { SecondPin } from './SecondPin'
import { useLeadSigns } from './useLeadSigns'

const say = speaks(decideMessages)

interface Props {
  kind?: 'entries-accepted' | 'entries-refused'
  /** Which entries, and why. */
  body: Bodies['entries-accepted']
  onAccepted: () => void
}

/**
 * The lead's PIN for entries that are let count, or are not; where what is let count is their own and the house asks,
 * somebody else's beside it.
 */
export function AcceptPin({ kind = 'entries-accepted', body, onAccepted }: Props) {
  const line = useLine()
  const { lead, sign, busy, refusal, code } = useLeadSigns(kind, onAccepted)
  const [pin, setPin] = useState<string | null>(null)
  const [asksSecond, setAsksSecond] = useState(false)
  if (!line || !lead) return null
  const { id } = line.kitchen
  if (code === 'second needed' && !asksSecond) setAsksSecond(true)
  if (pin === null || !asksSecond)
    return (
      <PinPad
        of={lead}
        busy={busy}
        sentence={refusal}
        onPin={(typed) => {
          setPin(typed)
          void sign(typed, id, body)
        }}
      />
    )
  return (
    <SecondPin
      first={[lead.id]}
      why={say('secondPair')}
      busy={busy}
      sentence={code === 'second needed' ? null : refusal}
      onPin={(second, secondPin) => void sign(pin, id, body, { second, secondPin })}
    />
  )
}
