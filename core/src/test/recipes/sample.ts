import type { MeasureSystem } from '../../rules/practice'
import type { FamilyKey } from '../../recipe/method/method'

/** A recipe as somebody wrote it, and what a reader of it would understand. */
export interface Sample {
  name: string
  measures: MeasureSystem
  text: string
  /** Key of the catalogue and grams, in the order of the text; grams null: none are said. A key of null: it is not on the list. */
  materials: readonly (readonly [key: string | null, grams: number | null])[]
  /** How many stages of the work are written. */
  steps: number
  /** What it could be called; any of these is right. */
  families: readonly FamilyKey[]
}
