import { useState } from 'react'
import { findIngredients, isNamed, type Ingredient } from '@logged-thermal/core'
import { storeInMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { OwnIngredient } from '../ours/OwnIngredient'

const say = speaks(storeInMessages)

/** What a name may mean, so many at most: more is no quicker than another word. */
const OFFERED = 6
/** None of those on the list: what it holds is not known. */
export const NOT_LISTED = 'not listed'

/** What of the catalogue something is, as it was tapped: a key, or that it is none; the name stays as it was typed. */
export function WhichFood({
  name,
  ours,
  chosen,
  onChoose,
}: {
  name: string
  /** The kitchen's own, beside the catalogue. */
  ours: readonly Ingredient[]
  chosen: string | null
  onChoose: (key: string) => void
}) {
  const [making, setMaking] = useState(false)
  const offered = offeredFor(name, ours)
  if (name.trim() === '') return null
  if (making)
    return (
      <OwnIngredient
        called={name}
        onDone={({ key }) => {
          onChoose(key)
          setMaking(false)
        }}
        onClose={() => setMaking(false)}
      />
    )
  return (
    <div>
      {offered.length > 0 && (
        <ChoiceKeys
          name={say('whichOfThese')}
          options={[...offered.map(({ key }) => key), NOT_LISTED]}
          chosen={chosen ?? ''}
          words={(key) => offered.find((each) => each.key === key)?.name ?? say('noneOfThese')}
          onChoose={onChoose}
        />
      )}
      {(chosen === NOT_LISTED || offered.length === 0) && (
        <>
          <p className="muted">{say('notOnList')}</p>
          <Key look="outlined" onClick={() => setMaking(true)}>
            {say('makeOurOwn')}
          </Key>
        </>
      )}
    </div>
  )
}

/** Which food a name means: the tapped one, else the one of just that name; null where nobody has said yet. */
export function foodMeant(name: string, tapped: string | null, ours: readonly Ingredient[]): string | null {
  const offered = offeredFor(name, ours)
  if (offered.length === 0) return name.trim() === '' ? null : NOT_LISTED
  if (tapped === NOT_LISTED || offered.some(({ key }) => key === tapped)) return tapped
  return offered[0] && isNamed(offered[0], name) ? offered[0].key : null
}

function offeredFor(name: string, ours: readonly Ingredient[]) {
  return name.trim() === '' ? [] : findIngredients(name, ours).slice(0, OFFERED)
}
