import {
  dayOf,
  itemLevel,
  labellingOf,
  type Instant,
  type ItemState,
  type Level,
  type LimitSet,
} from '@logged-thermal/core'
import { levelDegrees, type Reader } from '../figures'
import { advisory, alcoholNote, fruitNote } from '../guideWords'
import { ingredientsNote, mayContainNote } from '../toolWords'
import { initialsAmong, type Named } from './initials'

/** What stands on a label beside the item itself. */
export interface LabelFacts {
  item: ItemState
  /** Where the code leads. */
  address: string
  initials: string
  /** Whose it is: the kitchen’s name, and its address where the lead gave one. */
  kitchen: string
  /** How cold it is kept, as the kitchen's limit says: '4° or under'. */
  storage: string
  advisory: string
  /** Of frozen fruit that nobody treated. */
  fruitNote: string
  /** What a tool may have brought along; empty where there is nothing of the kind. */
  mayContain: string
  /** For sale: every ingredient; empty where the allergens alone are said. */
  ingredients: string
  /** Of alcohol in it; empty where there is none. */
  alcohol: string
  reader: Reader
}

/** Where and for what a label is printed. */
export interface Printed {
  /** Where this kitchen is reached: 'https://kitchen.example:4310'. */
  origin: string
  kitchen: string
  /** The kitchen's address; null: the lead gave none. */
  place: string | null
  /** Sold packed: it says what the rule set asks of such a label. */
  forSale: boolean
  limits: LimitSet
  now: Instant
  reader: Reader
}

/** What stands on the label of an item. @param people all who ever worked there */
export function labelFactsOf(item: ItemState, people: readonly Named[], printed: Printed): LabelFacts {
  const { origin, kitchen, place, forSale, limits, now, reader } = printed
  const every = forSale && labellingOf(limits.ruleSet.key).packed.says === 'every ingredient'
  return {
    item,
    address: `${origin}/store/item/${item.id}`,
    initials: initialsAmong(people, item.madeBy),
    kitchen: [kitchen, place].filter(Boolean).join(', '),
    storage: storageWords(itemLevel(item, limits, dayOf(now, reader.zone)), reader),
    advisory: advisory(reader),
    fruitNote: fruitNote(reader),
    mayContain: mayContainNote(item.facts.mayContain, reader),
    ingredients: every ? ingredientsNote(item.facts.ingredients, reader) : '',
    alcohol: alcoholNote(item.facts.alcohol, reader),
    reader,
  }
}

/** How cold it is kept, for the label. */
export function storageWords(level: Level | null, reader: Reader): string {
  return level === null ? 'keep dry' : `keep at ${levelDegrees(level, reader)}${reader.scale} or under`
}
