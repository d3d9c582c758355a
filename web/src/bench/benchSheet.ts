import type { Decision, Edge } from '@logged-thermal/core'

/** What lies over the Bench. */
export type BenchSheet =
  | 'readings'
  | 'cue'
  | 'steps'
  | 'eggs'
  | 'temper'
  | 'add'
  | 'acidity'
  | 'cover'
  | 'more'
  | { decide: Decision | null }
  /** A step is marked where another comes first: why? */
  | { mark: { step: string; edge: Edge } }
