import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Tool, ToolUntold, ToolUsed } from '../ledger/tool'

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
  /** Nobody told which tool of the kind it went through at this step: it counts as all of them, until that is told. */
  untold?: string
}

/** The tools once a batch was put away with steps whose tool nobody told; each of those counts once. */
export function untoldBy(
  tools: readonly ToolState[],
  entry: Id,
  batch: Id,
  untold: readonly ToolUntold[],
): ToolState[] {
  return tools.map((tool) =>
    untold
      .filter(({ kind, step }) => kind === tool.kind && !tool.gone && !isCounted(tool, batch, step))
      .reduce(
        (used, { step, at, called, holds }) =>
          usedBy(used, { entry, batch, called, at, washed: false, holds, untold: step }),
        tool,
      ),
  )
}

function isCounted({ uses }: ToolState, batch: Id, step: string): boolean {
  return uses.some((use) => use.batch === batch && use.untold === step)
}

/** So many uses are kept: what is older was passed on by those, or washed away. */
const KEPT = 12

/** The tool once one more batch went through it. */
export function usedBy(tool: ToolState, use: ToolUse): ToolState {
  return { ...tool, uses: [...tool.uses, use].slice(-KEPT) }
}
