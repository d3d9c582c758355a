import fc from 'fast-check'
import type { Id } from '../ledger/subject'
import { kinds } from '../admission/kinds'
import { apply } from '../admission/fold'
import type { BatchState } from '../state/batch'
import { holdOf, isOfItsBatch } from '../state/item'
import { itemWalls } from '../judgement/dates/walls'
import { ancestorsOfItem } from '../judgement/lineage/lineageBars'
import { acts, deeds } from '../test/deeds'
import { History } from '../test/history'
import { at } from '../test/traces'
import { NO_TRACES } from '../judgement/lineage/carryOver'
import { lackingOf } from '../judgement/lineage/lacking'
import { judgeBatch } from '../judgement/batch/judgeBatch'
import { waitingIn } from '../judgement/evidence/waiting'
import { changesIn } from '../judgement/log/changes'
import { standingForGood } from '../judgement/log/standing'
import { standAt, standsFrom } from '../judgement/log/standsFrom'
import { isWorse, type Standing } from '../ledger/standing'

/** Histories by chance, by all roles, with late, doubtful, voided, corrected, moved and repeated entries. */

const ASKED = process.env.LT_FUZZ_HISTORIES
const HISTORIES = Number(ASKED ?? 160)
/** The same histories each time in `npm test`; `npm run fuzz` looks for new ones. */
const SEED = ASKED === undefined ? { seed: 20270303 } : {}

/** A probe that finds it cold at once says that it never warmed, and so does a slip of the finger that is undone at once. */
const TAKES_WARM_BACK = ['release item', 'read item', 'take back', 'air back']

function noneBetter(before: Map<string, Standing>, after: Map<string, Standing>, why: string): void {
  for (const [check, was] of before) {
    const is = after.get(check)
    if (is !== undefined && isWorse(was, is)) throw new Error(`${why}: ${check} went from ${was} to ${is}`)
  }
}

describe('whatever is entered', () => {
  it('is of every kind that there is', () => {
    const history = new History([true, false])
    const plain = { pot: 1, a: 0.1, b: 0.1, wait: 1, who: 'cook' as const }
    for (const kind of ['shell eggs', 'late read', 'yolk', 'put away', ...Object.keys(acts)])
      history.act({ ...plain, kind, pot: kind === 'put away' ? 0 : 1 }, acts[kind]!)
    expect([...history.story.tried].sort()).toEqual(Object.keys(kinds).sort())
  })

  it('nothing is proven that was not, and nothing that was warm, raw, dated or held is forgotten', () => {
    fc.assert(
      fc.property(deeds, fc.tuple(fc.boolean(), fc.boolean()), (all, honest) => {
        const history = new History(honest)
        const { kitchen } = history.story
        for (const deed of all) {
          const next = Math.round((history.now + deed.wait) * 1000) / 1000
          const before = history.standings(next)
          const warmBefore = history.warm(next)
          const daysBefore = history.daysLeft(next)
          const allowed = history.act(deed, acts[deed.kind]!)
          const after = history.standings(history.now)
          if (allowed === 'betters nothing') {
            noneBetter(before, after, deed.kind)
            const left = history.daysLeft(history.now)
            for (const [item, days] of daysBefore) expect(left.get(item) ?? 0).toBeLessThanOrEqual(days)
          }
          if (allowed === 'proves nothing')
            noneBetter(before, new Map([...after].filter(([, is]) => is === 'proven')), deed.kind)
          noneBetter(after, history.standings(history.now + 200), 'later')
          if (!TAKES_WARM_BACK.includes(deed.kind) && deed.who !== 'lead')
            for (const [item, least] of warmBefore)
              expect(kitchen.item(item, at(history.now)).exposure.least).toBeGreaterThanOrEqual(least - 1)
          for (const id of history.items) {
            checkItem(history, id)
            checkLabel(history, id)
          }
          for (const batch of history.pots) checkRaw(history, batch)
        }
        for (const batch of history.pots) {
          checkOrder(history, batch)
          checkStands(history, batch)
          checkChanges(history, batch)
        }
      }),
      { ...SEED, numRuns: HISTORIES, endOnFailure: false },
    )
  }, 3_600_000)
})

function checkItem({ story: { kitchen }, now }: History, id: Id): void {
  const { exposure, usable } = kitchen.item(id, at(now))
  expect(exposure.least).toBeLessThanOrEqual(exposure.likely + 1)
  expect(exposure.likely).toBeLessThanOrEqual(exposure.most + 1)
  const item = kitchen.read('item', id)!
  const { batches, items } = ancestorsOfItem(item, kitchen.read)
  // What was left over of the eggs was never in the pot that was thrown away.
  const isMadeOf = (batch: Id) =>
    [item, ...items].some((each) => isOfItsBatch(each) && each.from.some((of) => of.id === batch))
  const stopped =
    batches.some(({ id: of, disposition, recalls }) => {
      const decision = disposition?.value.decision
      return recalls.length > 0 || decision === 'hold' || (decision === 'discard' && isMadeOf(of))
    }) || items.some((part) => holdOf(part) !== null || part.discarded !== null)
  if (stopped || holdOf(item)) expect(usable).toBe(false)
  // What it was made of told its allergens and its raw egg on.
  for (const { type, id: of } of item.from) {
    const parent = type === 'item' ? kitchen.read('item', of) : null
    for (const allergen of parent?.facts.allergens ?? []) expect(item.facts.allergens).toContain(allergen)
    for (const trace of parent?.facts.mayContain?.allergens ?? [])
      expect([...item.facts.allergens, ...(item.facts.mayContain?.allergens ?? [])]).toContain(trace)
    if (parent?.facts.advisory) expect(item.facts.advisory).toBe(true)
  }
  // No later than any part that is not proven through.
  const [wall] = itemWalls(item, 'UTC')
  const own = kitchen.read('batch', item.from.find(({ type }) => type === 'batch')!.id)!
  const passed = item.dating.parts.flatMap(({ until }) => until ?? [])
  if (wall?.until != null) for (const until of passed) expect(wall.until).toBeLessThanOrEqual(until)
  const born = item.moves[0]!.at
  // Of the same instant it may have gone in after: part of it back into its own pot.
  const before = own.facts['part-used'].filter((part) => !part.void && part.at < born)
  for (const { value } of before)
    expect(item.dating.parts.some(({ name }) => name.endsWith(value.part.code))).toBe(true)
}

/** Whatever is told of only after it was put away: what was in it by then, or came through a tool, is on its label. */
function checkLabel({ story: { kitchen } }: History, id: Id): void {
  const { facts } = kitchen.read('item', id)!
  const { tools } = kitchen.read('kitchen', kitchen.id)!
  for (const { type, id: of } of kitchen.read('item', id)!.from) {
    const batch = type === 'batch' ? kitchen.read('batch', of) : null
    const put = batch?.facts.portioned.find(({ value }) => value.item === id)
    if (!batch || !put) continue
    const now = { ...put, value: { ...put.value, facts } }
    const { contains, mayContain } = lackingOf(batch, now, tools, (other) => kitchen.read('batch', other))
    expect([contains, mayContain]).toEqual([NO_TRACES, NO_TRACES])
  }
}

/** Raw that went in and was not heated after is called raw in what is put away then. */
function checkRaw({ story, now }: History, batch: Id): void {
  const state = story.kitchen.read('batch', batch)!
  const yolk = state.facts.added.findLast(
    ({ void: gone, value }) => !gone && value.ingredient === 'yolk' && value.state !== 'pasteurized lot',
  )
  if (!yolk || state.facts['already-in'].length > 0) return
  const heated = state.facts['reading-taken'].some(
    ({ at: when, knownAt }) => when >= yolk.at && knownAt >= yolk.knownAt,
  )
  if (!heated) expect(story.standing(batch, 'egg', now)).not.toBe('proven')
}

/** The same entries, folded in another order, are judged the same. */
function checkOrder({ story: { kitchen }, now }: History, batch: Id): void {
  const own = kitchen.entries().filter(({ claim }) => claim.about.id === batch)
  const [start, ...rest] = own
  const plain = rest.filter(({ claim }) => ['reading-taken', 'step-marked', 'added', 'placed'].includes(claim.kind))
  const fold = (entries: typeof own) => {
    const state = [start!, ...entries].reduce<BatchState | null>((so, entry) => apply.batch(batch, so, entry), null)!
    return judgeBatch(state, { zone: 'UTC' }, at(now)).map(({ check, standing }) => [check.key, standing])
  }
  expect(fold(plain.toReversed())).toEqual(fold(plain))
}

/** What waits for the lead stands among what was not entered at once, and nothing else there waits. */
function checkChanges({ story: { kitchen } }: History, batch: Id): void {
  const state = kitchen.read('batch', batch)!
  const waits = new Set(changesIn(state).flatMap(({ entry, stands }) => (stands === 'waits' ? [entry] : [])))
  for (const { entry } of waitingIn(state)) expect(waits).toContain(entry)
}

/** What the Log keeps of how it stands, and from when on, is what judging it finds then. */
function checkStands({ story: { kitchen }, now }: History, batch: Id): void {
  const state = kitchen.read('batch', batch)!
  const world = { zone: 'UTC' }
  const stands = standsFrom(state, world)
  for (const later of [0, 7, 90, 400, 3_000]) {
    const then = Math.max(stands[0]!.from, at(now + later))
    expect(standAt(stands, then).standing).toBe(standingForGood(state, judgeBatch(state, world, then)))
  }
}
