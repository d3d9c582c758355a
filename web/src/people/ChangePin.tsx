import { useState } from 'react'
import { sentenceOf, useChangePinMutation } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'

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
    <section aria-label="PINs">
      <h2>Change a PIN</h2>
      <p className="muted">
        Everybody changes their own. {lead ? `${lead.name} can give anybody another.` : ''} The logbook says that a PIN
        changed and who changed it, never what it is.
      </p>
      <NameKeys>
        {people.map((person) => (
          <Key key={person.id} disabled={!open} onClick={() => ask(person)}>
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
            setDone(`${asked.person.name} has another PIN from now on.`)
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
    if (next !== first) return setRefusal('Those were two different PINs. Type the new one again.')
    const result = await change({ person: person.id, signer: signer.id, pin: pin!, next })
    if (!result.error) return onDone()
    setRefusal(sentenceOf(result.error))
    if ((result.error as { data?: { field?: string } }).data?.field === 'pin') onPin(null)
  }
  const asks = first === null ? `the new PIN${own ? '' : ` of ${person.name}`}` : 'the new PIN once more'
  return (
    <Sheet open onClose={onClose} title={own ? 'Your PIN' : `A PIN for ${person.name}`}>
      {pin === null ? (
        <>
          <p className="sentence">First the PIN as it is now.</p>
          <PinPad of={signer} busy={false} sentence={refusal} onPin={onPin} />
        </>
      ) : (
        <>
          <p className="sentence">
            Now {asks}. {person.role === 'lead' ? 'Six digits or more.' : 'Four digits or more.'}
          </p>
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
