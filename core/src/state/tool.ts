import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Tool, ToolUsed } from '../ledger/tool'

/** A tool with what last went through it, in the order it was told. */
export interface ToolState extends Tool {
  uses: ToolUse[]
}

export interface ToolUse extends Pick<ToolUsed, 'washed' | 'holds'> {
  entry: Id
  batch: Id
  /** The batch, as people call it. */
  called: string
  at: Instant
}

/** So many uses are kept: what is older was passed on by those, or washed away. */
const KEPT = 12

/** The tool once one more batch went through it. */
export function usedBy(tool: ToolState, use: ToolUse): ToolState {
  return { ...tool, uses: [...tool.uses, use].slice(-KEPT) }
}
