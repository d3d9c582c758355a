import { v7 as uuid } from 'uuid'
import { ownIngredient, type Ingredient } from '@logged-thermal/core'
import { amountMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { speaks } from '../kit/language'
import { OwnForm } from './OwnForm'

const say = speaks(amountMessages)

/** Something that no list has becomes the kitchen's own: from then on it is found wherever an ingredient is. */
export function OwnIngredient({
  called,
  onDone,
  onClose,
}: {
  called: string
  onDone: (ingredient: Ingredient) => void
  onClose: () => void
}) {
  const enter = useEnter()
  const kitchen = useLine()?.kitchen.id ?? ''
  return (
    <OwnForm
      first={{ name: called, like: null, allergens: null }}
      done={say('makeIngredient')}
      onDone={(own) => {
        const key = uuid()
        enter('ingredient-named', kitchen, { key, ...own })
        onDone(ownIngredient(key, own.name, own.like, own.allergens))
      }}
      onClose={onClose}
    />
  )
}
