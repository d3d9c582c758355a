import type { Decision, Edge, UnitKind } from '@logged-thermal/core'

/** What lies over the Bench. */
export type BenchSheet =
  | 'readings'
  | 'cue'
  | 'steps'
  | 'eggs'
  | 'temper'
  | 'add'
  | 'acidity'
  | 'cooling'
  | 'rewarm'
  /** Items go in. */
  | 'parts'
  /** From which lots what goes in at this step comes. */
  | 'lots'
  | 'tool'
  /** Some of it is put away. */
  | 'put away'
  /** Into which vessel, and how many of them. */
  | { pour: { pans: number } }
  /** Into which unit of a kind, with its air. */
  | { place: UnitKind }
  /** Readings of a paper sheet are copied. */
  | 'paper'
  /** Readings come out of a logger's file. */
  | 'logger'
  | 'more'
  | { decide: Decision | null }
  /** It is to come off the heat before its floor is proven: sure? */
  | { off: { step: string } }
  /** A step is marked where another comes first: why? */
  | { mark: { step: string; edge: Edge } }
