import { peopleMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { sentenceOf, useGiveRoleMutation } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { roleWord } from '../app/roles'
import { MayDo, type Given } from './MayDo'
import styles from './people.module.css'

const say = speaks(peopleMessages)

interface Props {
  person: PersonOnList
  /** The lead, or whoever looks after people. */
  signer: PersonOnList
  onDone: (said: string) => void
  onClose: () => void
}

/** What somebody may do from now on, or that they work here no more; signed. */
export function GiveRole({ person, signer, onDone, onClose }: Props) {
  const before: Given = { role: person.role, administers: person.administers === true }
  const [given, setGiven] = useState(before)
  const [give, { isLoading, error }] = useGiveRoleMutation()
  const { name } = person
  const sign = async (pin: string) => {
    const result = await give({ person: person.id, ...given, signer: signer.id, pin })
    if (result.error) return
    onDone(given.role === null ? say('worksHereNoMore', { name }) : say('isRoleNow', { name, role: dutiesOf(given) }))
  }
  return (
    <Sheet open onClose={onClose} title={say('roleOf', { name })}>
      <div className={styles.form}>
        <MayDo given={given} name={name} byLead={signer.role === 'lead'} onGive={setGiven} />
        {given.role === before.role && given.administers === before.administers ? null : (
          <PinPad
            of={signer}
            busy={isLoading}
            sentence={error ? sentenceOf(error) : null}
            onPin={(pin) => void sign(pin)}
          />
        )}
      </div>
    </Sheet>
  )
}

/** A role, and beside it that they look after people and tablets. */
export function dutiesOf({ role, administers }: { role: PersonOnList['role']; administers?: boolean }): string {
  return [role === null ? '' : roleWord(role), administers ? say('administersShort') : ''].filter(Boolean).join(', ')
}
