import { useState } from 'react'
import { decideMessages } from '@logged-thermal/wording'
import type { Id } from '@logged-thermal/core'
import { useLine } from '../app/kitchen'
import { logsHere, type PersonOnList } from '../app/lineData'
import { Key } from '../kit/Key'
import { NameKeys } from '../kit/NameKeys'
import { PinPad } from '../kit/PinPad'
import { speaks } from '../kit/language'

const say = speaks(decideMessages)

interface Props {
  /** Who needs somebody else beside them. */
  first: readonly (Id | null)[]
  /** Why somebody else signs. */
  why: string
  busy: boolean
  /** Why the PIN was not taken. */
  sentence: string | null
  onPin: (second: Id, pin: string) => void
}

/** Somebody else who works here signs beside whoever it is: the name, and then the PIN. */
export function SecondPin({ first, why, busy, sentence, onPin }: Props) {
  const people = useLine()?.people ?? []
  const [second, setSecond] = useState<PersonOnList | null>(null)
  return (
    <>
      <p className="sentence">{why}</p>
      <NameKeys role="group" aria-label={say('whoIsSecond')}>
        {people
          .filter((one) => logsHere(one) && !first.includes(one.id))
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
        <PinPad key={second.id} of={second} busy={busy} sentence={sentence} onPin={(pin) => onPin(second.id, pin)} />
      )}
    </>
  )
}
