import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { Check } from '../../recipe/checks/checksFor'
import type { BatchState } from '../../state/batch'
import { comparedAs } from '../../ground/temperature'
import type { Trace } from '../../physics/trace/trace'
import { checksNow } from './checksNow'
import { orBaked } from './baked'
import { evidence, isFloor, type Stream, type Testimony } from '../evidence/evidence'
import { findingOf, type CheckWatch, type Span } from '../find/checkWatch'
import { watchCooling, type CoolingCheckWatch } from '../find/cooling'
import { findEggLot } from '../eggs/ofCheck'
import { watchEquivalent } from '../find/equivalent'
import { watchExposure } from '../warmth/ofCheck'
import { watchFloor } from '../find/floor'
import { findDays, findHours } from '../dates/ofCheck'
import { watchStay } from '../find/stay'
import type { Finding } from '../finding'
import type { World } from '../world'
import { unlikelyReadings } from '../evidence/plausible'
import { pansCounted } from './pansCounted'
import { reopeningsOf, spanOf, type Reopening } from './spans'
import { timelineOf } from '../timeline/timeline'
import { isOfRewarming } from '../timeline/warmings'
import { isWorse, worst } from '../../ledger/standing'
import type { View } from '../evidence/views'

/** Judges one view of a batch, every reading in it at its word. */
export class ViewJudge {
  readonly checks: readonly Check[]
  /** Some readings count for gates and not for floors, or the other way round. */
  private readonly apart: boolean
  private readonly tracks: Track[]
  private readonly ofDevice = new Map<Id, Track[]>()

  constructor(
    private readonly view: View,
    streams: readonly Stream[],
    private readonly world: World,
  ) {
    this.checks = checksNow(view.batch)
    this.apart = unlikelyReadings(view.batch).size > 0
    this.tracks = this.groups().flatMap((group) =>
      evidence(group[0]!, view, streams).map((testimony) => new Track(testimony, group, view.batch, world)),
    )
  }

  add(instrument: Id, at: Instant, celsius: number): void {
    let own = this.ofDevice.get(instrument)
    if (!own) this.ofDevice.set(instrument, (own = this.tracksOfDevice(instrument)))
    for (const track of own) track.put(at, celsius)
  }

  /** How a check stands; null where this view has none of that key. */
  find(key: string, now: Instant): Finding | null {
    const check = this.checks.find((each) => each.key === key)
    if (!check) return null
    const found = this.tracks.flatMap((track) => {
      const finding = track.find(check, now)
      return finding ? [{ finding, pan: track.pan }] : []
    })
    return pansCounted(worst(found.map(({ finding }) => finding)), found, timelineOf(this.view.batch).pans, now)
  }

  /** Checks that ask for the same readings share a trace. */
  private groups(): Check[][] {
    const groups = new Map<string, Check[]>()
    for (const check of this.checks) {
      const { of, where } = check.evidence
      const asked = `${of === 'mixture' ? of : of.part} ${where.join()} ${this.apart && isFloor(check)}`
      groups.set(asked, [...(groups.get(asked) ?? []), check])
    }
    return [...groups.values()]
  }

  /** A device that was not there yet takes over what was read by hand, or begins with it. */
  private tracksOfDevice(instrument: Id): Track[] {
    const groups = this.groups().filter(
      ([first]) => first!.evidence.where.includes('core') && first!.evidence.of === 'mixture',
    )
    return groups.map((group) => {
      const ours = this.tracks.filter(({ group: [first] }) => first === group[0])
      const known =
        ours.find((track) => track.instrument === instrument) ?? ours.find((track) => track.instrument === null)
      if (known) {
        known.instrument = instrument
        return known
      }
      const [byHand] = evidence(group[0]!, this.view)
      const track = new Track({ ...byHand!, instrument }, group, this.view.batch, this.world)
      this.tracks.push(track)
      return track
    })
  }
}

/** The traces of one pan or device, and the checks that they are evidence for. */
class Track {
  instrument: Id | null
  readonly pan: string | undefined
  private readonly trace: Trace
  private watches = new Map<Check, CheckWatch>()
  private inOrder: CheckWatch[] = []

  constructor(
    { instrument, pan, trace }: Testimony,
    readonly group: readonly Check[],
    private readonly batch: BatchState,
    private readonly world: World,
  ) {
    this.instrument = instrument
    this.pan = pan
    this.trace = trace
    this.watchAnew()
  }

  put(at: Instant, celsius: number): void {
    const { length } = this.trace
    const index = this.trace.put(at, celsius)
    if (index === null) return
    const latest = index === length
    if (latest) for (const watch of this.inOrder) watch.take(this.trace, length, length + 1)
    else this.watchAnew()
  }

  /** How a check stands by this trace; null when it is not evidence for it. */
  find(check: Check, now: Instant): Finding | null {
    return this.watches.get(check)?.find(now) ?? null
  }

  private watchAnew(): void {
    this.watches = new Map()
    for (const check of this.group) {
      const watch = watchFor(check, this.batch, this.world, this.watches)
      watch.take(this.trace, 0, this.trace.length)
      this.watches.set(check, watch)
    }
    this.inOrder = [...this.watches.values()]
  }
}

function watchFor(
  check: Check,
  batch: BatchState,
  { zone }: World,
  earlier: ReadonlyMap<Check, CheckWatch>,
): CheckWatch {
  const { rule } = check.limit
  const span = spanOf(check, batch, earlier)
  switch (rule.kind) {
    case 'hold': {
      const floor = (of: Span) => orBaked(watchFloor(check, rule, of, ceilingIn(check, batch)), check, batch)
      return reopenedFloor(floor(span), reopeningsOf(check, batch, earlier), floor)
    }
    case 'equivalent': {
      const floor = (of: Span) => watchEquivalent(check, rule, of)
      return reopenedFloor(floor(span), reopeningsOf(check, batch, earlier), floor)
    }
    case 'reach':
      return watchCooling(check, rule, span, eventOf(check, batch), stageBefore(check, earlier))
    case 'stay':
      return watchStay(check, rule, span, check.evidence.to !== null)
    case 'exposure':
      return watchExposure(check, rule, span)
    case 'days':
      return unread((now) => findDays(check, rule, span, batch.startedAt, zone, now))
    case 'hours':
      return unread((now) => findHours(check, rule, span, hoursFrom(check, batch), zone, now))
    case 'egg lot':
      return unread(() =>
        findEggLot(check, batch, span, timelineOf(batch).at(check.evidence.to ?? 'batch started') !== null),
      )
    case 'no number':
      // A rule set without a number for a check that the method carries: a house line is needed, and it does not pass.
      return unread(() => findingOf(check, span, { standing: 'unproven', because: { code: 'no number' } }))
  }
}

/** A floor that had ended unproven is not made proven by what went in raw after: that opens only what was proven or open. */
function reopenedFloor(anew: CheckWatch, opened: readonly Reopening[], floor: (span: Span) => CheckWatch): CheckWatch {
  if (opened.length === 0) return anew
  const before = opened.map(({ at, until, without }) => ({ at, until: floor(until), without: floor(without) }))
  const failed = ({ standing: of }: Finding) => of === 'missed' || of === 'unproven'
  return {
    take(trace, from, to) {
      for (const { until, without } of before) {
        until.take(trace, from, to)
        without.take(trace, from, to)
      }
      anew.take(trace, from, to)
    },
    provenAt: () => Math.max(anew.provenAt!(), ...before.map(({ without }) => without.provenAt!())),
    find(now) {
      let found = anew.find(now)
      for (const { at, until, without } of before) {
        const was = without.find(now)
        if (failed(until.find(at)) && failed(was) && !isWorse(found.standing, was.standing)) found = was
      }
      return found
    },
  }
}

/** When the clock of a check starts that an event starts. */
function eventOf(check: Check, batch: BatchState): Instant | null {
  const { from } = check.evidence
  const timeline = timelineOf(batch)
  if (isOfRewarming(check)) return timeline.warmings.last
  if (check.limit.key === 'chill-total' && from !== 'batch started') return timeline.chillStart(from)
  return timeline.marks.first(from)
}

/** The raw class counts from combining; where nobody said that it was, from what went in raw first. */
function hoursFrom({ limit, evidence: { from } }: Check, batch: BatchState): Instant | null {
  const timeline = timelineOf(batch)
  if (limit.key !== 'raw-class') return timeline.at(from)
  const raw = timeline.raw.map(({ at }) => at)
  return timeline.marks.first(from) ?? (raw.length ? Math.min(...raw) : null)
}

/** The watch of the stage that this one follows: of the same origin. */
function stageBefore(check: Check, earlier: ReadonlyMap<Check, CheckWatch>): CoolingCheckWatch | null {
  const { rule, origin } = check.limit
  if (rule.kind !== 'reach' || typeof rule.clock !== 'object' || !('after' in rule.clock)) return null
  const key = check.key.includes(':') ? `${origin}:${rule.clock.after}` : rule.clock.after
  for (const [other, watch] of earlier) if (other.key === key) return watch as CoolingCheckWatch
  return null
}

/** Above what the same pot spoils, °C; null: it does not, or it is not known. */
function ceilingIn({ evidence: { of } }: Check, { checks }: BatchState): number | null {
  const levels = checks.flatMap(({ limit: { key, rule }, unit, evidence }) =>
    key === 'ceiling' && rule.kind === 'stay' && evidence.of === of ? [comparedAs(rule.level, unit, 'under')] : [],
  )
  return levels.length ? Math.min(...levels) : null
}

function unread(find: CheckWatch['find']): CheckWatch {
  return { take: () => undefined, find }
}
