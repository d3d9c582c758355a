import type { ProofFound } from '@logged-thermal/core'

/** How far a check is. */
export type Checked =
  | { state: 'reads'; share: number }
  | { state: 'found'; found: ProofFound }
  | { state: 'unreadable'; why: string }
  | { state: 'cancelled' }
