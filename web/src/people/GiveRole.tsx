import { peopleMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import type { Role } from '@logged-thermal/core'
import { sentenceOf, useGiveRoleMutation } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { ROLES_GIVEN, roleWord } from '../app/roles'
import styles from './people.module.css'

const say = speaks(peopleMessages)

const LEAVES = 'leaves'
const CHOICES = [...ROLES_GIVEN, LEAVES] as const

interface Props {
  person: PersonOnList
  lead: PersonOnList
  onDone: (said: string) => void
  onClose: () => void
}

/** What somebody may do from now on, or that they work here no more; signed by the lead. */
export function GiveRole({ person, lead, onDone, onClose }: Props) {
  const [chosen, setChosen] = useState<(typeof CHOICES)[number]>(person.role ?? LEAVES)
  const [give, { isLoading, error }] = useGiveRoleMutation()
  const { name } = person
  const role: Role | null = chosen === LEAVES ? null : chosen
  const sign = async (pin: string) => {
    const result = await give({ person: person.id, role, signer: lead.id, pin })
    if (result.error) return
    onDone(role === null ? say('worksHereNoMore', { name }) : say('isRoleNow', { name, role: roleWord(role) }))
  }
  return (
    <Sheet open onClose={onClose} title={say('roleOf', { name })}>
      <div className={styles.form}>
        <ChoiceKeys
          name={say('mayDo')}
          options={CHOICES}
          chosen={chosen}
          words={(each) => (each === LEAVES ? say('leaves') : roleWord(each))}
          onChoose={setChosen}
        />
        <p className="muted">{role === null ? say('leavesMeans', { name }) : say(`may_${role}`)}</p>
        {role === person.role ? null : (
          <PinPad
            of={lead}
            busy={isLoading}
            sentence={error ? sentenceOf(error) : null}
            onPin={(pin) => void sign(pin)}
          />
        )}
      </div>
    </Sheet>
  )
}
