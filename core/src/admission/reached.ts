import { canonical } from '../ground/canonical'
import type { Instant } from '../ground/instant'
import type { AnyClaim, Entry } from '../ledger/entry'
import type { Id, Subject } from '../ledger/subject'
import type { Lacking, Reached } from '../ledger/tool'
import { untoldOf } from '../judgement/lineage/carryOver'
import { bothLacking, lackingOf, lackingSince } from '../judgement/lineage/lacking'
import type { World } from '../judgement/world'
import type { BatchState } from '../state/batch'
import { factOf, valid } from '../state/fact'
import type { Read, States } from '../state/state'
import type { ToolState } from '../state/tool'
import { apply } from './fold'
import { throughTools } from './guard/throughTools'
import { kindOf, touches } from './kinds'

/** What else has to be read to admit a claim, once what it names is. */
export function follows(claim: AnyClaim, read: Read, world: World): Subject[] {
  const further = kindOf(claim).readsThen?.(claim, read, world) ?? []
  return [...further, ...aroundLabels(claim, read)]
}

/**
 * What was put away before an entry was told of, and lacks on its label what that brings: other batches that went through a
 * tool since, what was put away of them, and all that was made of that. The lead looks at each; its next label says it.
 */
export function reachedBy(entry: Entry, read: Read): Reached[] {
  if (!isToldAfter(entry.claim, read)) return []
  const afterEntry = folded(entry, read)
  let found = reachedIn(entry.claim, read, afterEntry)
  // What reaches a batch goes on with it: through its tools into batches that followed, and so on.
  for (let last = ''; canonical(found) !== last;) {
    last = canonical(found)
    found = reachedIn(entry.claim, read, withReached(afterEntry, entry, found))
  }
  return found
}

/** What is put away and lacks something by what is known then, and did not by what was known before. */
function reachedIn(claim: AnyClaim, read: Read, readThen: Read): Reached[] {
  const { kitchen } = claim
  const found = new Map<Id, Reached>()
  const add = (type: Reached['type'], id: Id, lacks: Lacking) =>
    found.set(id, { type, id, lacks: bothLacking(found.get(id)?.lacks ?? lacks, lacks) })
  for (const batch of labelled(claim, read)) {
    for (const put of valid(batch.facts.portioned)) {
      const lacking = (by: Read) =>
        lackingOf(by('batch', batch.id)!, put, toolsOf(kitchen, by), (id) => by('batch', id))
      const lacks = lackingSince(lacking(readThen), lacking(read))
      if (!lacks) continue
      add('batch', batch.id, lacks)
      for (const { type, id } of madeOf(put.value.item, read))
        if (type === 'batch' || type === 'item') add(type, id, lacks)
    }
  }
  return [...found.values()].filter(({ type, id }) => read(type, id) !== null)
}

/** The states with what reaches them by an entry. */
function withReached(read: Read, entry: Entry, found: readonly Reached[]): Read {
  const lacks = new Map(found.flatMap((each) => (each.type === 'batch' ? [[each.id, each.lacks]] : [])))
  return <T extends keyof States>(type: T, id: Id) => {
    const state = read(type, id)
    const lacking = type === 'batch' ? lacks.get(id) : undefined
    if (!state || !lacking) return state
    const batch = state as BatchState
    const fact = factOf({ ...entry, lateAfter: Infinity }, entry.claim.at, lacking)
    return { ...batch, reached: [...batch.reached, fact] } as States[T]
  }
}

/** All that has to be read to find those. */
function aroundLabels(claim: AnyClaim, read: Read): Subject[] {
  if (!isToldAfter(claim, read)) return []
  return [
    { type: 'kitchen', id: claim.kitchen },
    ...throughTools(claim.kitchen, read),
    ...labelled(claim, read).flatMap(({ facts }) =>
      valid(facts.portioned).flatMap(({ value }) => madeOf(value.item, read)),
    ),
  ]
}

/**
 * Whether an entry tells of something after other work went on without it. Most entries tell of what was just done, and
 * nothing more is looked at.
 */
function isToldAfter(claim: AnyClaim, read: Read): boolean {
  const batches = told(claim, read)
  const tools = toolsOf(claim.kitchen, read)
  const puts = (of: BatchState) => valid(of.facts.portioned).map(({ at }) => at)
  const uses = (of: BatchState) => valid(of.facts['tool-used']).map(({ at }) => at)
  const isAfter = (times: readonly Instant[]) => times.some((time) => time >= claim.at)
  switch (claim.kind) {
    case 'added':
    case 'part-used':
      return batches.some((of) => isAfter([...puts(of), ...uses(of)]))
    case 'lots-used':
      return batches.some((of) => puts(of).length + uses(of).length > 0)
    case 'step-marked':
      return batches.some((of) => isAfter(puts(of)))
    case 'portioned': {
      // Of a batch that is not there: admission says so, and nothing follows from it.
      const [of] = batches
      if (!of) return false
      // Where nobody told which tool it went through, it counts as each of the kind.
      const untold = untoldOf(of, tools, (id) => read('batch', id), claim.at)
      const since = Math.min(...untold.map(({ at }) => at))
      return untold.length > 0 && tools.some(({ uses }) => uses.some(({ at }) => at >= since))
    }
    case 'tool-used': {
      const tool = tools.find((each) => each.tool === claim.body.tool)
      return batches.some((of) => isAfter([...puts(of), ...(tool?.uses.map(({ at }) => at) ?? [])]))
    }
    case 'corrected':
      return batches.some((of) =>
        [...of.facts['tool-used'], ...of.facts['step-marked']].some(({ entry }) => entry === claim.body.target),
      )
    case 'ingredient-changed':
      return tools.some(({ uses }) => uses.length > 0)
    case 'entries-accepted':
      return batches.some((of) => uses(of).length > 0)
    default:
      return false
  }
}

/** The batches that a claim is told of. */
function told(claim: AnyClaim, read: Read): BatchState[] {
  return touches(claim).flatMap(({ type, id }) => (type === 'batch' ? (read('batch', id) ?? []) : []))
}

/** Every batch whose labels may lack something then: those it is told of, and all that went through the tools. */
function labelled(claim: AnyClaim, read: Read): BatchState[] {
  const through = throughTools(claim.kitchen, read).flatMap(({ id }) => read('batch', id) ?? [])
  return [...new Map([...told(claim, read), ...through].map((batch) => [batch.id, batch])).values()]
}

function toolsOf(kitchen: Id, read: Read): readonly ToolState[] {
  return read('kitchen', kitchen)?.tools ?? []
}

/** An item and all that was made of it, through every generation; what is not read yet is named too. */
function madeOf(item: Id, read: Read): Subject[] {
  const all = new Map<Id, Subject>([[item, { type: 'item', id: item }]])
  // A map goes on to what is put into it meanwhile.
  for (const { type, id } of all.values()) {
    const next =
      type === 'batch'
        ? valid(read('batch', id)?.facts.portioned ?? []).map(({ value }): Subject => ({
            type: 'item',
            id: value.item,
          }))
        : madeOfItem(id, read)
    for (const each of next) all.set(each.id, each)
  }
  return [...all.values()]
}

function madeOfItem(item: Id, read: Read): Subject[] {
  const state = read('item', item)
  if (!state) return []
  return [
    ...valid(state.splits).map(({ value }): Subject => ({ type: 'item', id: value.into })),
    ...valid(state.parts).map(({ value }): Subject => ({ type: 'batch', id: value.batch })),
    ...valid(state.uses).flatMap(({ value }): Subject[] =>
      value.then === 'onto an item' ? [{ type: 'item', id: value.onto }] : [],
    ),
  ]
}

/** The states as they are once an entry is folded into those that it changes. */
function folded(entry: Entry, read: Read): Read {
  const changed = new Map<Id, unknown>()
  for (const { type, id } of touches(entry.claim)) {
    const fold = apply[type] as (id: Id, state: unknown, entry: Entry) => unknown
    changed.set(id, fold(id, read(type, id), entry))
  }
  return <T extends keyof States>(type: T, id: Id) =>
    changed.has(id) ? (changed.get(id) as States[T] | null) : read(type, id)
}
