import type { Allergen } from '../recipe/ingredient/ingredient'
import type { Instant } from '../ground/instant'
import type { DietClaim } from '../recipe/method/facts'
import type { ToolKind } from '../recipe/method/tool'
import type { Id } from './subject'

/** A tool of the kitchen, by the name that stands on it. */
export interface Tool {
  tool: Id
  name: string
  kind: ToolKind
  /** The kitchen works with it no longer: it is asked about no more. */
  gone: boolean
}

/** What is left behind of a food: its allergens, and what nobody has read the allergens of. */
export interface Traces {
  allergens: Allergen[]
  unknown: string[]
}

/** A batch went through a tool. */
export interface ToolUsed {
  step: string
  /** null: through none of the kitchen's. */
  tool: Id | null
  /** Washed since what was in it before. */
  washed: boolean
  /** What was in it before; of what went through since it was washed. */
  left: Traces
  /** The tool's name; empty for none. */
  name: string
  /** This batch, as people call it: name and code. */
  called: string
  /** Whose that was, the last one, by name and code; null: nothing went through it, as far as the logbook knows. */
  after: string | null
  /** What is in it now: all that this batch holds, and what it took over. */
  holds: Traces
}

/** A batch was put away, and nobody told which tool it went through at a step: it may have been any of the kind. */
export interface ToolUntold {
  step: string
  kind: ToolKind
  /** When the step was over. */
  at: Instant
  called: string
  holds: Traces
}

/** What the label of something that was put away lacks, found as something was told only after. */
export interface Lacking {
  /** In it, and not on its label. */
  contains: Traces
  /** What tools brought along, and its label does not say. */
  mayContain: Traces
  /** No longer true of it. */
  claims: DietClaim[]
  /** Alcohol went in that its label does not count: how much by volume is not known any more. Left out: none did. */
  alcohol?: true
}

/** Something that was put away, and what its label lacks; of a batch: what one of its items' lacks. */
export interface Reached {
  type: 'batch' | 'item'
  id: Id
  lacks: Lacking
}
