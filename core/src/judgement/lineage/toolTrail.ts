import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { ToolUsed, Traces } from '../../ledger/tool'
import type { BatchState } from '../../state/batch'
import { isWaiting, type Fact } from '../../state/fact'
import type { ToolState, ToolUse } from '../../state/tool'
import { contentsOf, sorted, traceOfParts } from './contents'

/** Finds a batch by its id; null where it was not read. */
export type FindBatch = (id: Id) => BatchState | null

/** Something that went through a tool and was not washed out since. */
interface Residue {
  batch: Id
  called: string
  traces: Traces
}

/** What went from batch to batch through the kitchen's tools, by all that is known now. */
export interface ToolTrail {
  /** What a tool holds of other batches than this one, and whose was the last. */
  leftFor(tool: Id, batch: Id): { left: Traces; after: string | null }
  /** What tools brought into a batch by their uses that were told; `until`: by those up to then. */
  into(batch: Id, until?: Instant): Traces
}

/**
 * Follows every use of every tool once, in the order they happened: a batch takes over what is left in the tool, and leaves
 * all that is in it. A use that was taken back was none. Told too late, washing counts for nothing, and all counts as taken
 * over that went through the tool until the kitchen knew.
 * @param until only what went through the tools up to then
 */
export function toolTrail(tools: readonly ToolState[], find: FindBatch, until: Instant = Infinity): ToolTrail {
  const inTool = new Map<Id, Residue[]>()
  const taken = new Map<Id, { at: Instant; traces: Traces }[]>()
  const left = (tool: Id, batch: Id) => (inTool.get(tool) ?? []).filter((each) => each.batch !== batch)
  const into = (batch: Id, upTo = Infinity) =>
    together((taken.get(batch) ?? []).flatMap(({ at, traces }) => (at <= upTo ? [traces] : [])))

  for (const { act, tool, use, batch, isWashed } of actsOf(tools, find)) {
    if (use.at > until) continue
    if (act === 'takes') {
      const traces = together(left(tool, use.batch).map((each) => each.traces))
      taken.set(use.batch, [...(taken.get(use.batch) ?? []), { at: use.at, traces }])
      continue
    }
    // Of a batch that is not read here, what was sealed with the use is all there is.
    const own = batch?.terms.holds ? [contentsOf(batch, batch.terms.holds, use.at)] : []
    const parts = batch ? traceOfParts(batch, use.at) : []
    const traces = together([use.holds, ...own, ...parts, into(use.batch, use.at)])
    const residue = { batch: use.batch, called: use.called, traces }
    inTool.set(tool, [...(isWashed ? [] : (inTool.get(tool) ?? [])), residue])
  }
  return {
    leftFor(tool, batch) {
      const others = left(tool, batch)
      return { left: together(others.map(({ traces }) => traces)), after: others.at(-1)?.called ?? null }
    },
    into,
  }
}

export function together(all: readonly Traces[]): Traces {
  return {
    allergens: sorted(all.flatMap(({ allergens }) => allergens)),
    unknown: [...new Set(all.flatMap(({ unknown }) => unknown))].sort(),
  }
}

interface ToolAct {
  act: 'takes' | 'leaves'
  at: Instant
  tool: Id
  use: ToolUse
  batch: BatchState | null
  isWashed: boolean
}

/** What each use that stands did, in order: of one time, as they were told. */
function actsOf(tools: readonly ToolState[], find: FindBatch): ToolAct[] {
  return tools
    .flatMap(({ tool, uses }) =>
      uses.flatMap((use): ToolAct[] => {
        const batch = find(use.batch)
        const fact = batch?.facts['tool-used'].find(({ entry }) => entry === use.entry)
        if (isNone(use, fact, batch)) return []
        const isWashed = fact ? isWashedIn(fact) : use.washed
        const act = { tool, use, batch, isWashed }
        const leaves: ToolAct = { ...act, act: 'leaves', at: use.at }
        if (isWashed) return [leaves]
        return [{ ...act, act: 'takes', at: fact ? takenOverAt(fact) : use.at }, leaves]
      }),
    )
    .sort((a, b) => a.at - b.at)
}

/**
 * A use that was taken back, or that only stood for a tool nobody had named, was none: while its batch is not put away, or
 * once its step was told of in time. Otherwise the batch went through something, and this is all that is known of it.
 */
function isNone({ untold }: ToolUse, fact: Fact<ToolUsed> | undefined, batch: BatchState | null): boolean {
  const step = untold ?? (fact?.void ? fact.value.step : undefined)
  if (step === undefined || !batch) return false
  const { 'tool-used': used, portioned } = batch.facts
  const isTold = used.some((other) => other.value.step === step && !other.void && !isWaiting(other))
  return isTold || portioned.every((put) => put.void)
}

/** Told too late, or taken back too late, washing counts for nothing before the lead accepts it. */
export function isWashedIn(fact: Fact<ToolUsed>): boolean {
  return fact.value.washed && !fact.void && !isWaiting(fact) && fact.waiting.length === 0
}

function takenOverAt(fact: Fact<unknown>): Instant {
  return isWaiting(fact) ? Math.max(fact.at, fact.knownAt) : fact.at
}
