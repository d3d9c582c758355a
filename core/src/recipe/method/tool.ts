import type { StepKind } from './method'

/** What many foods go through, one after the other, and leave something behind in. */
export const TOOL_KINDS = ['churn', 'blender', 'sieve', 'mould', 'bag'] as const

export type ToolKind = (typeof TOOL_KINDS)[number]

/** The tool that a step of a kind goes through, where the kitchen has one of it. */
export const TOOL_AT: Partial<Record<StepKind, ToolKind>> = {
  strain: 'sieve',
  whip: 'blender',
  churn: 'churn',
  set: 'mould',
  assemble: 'bag',
}
