import { peopleMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { sentenceOf, useChangePinMutation } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(peopleMessages)

interface Asked {
  person: PersonOnList
  signer: PersonOnList
  /** The PIN of who signs, once it was typed. */
  pin: string | null
}

/** Whose PIN is to change: their own, or anybody's where the lead signs. */
export function ChangePin({ people, open }: { people: readonly PersonOnList[]; open: boolean }) {
  const { person: here } = useHand(useLine())
  const [asked, setAsked] = useState<Asked | null>(null)
  const [done, setDone] = useState<string | null>(null)
  const lead = people.find(({ role }) => role === 'lead')
  const ask = (person: PersonOnList) => {
    const signer = here?.role === 'lead' ? here : person
    setDone(null)
    setAsked({ person, signer, pin: null })
  }
  return (
    <section aria-label={say('pins')}>
      <h2>{say('changePin')}</h2>
      <p className="muted">{say('everybodyChangesTheirOwn', { lead: lead && lead.name, hasLead: Boolean(lead) })}</p>
      <NameKeys>
        {people.map((person) => (
          <Key key={person.id} why={shutUnless(open)} onClick={() => ask(person)}>
            {person.name}
            <small>{person.job}</small>
          </Key>
        ))}
      </NameKeys>
      <p role="status">{done}</p>
      {asked && (
        <ChangeSheet
          asked={asked}
          onPin={(pin) => setAsked({ ...asked, pin })}
          onDone={() => {
            setDone(say('anotherPinFromNow', { person: asked.person.name }))
            setAsked(null)
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </section>
  )
}

interface SheetProps {
  asked: Asked
  onPin: (pin: string | null) => void
  onDone: () => void
  onClose: () => void
}

/** First the PIN of who signs, as it is now; then the new one, twice. */
function ChangeSheet({ asked: { person, signer, pin }, onPin, onDone, onClose }: SheetProps) {
  const [change, { isLoading }] = useChangePinMutation()
  const [first, setFirst] = useState<string | null>(null)
  const [refusal, setRefusal] = useState<string | null>(null)
  const own = person.id === signer.id
  const typed = async (next: string) => {
    if (first === null) {
      setRefusal(null)
      return setFirst(next)
    }
    setFirst(null)
    if (next !== first) return setRefusal(say('thoseWereTwoDifferent'))
    const result = await change({ person: person.id, signer: signer.id, pin: pin!, next })
    if (!result.error) return onDone()
    setRefusal(sentenceOf(result.error))
    if ((result.error as { data?: { field?: string } }).data?.field === 'pin') onPin(null)
  }
  const asks = first === null ? say('newPin', { person: person.name, own }) : say('newPinOnceMore')
  return (
    <Sheet open onClose={onClose} title={own ? say('yourPin') : say('pinFor', { person: person.name })}>
      {pin === null ? (
        <>
          <p className="sentence">{say('firstPinAsNow')}</p>
          <PinPad of={signer} busy={false} sentence={refusal} onPin={onPin} />
        </>
      ) : (
        <>
          <p className="sentence">{say('nowSixDigitsOr', { asks, isLead: person.role === 'lead' })}</p>
          <PinPad
            key={asks}
            of={{ name: own ? person.name : signer.name, digits: null }}
            busy={isLoading}
            sentence={refusal}
            onPin={(next) => void typed(next)}
          />
        </>
      )}
    </Sheet>
  )
}
