import type { Allergen } from '../recipe/ingredient/ingredient'
import type { Lacking } from './tool'
import type { Id } from './subject'

/** An ingredient of the kitchen's own, that no list has, as somebody named it. */
export interface OwnIngredient {
  key: Id
  name: string
  /** Key of the catalogue: it heats, spoils, sets and is washed as that. */
  like: string
  /** null: nobody has read them. */
  allergens: Allergen[] | null
}

/** What the lead made of one since. */
export interface OwnChanged extends OwnIngredient {
  /** Not taken any more: it is offered no longer, and stays what it was where it is in something. */
  gone: boolean
  /** It is the same as that one: key of another of the kitchen's own, or of the catalogue. null: it stands by itself. */
  into: string | null
  /** Held items with it in them, whose labels lack what is known of it now. */
  items: Id[]
  /** What those lack. */
  lacks: Lacking
  /** Batches with it in them that went through the kitchen's tools: what those leave behind lacks it too. Left out: none. */
  through?: Id[]
  /** Its name, where nobody had read its allergens before, and now they are: not known no longer. null: nothing was read. */
  read: string | null
}
