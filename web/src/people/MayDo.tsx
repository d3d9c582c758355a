import { peopleMessages } from '@logged-thermal/wording'
import { ADMINISTERS_BESIDE, type Role } from '@logged-thermal/core'
import { ROLES_GIVEN, roleWord } from '../app/roles'
import { CheckField } from '../kit/CheckField'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { speaks } from '../kit/language'

const say = speaks(peopleMessages)

const LEAVES = 'leaves'

/** What somebody may do here. Role null: they work here no more. */
export interface Given {
  role: Role | null
  administers: boolean
}

/** Chooses a role, and for those who cook whether they look after people and tablets too; each says what it means. */
export function MayDo({
  given,
  name,
  byLead,
  onGive,
}: {
  given: Given
  /** Whose it is, once they work here: then that can end. */
  name: string | null
  /** The lead gives it, and so may give everything. */
  byLead: boolean
  onGive: (given: Given) => void
}) {
  const roles = ROLES_GIVEN.filter((role) => byLead || role !== 'lead')
  const { role, administers } = given
  const beside = byLead && ADMINISTERS_BESIDE.some((each) => each === role)
  return (
    <>
      <ChoiceKeys
        name={say('mayDo')}
        options={name === null ? roles : [...roles, LEAVES]}
        chosen={role ?? LEAVES}
        words={(each) => (each === LEAVES ? say('leaves') : roleWord(each))}
        onChoose={(each) =>
          onGive({
            role: each === LEAVES ? null : each,
            administers: administers && ADMINISTERS_BESIDE.some((cooks) => cooks === each),
          })
        }
      />
      <p className="muted">{role === null ? say('leavesMeans', { name: name ?? '' }) : say(`may_${role}`)}</p>
      {beside && (
        <CheckField
          label={say('administersToo')}
          checked={administers}
          onCheck={(checked) => onGive({ role, administers: checked })}
        />
      )}
      {beside && administers && <p className="muted">{say('administersMeans')}</p>}
    </>
  )
}
