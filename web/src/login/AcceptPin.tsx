import { useState } from 'react'
import type { Bodies } from '@logged-thermal/core'
import { decideMessages } from '@logged-thermal/wording'
import { useLine } from '../app/kitchen'
import { logsHere, type PersonOnList } from '../app/lineData'
import { Key } from '../kit/Key'
import { NameKeys } from '../kit/NameKeys'
import { PinPad } from '../kit/PinPad'
import { speaks } from '../kit/language'
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
  const [second, setSecond] = useState<PersonOnList | null>(null)
  if (!line || !lead) return null
  const { id } = line.kitchen
  const asksSecond = pin !== null && (second !== null || code === 'second needed')
  if (!asksSecond)
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
    <>
      <p className="sentence">{say('secondPair')}</p>
      <NameKeys role="group" aria-label={say('whoIsSecond')}>
        {line.people
          .filter((one) => logsHere(one) && one.id !== lead.id)
          .map((one) => (
            <Key
              key={one.id}
              look={one.id === second?.id ? 'primary' : 'plain'}
              aria-pressed={one.id === second?.id}
              onClick={() => setSecond(one)}
            >
              {one.name}
              <small>{one.job}</small>
            </Key>
          ))}
      </NameKeys>
      {second && (
        <PinPad
          key={second.id}
          of={second}
          busy={busy}
          sentence={code === 'second needed' ? null : refusal}
          onPin={(typed) => void sign(pin, id, body, { second: second.id, secondPin: typed })}
        />
      )}
    </>
  )
}
