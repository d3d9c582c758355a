import { MINUTE, type Instant } from '../../ground/instant'
import type { Degrees } from '../../ground/temperature'
import type { EggUse } from '../../recipe/egg/eggPlan'
import { toSettle, unnamedUses, type PartLine } from '../../judgement/eggs/eggLedger'
import type { Edge } from '../../rules/rule'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Instruction, Step, StepKind } from '../../recipe/method/method'
import { TOOL_AT, type ToolKind } from '../../recipe/method/tool'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import type { ToolState } from '../../state/tool'
import { asksMerged } from '../../judgement/lineage/merged'
import { endsByReading, targetOf, type CoolTarget } from '../../judgement/timeline/coolEnds'
import { timelineOf } from '../../judgement/timeline/timeline'
import { cleaningDue, type CleaningWhy } from './cleaning'
import { nextHeat } from '../../judgement/timeline/stepEnds'
import { washingDue } from './washing'
import { STAYS, stepsOf, waitOf, waitsSince } from '../../judgement/timeline/stepLeft'
import { warmUpOf, type WarmUp } from './warmUp'

/** Where a step of a batch is. */
export interface GuideStep extends Step {
  /** 'passed': nobody ended it, and the batch has gone on. */
  state: 'done' | 'passed' | 'now' | 'ahead'
  began: Instant | null
  ended: Instant | null
  /** When its minutes are up, or when what waits is ready; null without a time or before it began. */
  timer: Instant | null
  /** When what waits should have gone on; null for what does not. */
  until: Instant | null
  /** How cold it cools it, where the method goes on from there. */
  coolTo: Degrees | null
}

/** Something that a batch asks of hands at this step, beside readings. */
export type Todo =
  | { kind: 'clean'; why: CleaningWhy; waits: boolean }
  | { kind: 'warm-up'; warmUp: WarmUp }
  | { kind: 'eggs'; uses: EggUse[] }
  /** Fresh fruit, herbs, flowers: to be washed before they go in, keys of the catalogue. */
  | { kind: 'wash'; step: string; ingredients: string[] }
  | { kind: 'begin'; step: string; of: StepKind }
  | { kind: 'end'; step: string; of: StepKind; edge: Edge }
  | { kind: 'settle'; lines: PartLine[] }
  /** From which lots what goes in at this step comes: keys of the method's amounts. */
  | { kind: 'lots'; step: string; amounts: string[] }
  /** Through which tool of that kind it goes. */
  | { kind: 'tool'; step: string; of: ToolKind }
  /** Built of items: none went in yet. */
  | { kind: 'parts' }
  /** A part was poured warm on cold ones: what are they together? */
  | { kind: 'merged' }
  | { kind: 'place' }
  | { kind: 'cover' }
  | { kind: 'serve' }

export interface Guide {
  steps: GuideStep[]
  now: GuideStep | null
  /** It goes on warm from a cooling: between which temperatures; null where no such window is open. */
  window: CoolTarget | null
  /** What is asked, the first first. */
  todos: Todo[]
}

/** Steps whose own time begins with a tap: it boils, it rests, it goes into the freezer. */
const BEGUN: readonly StepKind[] = ['infuse', 'boil out', 'bake', 'brown', 'set', 'freeze']

/**
 * Where a batch is in its method, and what it asks at this step.
 * @param tools the kitchen's
 */
export function guideOf(
  batch: BatchState,
  now: Instant,
  told: Readonly<Record<string, Instruction>> = {},
  tools: readonly ToolState[] = [],
): Guide {
  const { steps } = batch.method
  const { ends, at } = stepsOf(batch)
  const guided = steps.map((step, i): GuideStep => {
    const ended = ends[i] ?? null
    const state = ended !== null ? 'done' : i === at ? 'now' : i < at || at < 0 ? 'passed' : 'ahead'
    const began = waitsSince(batch, step.key) ?? (state === 'now' ? begunBefore(batch, ends, i) : null)
    const wait = waitOf(batch, step.key)
    const timer = wait?.ready ?? timerOf(step, batch, began, told[step.key])
    return {
      ...step,
      state,
      began,
      ended,
      timer,
      until: wait?.until ?? null,
      coolTo: batch.terms.coolTo[step.key]?.to ?? null,
    }
  })
  const current = guided[at] ?? null
  return { steps: guided, now: current, window: windowOf(batch, at), todos: todosOf(batch, current, now, tools) }
}

function windowOf(batch: BatchState, at: number): CoolTarget | null {
  const before = batch.method.steps[at - 1]
  return before ? targetOf(batch, before.key) : null
}

/** A step of the hands begins when the one before it ended. */
function begunBefore({ startedAt }: BatchState, ends: readonly (Instant | null)[], index: number): Instant {
  return Math.max(startedAt, ...ends.slice(0, index).map((at) => at ?? startedAt))
}

function timerOf({ key, kind }: Step, batch: BatchState, began: Instant | null, told?: Instruction): Instant | null {
  // What a reading ends has no minutes of its own.
  if (began === null || !told || batch.terms.coolTo[key]) return null
  if (BEGUN.includes(kind) && waitsSince(batch, key) === null) return null
  const minutes = told.passiveMinutes?.least ?? told.activeMinutes
  return minutes > 0 ? began + minutes * MINUTE : null
}

function todosOf(batch: BatchState, now: GuideStep | null, at: Instant, tools: readonly ToolState[]): Todo[] {
  const todos: Todo[] = []
  const why = cleaningDue(batch, at)
  if (why) todos.push({ kind: 'clean', why, waits: batch.terms.cleanFirst && why === 'raw to cooked' })
  const warmUp = warmUpOf(batch, at)
  if (warmUp?.long && !warmUp.noted) todos.push({ kind: 'warm-up', warmUp })
  if (!now) return [...todos, ...settle(batch)]
  // Its clock runs: what cools it comes before what is only written down.
  todos.push(...coolsHow(batch, now))
  if (coverDue(batch, now)) todos.push({ kind: 'cover' })
  const here = batch.method.steps.findIndex(({ key }) => key === now.key)
  const due = unnamedUses(batch).filter(({ step }) => batch.method.steps.findIndex(({ key }) => key === step) <= here)
  if (due.length) todos.push({ kind: 'eggs', uses: due })
  if (now.kind === 'assemble' && batch.facts['part-used'].every(({ void: gone }) => gone)) todos.push({ kind: 'parts' })
  const unwashed = washingDue(batch, now.key, at)
  if (unwashed.length) todos.push({ kind: 'wash', step: now.key, ingredients: unwashed })
  const unnamed = lotsDue(batch, now.key)
  if (unnamed.length) todos.push({ kind: 'lots', step: now.key, amounts: unnamed })
  const tool = toolDue(batch, now, tools)
  if (tool) todos.push({ kind: 'tool', step: now.key, of: tool })
  if (asksMerged(batch)) todos.push({ kind: 'merged' })
  const timeline = timelineOf(batch)
  const heatGoesOn = nextHeat(batch.method, now.key)
  if (now.kind === 'serve at once') todos.push({ kind: 'serve' })
  else if (heatGoesOn) todos.push({ kind: 'begin', step: heatGoesOn.key, of: heatGoesOn.kind })
  else if (BEGUN.includes(now.kind) && waitsSince(batch, now.key) === null)
    todos.push({ kind: 'begin', step: now.key, of: now.kind })
  else if (now.kind === 'cool' ? !endsByReading(batch, now.key) : !STAYS.includes(now.kind))
    todos.push({ kind: 'end', step: now.key, of: now.kind, edge: timeline.endEdge(now.key) })
  return [...todos, ...settle(batch)]
}

/** What of a step's things has no lot yet, of those that the house asks for. */
function lotsDue({ terms, facts }: BatchState, step: string): string[] {
  const named = new Set(valid(facts['lots-used']).flatMap(({ value }) => value.uses.map(({ amount }) => amount)))
  return terms.lots.flatMap((asked) => (asked.step === step && !named.has(asked.amount) ? [asked.amount] : []))
}

/** The kind of tool that the step goes through, where the kitchen has one and nobody said which. */
function toolDue({ facts }: BatchState, { key, kind }: GuideStep, tools: readonly ToolState[]): ToolKind | null {
  const of = TOOL_AT[kind]
  const isTold = valid(facts['tool-used']).some(({ value }) => value.step === key)
  return of && !isTold && tools.some((tool) => tool.kind === of && !tool.gone) ? of : null
}

/** Covered once it has set: asked where it stays, or as soon as it sets. */
function coverDue({ facts, terms, method }: BatchState, { key, kind }: GuideStep): boolean {
  if (!terms.coverWhenSet || valid(facts.covered).length > 0) return false
  const cooled = method.steps.findIndex((step) => step.kind === 'cool')
  const isAfter = method.steps.findIndex((step) => step.key === key) > cooled
  return isAfter && (kind === 'set' || STAYS.includes(kind))
}

/** Once the eggs are in, what is left of them is kept or thrown away. */
function settle(batch: BatchState): Todo[] {
  const { combined } = heatPlan(batch.method)
  const lines = toSettle(batch)
  return lines.length && timelineOf(batch).at(combined) !== null ? [{ kind: 'settle', lines }] : []
}

/** Where it cools and what is over it, each said once the step has begun. What soon goes on is not covered. */
function coolsHow(
  { facts: { placed: placements, covered: covers }, terms }: BatchState,
  { key, kind, began }: GuideStep,
): Todo[] {
  if (kind !== 'cool') return []
  const said = (facts: readonly { void: boolean; at: Instant }[]) =>
    facts.some(({ void: gone, at }) => !gone && (began === null || at >= began))
  // It goes on warm, or is covered only once it has set.
  const asks: Todo[] =
    terms.coolTo[key] || terms.coverWhenSet ? [{ kind: 'place' }] : [{ kind: 'place' }, { kind: 'cover' }]
  return asks.filter(({ kind: asked }) => !said(asked === 'place' ? placements : covers))
}
