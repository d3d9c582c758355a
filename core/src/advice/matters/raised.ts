import { DAY, HOUR, MINUTE, type Instant } from '../../ground/instant'
import { addDays, dayOf, daysBetween, offsetMinutes, startOfDay, type Day } from '../../ground/zone'
import type { MatterOf } from '../../ledger/matter'
import type { Id } from '../../ledger/subject'
import type { Finding } from '../../judgement/finding'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import { standAt } from '../../judgement/log/standsFrom'
import { excursionsOf } from '../../judgement/warmth/air'
import { levelOf } from '../../recipe/checks/unitKind'
import type { LimitSet } from '../../rules/limit'
import { limitsAt } from '../../rules/limitSet'
import type { InstrumentState } from '../../state/instrument'
import type { KitchenState } from '../../state/kitchen'
import type { MatterState } from '../../state/matter'
import type { UnitState } from '../../state/unit'
import { listsOn } from '../round/dailyLists'
import { roundsOf, type Round } from '../round/rounds'

/** What matters may have in common: where to look for what makes them. */
export type Common =
  | { of: 'check'; check: Finding['check'] }
  | { of: 'instrument' | 'person' | 'unit'; id: Id }
  | { of: 'vessel' | 'list'; name: string }
  /** Of the clock, as '14:00'. */
  | { of: 'time'; time: string }

/** A matter as it came up, whatever became of it. */
export interface Raised {
  of: MatterOf
  at: Instant
  common: Common[]
}

/** A kitchen over a time, as far as matters come up in it. */
export interface RaisedIn {
  from: Instant
  to: Instant
  /** When it began: nobody walked a round before. */
  begun: Instant
  zone: string
  versions: readonly LimitSet[]
  batches: readonly LoggedBatch[]
  units: readonly UnitState[]
  instruments: readonly InstrumentState[]
  matters: readonly MatterState[]
  lists: Pick<KitchenState, 'lists' | 'listsDone'>
  /** Items that went into the bin for their date, their warmth or their standing. */
  binned: readonly { at: Instant; unit: Id | null }[]
}

/** The air of units is kept so long, and further back nothing is counted, ms. */
export const COUNTED_BACK = 62 * DAY

/** Whatever came up in a time, closed since or not, in order: counted by days, where `mattersOf` asks what is left to do. */
export function raisedIn(asked: RaisedIn, now: Instant): Raised[] {
  const within = ({ at }: Raised) => at >= asked.from && at <= Math.min(asked.to, now)
  return [
    ...ofBatches(asked, now),
    ...asked.binned.map(({ at, unit }): Raised => ({ of: 'item', at, common: unit === null ? [] : [ofUnit(unit)] })),
    ...warmUnits(asked, now),
    ...failedChecks(asked),
    ...missedRounds(asked, now),
    ...ofLists(asked, now),
    ...incidents(asked),
  ]
    .filter(within)
    .sort((a, b) => a.at - b.at)
}

/** How many of each kind came up on each day, what came up most first. */
export interface RaisedByDay {
  days: Day[]
  rows: { of: MatterOf; counts: number[]; all: number }[]
}

export function raisedByDay(raised: readonly Raised[], from: Instant, to: Instant, zone: string): RaisedByDay {
  const first = dayOf(from, zone)
  const days = Array.from({ length: daysBetween(first, dayOf(to, zone)) + 1 }, (_, i) => addDays(first, i))
  const rows = [...new Set(raised.map(({ of }) => of))].map((kind) => {
    const own = raised.filter(({ of }) => of === kind).map(({ at }) => dayOf(at, zone))
    return { of: kind, counts: days.map((day) => own.filter((each) => each === day).length), all: own.length }
  })
  return { days, rows: rows.sort((a, b) => b.all - a.all) }
}

function ofBatches({ batches }: RaisedIn, now: Instant): Raised[] {
  return batches.flatMap((batch): Raised[] => {
    const { standing, says } = standAt(batch.stands, now)
    const common = sharedBy(batch)
    const check: Common[] = says ? [{ of: 'check', check: says.check }] : []
    return [
      ...(standing === 'missed' || standing === 'unproven'
        ? [{ of: 'batch' as const, at: batch.startedAt, common: [...check, ...common] }]
        : []),
      ...(batch.eggsLeft ? [{ of: 'eggs' as const, at: batch.until, common }] : []),
    ]
  })
}

/** What a batch has that others may have too. */
export function sharedBy({ instruments, people, units, vessel }: LoggedBatch): Common[] {
  return [
    ...instruments.map((id): Common => ({ of: 'instrument', id })),
    ...people.map((id): Common => ({ of: 'person', id })),
    ...units.map(ofUnit),
    { of: 'vessel', name: vessel },
  ]
}

function warmUnits({ units, versions, zone, from, to }: RaisedIn, now: Instant): Raised[] {
  return units.flatMap((unit) => {
    const limits = limitsAt(versions, Math.min(to, now))
    const level = limits && levelOf(unit.kind, limits, dayOf(Math.min(to, now), zone))
    if (!level) return []
    return excursionsOf(unit, level, now).flatMap(({ open, since }): Raised[] =>
      open && since.latest >= from
        ? [{ of: 'unit', at: since.latest, common: [ofUnit(unit.id), atTime(since.latest, zone)] }]
        : [],
    )
  })
}

function failedChecks({ instruments }: RaisedIn): Raised[] {
  return instruments.flatMap(({ id, history }) =>
    history
      .filter(({ passed }) => !passed)
      .map(({ at }): Raised => ({ of: 'instrument', at, common: [{ of: 'instrument', id }] })),
  )
}

function missedRounds(asked: RaisedIn, now: Instant): Raised[] {
  return roundsWithin(asked, now)
    .filter(({ state }) => state === 'missed')
    .map(({ at, left, read }): Raised => {
      // Nobody walked it, or they walked past some.
      const passed = read.length === 0 ? [] : left.map(ofUnit)
      return { of: 'round', at, common: [atTime(at, asked.zone), ...passed] }
    })
}

/** How many rounds were walked when: what was only a little late is counted here, and raised nowhere. */
export interface RoundsWalked {
  /** All units were looked at by its time. */
  inTime: number
  /** Within half an hour after it. */
  aLittleLate: number
  later: number
  missed: number
}

const A_LITTLE = 30 * MINUTE

/** The rounds of a time that are over, by when the last unit was looked at. */
export function roundsWalked(asked: RaisedIn, now: Instant): RoundsWalked {
  const within = roundsWithin(asked, now).filter(({ at }) => at >= asked.from && at <= Math.min(asked.to, now))
  const after = within.flatMap(({ at, walkedAt }) => (walkedAt === null ? [] : [walkedAt - at]))
  return {
    inTime: after.filter((late) => late <= 0).length,
    aLittleLate: after.filter((late) => late > 0 && late <= A_LITTLE).length,
    later: after.filter((late) => late > A_LITTLE).length,
    missed: within.filter(({ state }) => state === 'missed').length,
  }
}

/** The house's rounds of each day, looked at once it is over. */
function roundsWithin({ units, versions, zone, from, to, begun }: RaisedIn, now: Instant): Round[] {
  return daysIn(from, Math.min(to, now), zone).flatMap((day) => {
    const over = Math.min(now, startOfDay(addDays(day, 2), zone) - HOUR)
    const limits = limitsAt(versions, Math.min(over, startOfDay(addDays(day, 1), zone) - 1))
    if (!limits) return []
    // A unit that nobody had ever looked at was not here yet.
    const there = units.filter(({ airs: [first] }) => first !== undefined && dayOf(first.at, zone) <= day)
    return roundsOf(there, limits.practice, zone, over).filter(({ at }) => at >= begun && dayOf(at, zone) === day)
  })
}

function ofLists({ lists, zone, from, to }: RaisedIn, now: Instant): Raised[] {
  const missed = daysIn(from, Math.min(to, now), zone)
    .flatMap((day) => listsOn(lists, day, zone, now))
    .filter(({ state }) => state === 'missed')
    .map(({ list, due }): Raised => ({ of: 'list', at: due, common: [{ of: 'list', name: list.name }] }))
  const faults = lists.listsDone
    .filter(({ faults: found }) => found.length > 0)
    .map(({ at, name }): Raised => ({ of: 'fault', at, common: [{ of: 'list', name }] }))
  return [...missed, ...faults]
}

function incidents({ matters }: RaisedIn): Raised[] {
  return matters.flatMap(({ incident }): Raised[] =>
    incident ? [{ of: 'incident', at: incident.at, common: [{ of: 'person', id: incident.by }] }] : [],
  )
}

function daysIn(from: Instant, to: Instant, zone: string): Day[] {
  const first = dayOf(from, zone)
  return Array.from({ length: Math.max(0, daysBetween(first, dayOf(to, zone)) + 1) }, (_, i) => addDays(first, i))
}

const ofUnit = (id: Id): Common => ({ of: 'unit', id })

/** By the hour: what comes at five past and at ten to is one habit. */
function atTime(at: Instant, zone: string): Common {
  const hour = Math.floor(((at + offsetMinutes(at, zone) * MINUTE) % DAY) / HOUR)
  return { of: 'time', time: `${String(hour).padStart(2, '0')}:00` }
}
