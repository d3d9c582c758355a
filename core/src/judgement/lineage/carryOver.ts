import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { ToolUsed, Traces } from '../../ledger/tool'
import type { Allergen } from '../../recipe/ingredient/ingredient'
import type { DietClaim } from '../../recipe/method/facts'
import { TOOL_AT } from '../../recipe/method/tool'
import type { BatchState } from '../../state/batch'
import { isWaiting, valid, type Fact } from '../../state/fact'
import type { ToolState, ToolUse } from '../../state/tool'
import { stepsOf } from '../timeline/stepLeft'
import { timelineOf } from '../timeline/timeline'
import { contentsOf, sorted } from './contents'

/** A batch by its id, as far as anybody here knows it. */
export type FindBatch = (id: Id) => BatchState | null

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
  const called = `${batch.method.name} ${batch.code}`
  const said = { step, tool: id, washed, name: tool?.name ?? '', called }
  if (!tool) return { ...said, left: NO_TRACES, after: null, holds: NO_TRACES }
  const { left, after } = leftIn(tool, batch.id, knownAt ?? at, find)
  // Of a batch of before this was kept nobody can say what its method held.
  const { allergens, unknown } = contentsOf(
    batch,
    batch.terms.holds ?? { allergens: [], unknown: [called], unchecked: [] },
  )
  const holds = together([
    { allergens, unknown },
    ...traceOfParts(batch),
    carriedInto(batch, tools, find, step),
    washed && knownAt === null ? NO_TRACES : left,
  ])
  return { ...said, left, after, holds }
}

/**
 * What was in a tool before a batch went through it: of all that did since it was last washed. Told too late, washing
 * counts for nothing; a use that was taken back was none.
 */
export function leftIn(
  tool: ToolState,
  batch: Id,
  at: Instant,
  find: FindBatch,
): { left: Traces; after: string | null } {
  const left: Traces[] = []
  let after: string | null = null
  for (const use of before(tool, at)) {
    const other = find(use.batch)
    const fact = other?.facts['tool-used'].find(({ entry }) => entry === use.entry)
    if (fact?.void) continue
    if (use.batch !== batch) {
      after ??= use.called
      left.push(use.holds)
      // What is known of it by now, also where it was told after.
      if (other?.terms.holds) left.push(contentsOf(other, other.terms.holds))
    }
    if (fact ? isWashed(fact) : use.washed) break
  }
  return { left: together(left), after }
}

/**
 * What tools brought into a batch from what went through them before. A step whose tool nobody told counts as if it had
 * gone through each of that kind, unwashed.
 * @param telling the step whose tool is being told just now
 */
export function carriedInto(batch: BatchState, tools: readonly ToolState[], find: FindBatch, telling?: string): Traces {
  const used = valid(batch.facts['tool-used'])
  const told = used.flatMap((fact): Traces[] => {
    const tool = tools.find(({ tool: id }) => id === fact.value.tool)
    if (isWashed(fact)) return []
    return tool ? [fact.value.left, leftIn(tool, batch.id, timeOf(fact), find).left] : [fact.value.left]
  })
  const { at } = stepsOf(batch)
  const untold = batch.method.steps.flatMap(({ key, kind }, i): Traces[] => {
    const isAhead = (at >= 0 && i > at) || timelineOf(batch).marks.last({ step: key, edge: 'skipped' }) !== null
    if (
      isAhead ||
      key === telling ||
      !TOOL_AT[kind] ||
      used.some((fact) => fact.value.step === key && !isWaiting(fact))
    )
      return []
    return tools
      .filter((tool) => tool.kind === TOOL_AT[kind] && !tool.gone)
      .map((tool) => leftIn(tool, batch.id, Infinity, find).left)
  })
  return together([...told, ...untold])
}

/** What of the traces is not in it anyway; undefined where nothing is left of them. */
export function tracesBeside(traces: Traces, own: Traces): Traces | undefined {
  const allergens = traces.allergens.filter((each) => !own.allergens.includes(each))
  const unknown = traces.unknown.filter((each) => !own.unknown.includes(each))
  return allergens.length > 0 || unknown.length > 0 ? { allergens, unknown } : undefined
}

export function together(all: readonly Traces[]): Traces {
  return {
    allergens: sorted(all.flatMap(({ allergens }) => allergens)),
    unknown: [...new Set(all.flatMap(({ unknown }) => unknown))].sort(),
  }
}

/** What its parts had taken over. */
export function traceOfParts({ facts }: Pick<BatchState, 'facts'>): Traces[] {
  return valid(facts['part-used']).flatMap(({ value }) => value.part.facts.mayContain ?? [])
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

/** The uses before a time, the last one first. */
function before({ uses }: ToolState, at: Instant): ToolUse[] {
  return uses.filter((use) => use.at <= at).sort((a, b) => b.at - a.at || uses.indexOf(b) - uses.indexOf(a))
}

function isWashed(fact: Fact<{ washed: boolean }>): boolean {
  return fact.value.washed && !isWaiting(fact)
}

/** Told too late, all counts that went through the tool until then. */
function timeOf(fact: Fact<unknown>): Instant {
  return isWaiting(fact) ? Math.max(fact.at, fact.knownAt) : fact.at
}
