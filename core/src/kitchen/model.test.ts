import fc from 'fast-check'
import type { Id } from '../ledger/entry'
import { deeds, type Deed } from '../test/deeds'
import { COOK, FRIDGE, KitchenStory, LEAD, OTHER, PROBE } from '../test/kitchenStory'
import { at } from '../test/traces'
import { apply } from '../state/state'
import type { BatchState } from '../state/batch'
import { itemWalls } from '../store/dating'
import { ancestorsOfItem } from '../store/lineageBars'
import { isWorse, type Standing } from '../verdict/standing'
import { standingsOf } from '../verdict/disposition'
import { judgeBatch } from '../verdict/judgeBatch'
import { holdOf } from '../state/item'

/** Histories by chance, by all roles, with late, doubtful, voided, corrected, moved and repeated entries. */

const HISTORIES = Number(process.env.LT_FUZZ_HISTORIES ?? 300)

const POTS = ['pot a', 'pot b']

class History {
  readonly story = new KitchenStory()
  readonly pots: Id[]
  readonly items: Id[] = []
  now = 20

  constructor(honest: readonly boolean[]) {
    this.pots = POTS.map((name, i) => (honest[i] ? this.story.cooked(name) : this.story.begin(name)))
    this.story.air(0, 3)
  }

  /** Does a deed. Returns whether it is one that may better nothing: known too late, or in doubt, and not the lead's. */
  act({ kind, pot, a, b, wait, who }: Deed): boolean {
    const { story } = this
    this.now = Math.round((this.now + wait) * 1000) / 1000
    const { now } = this
    const batch = this.pots[pot]!
    const by = who === 'cook' ? COOK : who === 'other' ? OTHER : LEAD
    const state = story.kitchen.read('batch', batch)!
    const item = this.items[Math.floor(a * this.items.length)]
    const celsius = Math.round((a < 0.6 ? a * 100 : 50 + a * 40) * 10) / 10
    const body = (value: number) => ({
      typed: { value, unit: 'C' as const },
      where: 'core' as const,
      of: 'mixture' as const,
      instrument: PROBE,
    })
    const fact = state.readings[Math.floor(b * state.readings.length)]
    const decide = (decision: 'hold' | 'release' | 'rework' | 'discard') =>
      story.post(
        'disposed',
        batch,
        now,
        {
          decision,
          reason: 'looked at by two, in writing, for the record',
          findings: standingsOf(story.kitchen.findings(batch, at(now))),
          core: '1',
        },
        { by: LEAD },
      )
    switch (kind) {
      case 'read':
        story.post('reading-taken', batch, now, body(celsius), { by })
        return false
      case 'late read':
        story.post('reading-taken', batch, Math.max(0, now - 16 - b * 200), body(celsius), {
          by,
          after: Math.min(now, 16 + b * 200),
        })
        return true
      case 'word':
        story.post('reading-taken', batch, now, { ...body(celsius), instrument: null }, { by })
        return true
      case 'off':
        story.mark(batch, now, 'cook', 'done', { by })
        return false
      case 'combined':
        story.mark(batch, now, 'temper', 'combined', { by })
        return false
      case 'back':
        story.mark(batch, now, 'cook', 'started', { by })
        return false
      case 'void': {
        if (!fact) return false
        const late = fact.by !== by || at(now) - fact.knownAt > 10 * 60_000
        story.post('corrected', batch, now, { target: fact.entry, reason: 'undo', now: 'void', item: null }, { by })
        return late
      }
      case 'correct':
      case 'move time': {
        if (!fact) return false
        const when = kind === 'correct' ? fact.at : fact.at - 5 * 60_000 * (1 + a)
        const late = fact.by !== by || at(now) - fact.knownAt > 10 * 60_000 || kind === 'move time'
        story.post(
          'corrected',
          batch,
          now,
          {
            target: fact.entry,
            reason: 'mistyped',
            now: { at: Math.round(when), reading: body(celsius), batch: null },
            item: null,
          },
          { by },
        )
        return late
      }
      case 'yolk':
      case 'pasteurized yolk':
        story.post(
          'added',
          batch,
          now,
          {
            step: 'cook',
            ingredient: 'yolk',
            grams: 20,
            state: kind === 'yolk' ? 'as it is' : 'pasteurized lot',
            lot: kind === 'yolk' ? null : 'a box',
          },
          { by },
        )
        return true
      case 'butter':
        story.post(
          'added',
          batch,
          now,
          { step: 'cook', ingredient: 'butter', grams: 50, state: 'as it is', lot: null },
          { by },
        )
        return false
      case 'place':
        story.post(
          'placed',
          batch,
          now,
          { place: a < 0.5 ? 'stirred ice bath' : 'counter', unit: null, air: null },
          { by },
        )
        return false
      case 'hold':
        decide('hold')
        return false
      case 'release':
        decide('release')
        return false
      case 'rework':
        decide('rework')
        return false
      case 'end':
        if (a < 0.2) decide('discard')
        return false
      case 'rewarm':
        story.post('rewarmed', batch, now, { how: 'melted again' }, { by })
        return false
      case 'accept': {
        const late = state.readings.find((each) => each.late && !each.accepted)
        if (late)
          story.post(
            'entries-accepted',
            story.kitchen.id,
            now,
            { entries: [{ type: 'batch', id: batch, entry: late.entry }], reason: 'on paper' },
            { by: LEAD },
          )
        return false
      }
      case 'already in': {
        const target = state.additions.find(({ value }) => value.ingredient === 'yolk')
        if (target)
          story.post('already-in', batch, now, { target: target.entry, reason: 'from the first' }, { by: LEAD })
        return false
      }
      case 'put away':
        try {
          this.items.push(story.putAway(batch, now))
        } catch {
          // Refused, as of a batch that was thrown away.
        }
        return false
      case 'move':
      case 'out':
        if (item)
          story.post(
            'item-moved',
            item,
            now,
            kind === 'out' ? { how: 'out', unit: null, shelf: null } : { how: 'move', unit: FRIDGE, shelf: 1 },
            { by },
          )
        return false
      case 'freeze late':
        if (item)
          story.post(
            'item-moved',
            item,
            Math.max(0, now - 60),
            { how: 'move', unit: FRIDGE, shelf: 2 },
            { by, after: Math.min(now, 60) },
          )
        return true
      case 'read item':
        if (item)
          story.post(
            'item-read',
            item,
            now,
            { typed: { value: Math.round(a * 150) / 10, unit: 'C' }, instrument: b < 0.7 ? PROBE : null },
            { by },
          )
        return false
      case 'air':
      case 'late air':
        story.post(
          'unit-read',
          FRIDGE,
          kind === 'air' ? now : Math.max(0, now - 45),
          { typed: { value: Math.round((2 + a * 8) * 10) / 10, unit: 'C' }, instrument: null, noted: null },
          { by, after: kind === 'air' ? 0 : Math.min(now, 45) },
        )
        return kind === 'late air'
      case 'hold item':
        if (item) story.post('item-held', item, now, { reason: 'smells' }, { by })
        return false
      case 'release item':
        if (item)
          story.post(
            'item-released',
            item,
            now,
            { reason: 'looked at by two, in writing, for the record' },
            { by: LEAD },
          )
        return false
      case 'part':
        if (item) {
          const part = story.part(item, this.pots[1 - pot]!, now, 'hold')
          story.post('part-used', item, now, part, { by })
        }
        return false
      case 'use':
        if (item) story.post('item-used', item, now, { measure: { value: 10, unit: 'g' }, then: 'sold' }, { by })
        return false
      case 'discard':
        if (item && b < 0.3)
          story.post(
            'item-discarded',
            item,
            now,
            { reason: 'not proven', note: null, measure: null, grams: null, cost: null },
            { by },
          )
        return false
      default:
        return false
    }
  }

  /** How every check of every batch stands, as of one instant. */
  standings(when: number): Map<string, Standing> {
    return new Map(
      this.pots.flatMap((batch) =>
        this.story.kitchen
          .findings(batch, at(when))
          // Quality is a note.
          .filter(({ check }) => check.limit.force !== 'quality')
          .map(({ check, standing }): [string, Standing] => [`${batch} ${check.key}`, standing]),
      ),
    )
  }

  warm(when: number): Map<Id, number> {
    return new Map(this.items.map((item) => [item, this.story.kitchen.item(item, at(when)).exposure.least]))
  }
}

function noneBetter(before: Map<string, Standing>, after: Map<string, Standing>, why: string): void {
  for (const [check, was] of before) {
    const is = after.get(check)
    if (is !== undefined && isWorse(was, is)) throw new Error(`${why}: ${check} went from ${was} to ${is}`)
  }
}

describe('whatever is entered', () => {
  it('nothing is proven that was not, and nothing that was warm, raw, dated or held is forgotten', () => {
    fc.assert(
      fc.property(deeds, fc.tuple(fc.boolean(), fc.boolean()), (all, honest) => {
        const history = new History(honest)
        const { kitchen } = history.story
        for (const deed of all) {
          const next = Math.round((history.now + deed.wait) * 1000) / 1000
          const before = history.standings(next)
          const warmBefore = history.warm(next)
          const mayNotBetter = history.act(deed)
          const after = history.standings(history.now)
          if (mayNotBetter && deed.who !== 'lead') noneBetter(before, after, deed.kind)
          noneBetter(after, history.standings(history.now + 200), 'later')
          // A probe that finds it cold at once says that it never warmed; nothing else takes warm time back.
          if (deed.kind !== 'release item' && deed.kind !== 'read item' && deed.who !== 'lead')
            for (const [item, least] of warmBefore)
              expect(kitchen.item(item, at(history.now)).exposure.least).toBeGreaterThanOrEqual(least - 1)
          for (const id of history.items) checkItem(history, id)
          for (const batch of history.pots) checkRaw(history, batch)
        }
        for (const batch of history.pots) checkOrder(history, batch)
      }),
      { numRuns: HISTORIES, endOnFailure: false },
    )
  }, 3_600_000)
})

function checkItem({ story: { kitchen }, now }: History, id: Id): void {
  const { exposure, usable } = kitchen.item(id, at(now))
  expect(exposure.least).toBeLessThanOrEqual(exposure.likely + 1)
  expect(exposure.likely).toBeLessThanOrEqual(exposure.most + 1)
  const item = kitchen.read('item', id)!
  const { batches, items } = ancestorsOfItem(item, kitchen.read)
  const stopped =
    batches.some(
      ({ disposition, recalls }) =>
        recalls.length > 0 || ['hold', 'discard'].includes(disposition?.value.decision ?? ''),
    ) || items.some((part) => holdOf(part) !== null || part.discarded !== null)
  if (stopped || holdOf(item)) expect(usable).toBe(false)
  // No later than any part that is not proven through.
  const [wall] = itemWalls(item, 'UTC')
  const own = kitchen.read('batch', item.from.find(({ type }) => type === 'batch')!.id)!
  const passed = item.dating.parts.flatMap(({ until }) => until ?? [])
  if (wall?.until != null) for (const until of passed) expect(wall.until).toBeLessThanOrEqual(until)
  const born = item.moves[0]!.at
  const before = own.parts.filter((part) => !part.void && part.at <= born)
  for (const { value } of before)
    expect(item.dating.parts.some(({ name }) => name.endsWith(value.part.code))).toBe(true)
}

/** Raw that went in and was not heated after is called raw in what is put away then. */
function checkRaw({ story, now }: History, batch: Id): void {
  const state = story.kitchen.read('batch', batch)!
  const yolk = state.additions.findLast(({ void: gone, value }) => !gone && value.ingredient === 'yolk')
  if (!yolk || state.alreadyIn.length > 0) return
  const heated = state.readings.some(({ at: when, knownAt }) => when >= yolk.at && knownAt >= yolk.knownAt)
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
