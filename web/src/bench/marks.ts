import type { Witness, Finding, HeatWindow } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import type { Futures } from './futures'
import type { TraceScale } from './traceScale'

/** What stands on a trace besides its fill. */
export interface Marks {
  trace: Trace
  findings: readonly Finding[]
  now: number
  reader: Reader
  scale: TraceScale
  explained: Finding | null
  cues: Cue[]
  /** The band to stay in, on the heat; null off it. */
  heat: HeatWindow | null
  /** Where it goes; null where nothing can be said. */
  futures: Futures | null
  /** The other pans of a split batch that were read. */
  pans: { pan: string; trace: Trace }[]
}

export type Trace = readonly Witness[]

export interface Cue {
  at: number
  text: string
}
