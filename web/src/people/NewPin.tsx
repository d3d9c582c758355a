import { peopleMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { PinPad } from '../kit/PinPad'
import { speaks } from '../kit/language'

const say = speaks(peopleMessages)

/** As few digits as the server takes. */
const [COOKS, LEADS] = [4, 6]

interface Props {
  /** Whose it will be. */
  name: string
  /** They type it themselves, and nobody for them. */
  own: boolean
  /** A food-safety lead's is longer. */
  isLead: boolean
  busy: boolean
  /** Why the one that was typed is refused. */
  sentence: string | null
  onPin: (pin: string) => void
}

/** A PIN to be, typed twice. */
export function NewPin({ name, own, isLead, busy, sentence, onPin }: Props) {
  const [first, setFirst] = useState<string | null>(null)
  const [differ, setDiffer] = useState(false)
  const typed = (pin: string) => {
    setDiffer(first !== null && pin !== first)
    setFirst(first === null ? pin : null)
    if (pin === first) onPin(pin)
  }
  const asks = first === null ? say('newPin', { person: name, own }) : say('newPinOnceMore')
  return (
    <>
      <p className="sentence">{say('nowSixDigitsOr', { asks, isLead })}</p>
      <PinPad
        key={asks}
        of={{ name, digits: null }}
        least={isLead ? LEADS : COOKS}
        busy={busy}
        sentence={first !== null ? null : differ ? say('thoseWereTwoDifferent') : sentence}
        onPin={typed}
      />
    </>
  )
}
