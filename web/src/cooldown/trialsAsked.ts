import type { CoolingStage, Place, Trial, TrialResult } from '@logged-thermal/core'

/** What the page asks of the worker: trials, and for each place how deep it may stand. */
export interface TrialsAsked {
  trials: Trial[]
  stages: CoolingStage[]
}

/** What it answers, one at a time; then that it is done. */
export type TrialAnswer =
  | { kind: 'result'; index: number; result: TrialResult }
  | { kind: 'depth'; place: Place; metres: number | null }
  | { kind: 'done' }
