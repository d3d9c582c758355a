import { DAY, type Instant } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import type { Id } from '../../ledger/subject'
import { levelOf } from '../../recipe/checks/unitKind'
import type { LimitSet } from '../../rules/limit'
import type { Fact } from '../../state/fact'
import type { InstrumentState } from '../../state/instrument'
import type { MatterState } from '../../state/matter'
import type { KitchenState } from '../../state/kitchen'
import type { UnitState } from '../../state/unit'
import { standAt } from '../../judgement/log/standsFrom'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import { ITEM_ASKS } from '../../judgement/keeping/itemStanding'
import { excursionsOf } from '../../judgement/warmth/air'
import { listMissedAt, listsOfDays, type ListOfDay } from '../round/dailyLists'
import { roundMissedAt, roundsOf } from '../round/rounds'
import type { MatterClosed, MatterOf } from '../../ledger/matter'
import type { AskingItem, Matter } from './matter'

/** A kitchen as matters are found in it, at an instant. */
export interface Unresolved {
  kitchen: Id
  /** When it began: nobody walked a round before. */
  begun: Instant
  /** Batches of which something waits, or eggs are left. */
  batches: readonly LoggedBatch[]
  /** Items that ask for something. */
  items: readonly AskingItem[]
  units: readonly UnitState[]
  instruments: readonly InstrumentState[]
  /** What was told and closed so far. */
  matters: readonly MatterState[]
  /** What the house goes through each day, and went through. */
  lists: Pick<KitchenState, 'lists' | 'listsDone'>
  limits: LimitSet
  zone: string
}

/** A unit that was warm, or an instrument that failed, longer ago than this is no longer raised by itself, ms. */
const RAISED = 31 * DAY
/** The same within so long is told as a repeat, ms. */
const REPEATS = 31 * DAY
/** A list that was missed more days ago than these is no longer raised. */
const LIST_RAISED = 7

/**
 * Everything that is unresolved, the most urgent first. One cause is one matter: what only follows from another stands in
 * it. What is late by less than its rule allows is not raised.
 */
export function mattersOf(asked: Unresolved, now: Instant): Matter[] {
  const taken = new Set<Id>()
  const found = [...incidents(asked, now), ...units(asked, now), ...instruments(asked, now)]
  for (const matter of found)
    for (const each of [...matter.batches.map(({ batch }) => batch.id), ...matter.items.map(({ card }) => card.id)])
      taken.add(each)
  const batches = asked.batches
    .flatMap((batch) => ofBatch(batch, asked, now))
    .filter(({ of, id }) => of === 'eggs' || !taken.has(id))
  for (const { items } of batches) for (const { card } of items) taken.add(card.id)
  const items = asked.items.filter(({ card }) => !taken.has(card.id)).map((item) => ofItem(item, asked, now))
  const all = [...found, ...batches, ...items, ...faults(asked, now), ...missedLists(asked, now), ...rounds(asked, now)]
  return all.sort((a, b) => urgency(a) - urgency(b) || a.since - b.since)
}

/** Lower is sooner: what somebody may eat, then what still goes wrong, then what only waits. */
function urgency({ cause, settled }: Matter): number {
  if (settled) return 90
  switch (cause.of) {
    case 'item':
      return ITEM_ASKS.indexOf(cause.item.standing.asks)
    case 'incident':
      return 1
    case 'unit':
      return cause.excursion.until === null ? 2 : 20
    case 'batch':
      return { missed: 10, unproven: 12, open: 14, proven: 16 }[cause.stand.standing]
    case 'instrument':
      return 18
    case 'fault':
      return 22
    case 'eggs':
      return 30
    case 'list':
      return 38
    case 'round':
      return 40
  }
}

function incidents({ matters, batches, items, kitchen }: Unresolved, now: Instant): Matter[] {
  return matters.flatMap(({ id, incident, closings }): Matter[] => {
    if (!incident || closings.length > 0) return []
    const { value, at } = incident
    const own = batches.filter((batch) => value.batches.includes(batch.id)).map((batch) => standing(batch, now))
    const held = items.filter(({ card }) => value.items.includes(card.id) && card.held)
    const waits = own.filter(({ stand }) => !stand.settled)
    return [
      {
        id,
        of: 'incident',
        subject: { type: 'kitchen', id: kitchen },
        since: at,
        cause: { of: 'incident', incident: value },
        batches: waits,
        items: held,
        settled: waits.length === 0 && held.length === 0,
        before: [],
      },
    ]
  })
}

function units({ units: all, items, limits, zone, matters }: Unresolved, now: Instant): Matter[] {
  return all.flatMap((unit) => {
    const level = levelOf(unit.kind, limits, dayOf(now, zone))
    if (!level) return []
    return excursionsOf(unit, level, now)
      .filter(({ open, since }) => open && now - since.latest < RAISED)
      .flatMap((excursion): Matter[] => {
        const first = unit.airs.find(({ at }) => at === excursion.since.latest)
        if (!first || closingsOf(matters, 'unit', first.entry).length > 0) return []
        const warm = items.filter(({ card, standing: { why } }) => card.unit === unit.id && why === 'exposure')
        return [
          {
            id: first.entry,
            of: 'unit',
            subject: { type: 'unit', id: unit.id },
            since: first.at,
            cause: { of: 'unit', unit: { id: unit.id, name: unit.name }, excursion },
            batches: [],
            items: warm,
            settled: excursion.until !== null && warm.length === 0,
            before: repeats(matters, 'unit', unit.id, now),
          },
        ]
      })
  })
}

function instruments({ instruments: all, batches, matters }: Unresolved, now: Instant): Matter[] {
  return all.flatMap(({ id, code, history, gone }) =>
    history
      .filter(
        ({ passed, at, entry }) =>
          !passed && now - at < RAISED && closingsOf(matters, 'instrument', entry).length === 0,
      )
      .map((check): Matter => {
        const doubted = batches
          .filter(({ instruments: used, doubted: rings }) => used.includes(id) && rings.length > 0)
          .map((batch) => standing(batch, now))
          .filter(({ stand }) => !stand.settled)
        const passedSince = history.some(({ passed, at }) => passed && at > check.at)
        return {
          id: check.entry,
          of: 'instrument',
          subject: { type: 'instrument', id },
          since: check.at,
          cause: { of: 'instrument', instrument: { id, code }, check },
          batches: doubted,
          items: [],
          settled: doubted.length === 0 && (gone !== null || passedSince),
          before: repeats(matters, 'instrument', id, now),
        }
      }),
  )
}

function ofBatch(batch: LoggedBatch, { items, matters }: Unresolved, now: Instant): Matter[] {
  const { stand } = standing(batch, now)
  const shared = {
    id: batch.id,
    subject: { type: 'batch' as const, id: batch.id },
    since: stand.from,
    batches: [],
    settled: false,
  }
  const own = items.filter(({ card, standing: { why } }) => why === 'lineage' && isOf(card.code, batch.code))
  return [
    ...(stand.settled
      ? []
      : [
          {
            ...shared,
            of: 'batch' as const,
            cause: { of: 'batch' as const, batch, stand },
            items: own,
            before: repeats(matters, 'batch', batch.id, now),
          },
        ]),
    ...(batch.eggsLeft && closingsOf(matters, 'eggs', batch.id).length === 0
      ? [
          {
            ...shared,
            of: 'eggs' as const,
            since: batch.until,
            cause: { of: 'eggs' as const, batch },
            items: [],
            // Where they went is not in the logbook: the lead says it in writing.
            settled: true,
            before: repeats(matters, 'eggs', batch.id, now),
          },
        ]
      : []),
  ]
}

/** What was put away of a batch bears its code with a letter. */
function isOf(item: string, batch: string): boolean {
  return item.startsWith(batch) && /^[a-z]+\d*$/.test(item.slice(batch.length))
}

function ofItem(item: AskingItem, { matters }: Unresolved, now: Instant): Matter {
  const { id, made } = item.card
  return {
    id,
    of: 'item',
    subject: { type: 'item', id },
    since: item.standing.until ?? made,
    cause: { of: 'item', item },
    batches: [],
    items: [],
    settled: false,
    before: repeats(matters, 'item', id, now),
  }
}

function rounds({ kitchen, begun, units: all, limits, zone, matters }: Unresolved, now: Instant): Matter[] {
  return roundsOf(all, limits.practice, zone, now)
    .filter(({ state, at }) => state === 'missed' && at >= begun)
    .flatMap(({ at, left }): Matter[] => {
      if (isClosed(closingsOf(matters, 'round', kitchen), at, roundMissedAt(at))) return []
      return [
        {
          id: kitchen,
          of: 'round',
          subject: { type: 'kitchen', id: kitchen },
          since: at,
          cause: { of: 'round', left },
          batches: [],
          items: [],
          // What nobody read then cannot be read any more.
          settled: true,
          before: repeats(matters, 'round', kitchen, now),
        },
      ]
    })
}

/** What somebody found wrong as they went through a list: one matter each time. */
function faults({ kitchen, lists, matters }: Unresolved, now: Instant): Matter[] {
  return (
    lists.listsDone
      // By when it was known: what somebody says they found long ago is raised like any other.
      .filter(({ known, faults: found }) => found.length > 0 && now - known < RAISED)
      .filter(({ entry }) => closingsOf(matters, 'fault', entry).length === 0)
      .map(({ entry, name, at, by, faults: found }) => ({
        id: entry,
        of: 'fault',
        subject: { type: 'kitchen', id: kitchen },
        since: at,
        cause: { of: 'fault', list: name, faults: found, by },
        batches: [],
        items: [],
        settled: true,
        before: [],
      }))
  )
}

/** Lists that nobody went through in time: those of one time are one matter. */
function missedLists({ kitchen, lists, zone, matters }: Unresolved, now: Instant): Matter[] {
  const missed = new Map<Instant, ListOfDay[]>()
  for (const each of listsOfDays(lists, LIST_RAISED, zone, now))
    if (each.state === 'missed') missed.set(each.due, [...(missed.get(each.due) ?? []), each])
  const closings = closingsOf(matters, 'list', kitchen)
  return [...missed]
    .filter(([due]) => !isClosed(closings, due, listMissedAt(due)))
    .map(([due, all]) => ({
      id: kitchen,
      of: 'list',
      subject: { type: 'kitchen', id: kitchen },
      since: due,
      cause: { of: 'list', names: all.map(({ list }) => list.name) },
      batches: [],
      items: [],
      // It was not gone through then, and never will be.
      settled: true,
      before: repeats(matters, 'list', kitchen, now),
    }))
}

/** Closed since it was missed: nobody closes beforehand what has not come about. */
function isClosed(closings: readonly Fact<MatterClosed>[], since: Instant, missedAt: Instant): boolean {
  return closings.some(({ value, knownAt }) => value.since === since && knownAt >= missedAt)
}

function standing(batch: LoggedBatch, now: Instant) {
  return { batch, stand: standAt(batch.stands, now) }
}

function closingsOf(matters: readonly MatterState[], of: MatterOf, id: Id): Fact<MatterClosed>[] {
  const closings = matters.find((matter) => matter.id === id)?.closings ?? []
  return closings.filter(({ value }) => value.of === of)
}

/** Closings of the same thing for the same, lately. */
function repeats(matters: readonly MatterState[], of: MatterOf, subject: Id, now: Instant): Fact<MatterClosed>[] {
  return matters
    .flatMap(({ closings }) => closings)
    .filter(({ at, value }) => value.of === of && value.subject.id === subject && now - at < REPEATS)
}
