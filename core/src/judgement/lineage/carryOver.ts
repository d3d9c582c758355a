import type { Instant } from '../../ground/instant'
import type { ToolUntold, ToolUsed, Traces } from '../../ledger/tool'
import type { Allergen } from '../../recipe/ingredient/ingredient'
import type { DietClaim } from '../../recipe/method/facts'
import { TOOL_AT } from '../../recipe/method/tool'
import type { BatchState } from '../../state/batch'
import { isWaiting, valid } from '../../state/fact'
import type { ToolState } from '../../state/tool'
import { stepsOf } from '../timeline/stepLeft'
import { timelineOf } from '../timeline/timeline'
import { contentsOf, traceOfParts } from './contents'
import { isWashedIn, together, toolTrail, type FindBatch } from './toolTrail'

export const NO_TRACES: Traces = { allergens: [], unknown: [] }

/**
 * A batch goes through a tool: what was in it, and what is in it then.
 * @param knownAt told too late: when the kitchen knew of it; all counts that went through the tool until then
 */
export function toolUseOf(
  batch: BatchState,
  { step, tool: id, washed }: Pick<ToolUsed, 'step' | 'tool' | 'washed'>,
  tools: readonly ToolState[],
  find: FindBatch,
  at: Instant,
  knownAt: Instant | null = null,
): ToolUsed {
  const tool = tools.find((each) => each.tool === id)
  const called = calledOf(batch)
  const said = { step, tool: id, washed, name: tool?.name ?? '', called }
  if (!tool) return { ...said, left: NO_TRACES, after: null, holds: NO_TRACES }
  const { left, after } = toolTrail(tools, find, knownAt ?? at).leftFor(tool.tool, batch.id)
  const { allergens, unknown } = contentsOf(batch, batch.terms.holds ?? notKnown(called), at)
  const holds = together([
    { allergens, unknown },
    ...traceOfParts(batch),
    carriedInto(batch, tools, find, { telling: step }),
    washed && knownAt === null ? NO_TRACES : left,
  ])
  return { ...said, left, after, holds }
}

/**
 * What tools brought into a batch from what went through them before. A step whose tool nobody told counts as if it had
 * gone through each of that kind, unwashed.
 * @param telling the step whose tool is being told just now
 * @param until by what it went through up to then
 */
export function carriedInto(
  batch: BatchState,
  tools: readonly ToolState[],
  find: FindBatch,
  { telling, until = Infinity }: { telling?: string; until?: Instant } = {},
): Traces {
  const trail = toolTrail(tools, find)
  const used = valid(batch.facts['tool-used'])
  // What was sealed with a use stays, also once the tool remembers that use no longer.
  const told = used.flatMap((fact) => (isWashedIn(fact) || fact.at > until ? [] : [fact.value.left]))
  const untold = untoldSteps(batch, until)
    .filter(({ key }) => key !== telling)
    .flatMap(({ kind }) => tools.filter((tool) => tool.kind === TOOL_AT[kind] && !tool.gone))
    .map(({ tool }) => trail.leftFor(tool, batch.id).left)
  return together([...told, trail.into(batch.id, until), ...untold])
}

/** What a batch leaves behind where nobody told in which tool, as it is put away: in each of the kind that the kitchen has. */
export function untoldOf(batch: BatchState, tools: readonly ToolState[], find: FindBatch, now: Instant): ToolUntold[] {
  const called = calledOf(batch)
  const { ends } = stepsOf(batch)
  const has = (kind: ToolUntold['kind'] | undefined): kind is ToolUntold['kind'] =>
    tools.some((tool) => tool.kind === kind && !tool.gone)
  return untoldSteps(batch, now).flatMap(({ key, kind: step }): ToolUntold[] => {
    const kind = TOOL_AT[step]
    if (!has(kind)) return []
    const at = Math.min(now, ends[batch.method.steps.findIndex((each) => each.key === key)] ?? now)
    const { allergens, unknown } = contentsOf(batch, batch.terms.holds ?? notKnown(called), at)
    const carried = carriedInto(batch, tools, find, { until: at })
    return [{ step: key, kind, at, called, holds: together([{ allergens, unknown }, ...traceOfParts(batch), carried]) }]
  })
}

/** A batch as people call it. */
function calledOf({ method, code }: BatchState): string {
  return `${method.name} ${code}`
}

/** Of a batch of before this was kept nobody can say what its method held. */
function notKnown(called: string): NonNullable<BatchState['terms']['holds']> {
  return { allergens: [], unknown: [called], unchecked: [] }
}

/** Steps that go through a tool which nobody told, and that it has gone through or is at. */
function untoldSteps(batch: BatchState, until: Instant): BatchState['method']['steps'] {
  const used = valid(batch.facts['tool-used'])
  const { at, ends } = stepsOf(batch)
  const { marks } = timelineOf(batch)
  return batch.method.steps.filter(({ key, kind }, i) => {
    const isAhead = (at >= 0 && i > at) || (ends[i] ?? -Infinity) > until
    const isTold = used.some((fact) => fact.value.step === key && !isWaiting(fact))
    return TOOL_AT[kind] !== undefined && !isAhead && !isTold && marks.last({ step: key, edge: 'skipped' }) === null
  })
}

/** What of the traces is not in it anyway; undefined where nothing is left of them. */
export function tracesBeside(traces: Traces, own: Traces): Traces | undefined {
  const allergens = traces.allergens.filter((each) => !own.allergens.includes(each))
  const unknown = traces.unknown.filter((each) => !own.unknown.includes(each))
  return allergens.length > 0 || unknown.length > 0 ? { allergens, unknown } : undefined
}

/** What is still claimed where that much may be in it. */
export function claimsBeside(claims: readonly DietClaim[], mayContain: Traces | undefined): DietClaim[] {
  if (!mayContain) return [...claims]
  return claims.filter((claim) => {
    const denied = DENIES[claim]
    return (
      denied.length === 0 ||
      !(mayContain.unknown.length > 0 || mayContain.allergens.some((each) => denied.includes(each)))
    )
  })
}

/** The traces that take a claim back. What alcohol or gelatine a tool brought along nobody knows. */
const DENIES: Record<DietClaim, Allergen[]> = {
  vegetarian: ['fish'],
  vegan: ['milk', 'egg', 'fish'],
  'without gluten': ['gluten', 'wheat'],
  'without nuts': ['tree nuts', 'peanut'],
  'without alcohol': [],
}
