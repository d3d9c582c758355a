import { id, list, nameOf, object, oneOf, type Field } from '../../ground/field'
import type { OwnIngredient } from '../../ledger/ownIngredient'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { ALLERGENS } from '../../recipe/ingredient/own'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'ingredient-named': OwnIngredient
  }
}

/** Something that no list has becomes the kitchen's own: found wherever an ingredient is. */
export const ingredientNamed: KindOf<'ingredient-named'> = {
  kind: 'ingredient-named',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => parseOwn(object(body, OWN)),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, kitchen, body }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const there = read('kitchen', kitchen)?.ingredients.some(({ key }) => key === body.key)
    return there ? { code: 'already there', field: 'body.key', what: 'ingredient' } : null
  },
  folds: {
    kitchen: (state, { claim: { body } }) => ({
      ...state,
      ingredients: [...state.ingredients, { ...body, gone: false, into: null }],
    }),
  },
}

export const OWN = ['key', 'name', 'like', 'allergens'] as const

export function parseOwn(fields: Record<(typeof OWN)[number], Field>): OwnIngredient {
  return {
    key: id(fields.key),
    name: nameOf(fields.name, 80),
    like: oneOf(fields.like, Object.keys(catalogue)),
    allergens: fields.allergens.value === null ? null : list(fields.allergens, (each) => oneOf(each, ALLERGENS)),
  }
}
