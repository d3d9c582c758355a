/** What a reading is of: the mixture, or a part before it joined. */
export type Of = 'mixture' | { part: string }

export type StepKind = 'heat dairy' | 'temper' | 'cook' | 'cool' | 'hold'

/** One stage of a method. Readings taken in it are of what it `measures`. */
export interface Step {
  key: string
  kind: StepKind
  measures: Of
}

/** A vessel of the batch; depth in metres. */
export interface Vessel {
  id: string
  name: string
  fillDepth: number
}

/** What of a method decides the checks of a batch; a batch keeps the version it was made by. */
export interface Procedure {
  version: number
  name: string
  family: FamilyKey
  steps: Step[]
  /** How it is heated, where not by the rule set's egg rows: the key of a process schedule. */
  schedule: string | null
  /** Calendar days the house keeps it; the rule set's maximum always wins. */
  houseDays: number
}

/** How a dessert is made here. */
export interface Method extends Procedure {
  id: string
  vessel: Vessel
}

export type FamilyKey = 'poured-custard' | 'fruit-curd' | 'heated-nog'
