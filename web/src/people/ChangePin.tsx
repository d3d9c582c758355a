import { peopleMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { fieldOf, sentenceOf, useChangePinMutation } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { NewPin } from './NewPin'

const say = speaks(peopleMessages)

interface Props {
  person: PersonOnList
  /** Whoever has the PIN that opens this: the person, or the lead. */
  signer: PersonOnList
  onDone: (said: string) => void
  onClose: () => void
}

/** First the PIN of who signs, as it is now; then the new one. */
export function ChangePin({ person, signer, onDone, onClose }: Props) {
  const [pin, setPin] = useState<string | null>(null)
  const [refusal, setRefusal] = useState<string | null>(null)
  const [change, { isLoading }] = useChangePinMutation()
  const own = person.id === signer.id
  const typed = async (next: string) => {
    const result = await change({ person: person.id, signer: signer.id, pin: pin!, next })
    if (!result.error) return onDone(say('anotherPinFromNow', { person: person.name }))
    setRefusal(sentenceOf(result.error))
    if (fieldOf(result.error) === 'pin') setPin(null)
  }
  return (
    <Sheet open onClose={onClose} title={own ? say('yourPin') : say('pinFor', { person: person.name })}>
      {pin === null ? (
        <>
          <p className="sentence">{say('firstPinAsNow')}</p>
          <PinPad
            of={signer}
            busy={false}
            sentence={refusal}
            onPin={(now) => {
              setRefusal(null)
              setPin(now)
            }}
          />
        </>
      ) : (
        <NewPin
          name={person.name}
          own={own}
          isLead={person.role === 'lead'}
          busy={isLoading}
          sentence={refusal}
          onPin={(next) => void typed(next)}
        />
      )}
    </Sheet>
  )
}
