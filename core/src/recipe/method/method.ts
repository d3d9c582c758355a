import type { Ingredient } from '../ingredient/ingredient'
import type { Degrees, Typed } from '../../ground/temperature'

/** What a reading is of: the mixture, or a part before it joined. */
export type Of = 'mixture' | { part: string }

/** The stages a method can have, in the order of the work. */
export const STEP_KINDS = [
  'mise',
  'eggs',
  'infuse',
  'heat dairy',
  'temper',
  'combine',
  'cook',
  'boil out',
  'bake',
  'brown',
  'strain',
  'whip',
  'fold',
  'add after heat',
  'cool',
  'set',
  'churn',
  'freeze',
  'assemble',
  'reheat',
  'hold',
  'serve at once',
] as const

export type StepKind = (typeof STEP_KINDS)[number]

/** One stage of a method. Readings taken in it are of what it `measures`. */
export interface Step {
  key: string
  kind: StepKind
  measures: Of
}

/** What a cook is told at a step, beside its kind. */
export interface Instruction {
  /** In the imperative, short. */
  text: string
  activeMinutes: number
  /** Minutes that pass by themselves: to set, to age, to harden. */
  passiveMinutes: { least: number; most: number } | null
  /** Where the cook aims, inside floor and ceiling; both figures. */
  target: { from: Degrees; to: Degrees } | null
  /** As it stands on the oven, with its unit. */
  oven: Typed | null
  /** What the pot stands over. Left out: not said. */
  over?: (typeof OVER)[number]
  /** Off the heat: on the counter first, or into the cold at once. Left out: not said. */
  first?: (typeof COOLS_FIRST)[number]
  /** When it is covered as it cools. Left out: asked when it begins to. */
  cover?: (typeof COVERED)[number]
}

export const OVER = ['water', 'flame'] as const
export const COOLS_FIRST = ['counter', 'cold'] as const
export const COVERED = ['at once', 'when set'] as const

/** A vessel of the batch; depth in metres. */
export interface FilledVessel {
  id: string
  name: string
  fillDepth: number
}

/** An ingredient in a method: how much, at which step, and in what state. */
export interface Amount {
  key: string
  /** Key of an ingredient, of the catalogue or of the method's own. */
  ingredient: string
  /** null: not written down yet. */
  grams: number | null
  /** Eggs are counted too; null where only grams are. */
  count: number | null
  step: string
  state: 'as it is' | 'pasteurized lot' | 'frozen' | 'treated'
  /** As somebody wrote it: "2 cups". Left out: in grams. */
  said?: string
}

/** Something made by another method that goes in. */
export interface Component {
  key: string
  method: string
  name: string
  grams: number | null
  step: string
}

/** What of a method decides the checks of a batch; a batch keeps the version it was made by. */
export interface Procedure {
  version: number
  name: string
  family: FamilyKey
  steps: Step[]
  /** How it is heated, where not by the rule set's egg rows: the key of a process schedule. */
  schedule: string | null
  /** How it cools: in stages after heat, from room temperature, not at all when served at once, or kept dry without cold. */
  cooling: Cooling
  /** Its own ceiling where that is not the family's. */
  ceiling: Degrees | null
  /** It holds raw egg that no step heats: hours count, not days. */
  raw: boolean
  /** It holds frozen fruit that no supplier treated: it is boiled. */
  untreatedFruit: boolean
  /** Calendar days the house keeps it; the rule set's maximum always wins. */
  houseDays: number
}

/** How a dessert is made here. */
export interface Method extends Procedure {
  id: string
  vessel: FilledVessel
  instructions: Record<string, Instruction>
  amounts: Amount[]
  components: Component[]
  /** Ingredients that are not in the catalogue. */
  own: Ingredient[]
  portions: number | null
  /** A problem that stays, with why it may. */
  justified: { problem: string; reason: string }[]
}

export const COOLINGS = ['stages', 'ambient', 'none', 'dry'] as const
export type Cooling = (typeof COOLINGS)[number]

export const FAMILY_KEYS = [
  'starch-custard',
  'poured-custard',
  'churned-base',
  'heated-nog',
  'fruit-curd',
  'yolk-foam',
  'white-foam',
  'mousse',
  'gelatine-cream',
  'acid-cream',
  'fruit-jelly',
  'baked-custard',
  'baked-crumb',
  'sponge',
  'dry-baked',
  'enriched-custard',
  'assembly',
  'filled-pastry',
  'foam-topping',
  'whipped-cream',
  'cooked-fruit',
  'syrup-sauce',
  'glaze',
  'bought-opened',
  'by-product',
] as const

export type FamilyKey = (typeof FAMILY_KEYS)[number]
