import { approvedOf, type BatchState, type Instruction, type Method } from '@logged-thermal/core'
import { useLine } from './kitchen'

/** The version of the method that a batch is made by, whole; null where this tablet does not have it. */
export function useMethodOf({ method: { id, version } }: Pick<BatchState, 'method'>): Method | null {
  const state = useLine()?.methods.find((each) => each.id === id) ?? null
  return state?.versions.find((each) => each.version === version) ?? approvedOf(state)
}

const NONE: Record<string, Instruction> = {}

/** What the method tells at each step. */
export function useInstructions(batch: BatchState): Record<string, Instruction> {
  return useMethodOf(batch)?.instructions ?? NONE
}
