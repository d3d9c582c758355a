import type { Instant } from '../calendar/instant'
import type { Means } from '../cooling/forecast'
import type { Id } from '../ledger/entry'
import type { Check } from '../limits/checksFor'
import type { BatchState } from '../state/batch'
import type { Trace } from '../trace/trace'
import type { Heat } from './watch/watch'
import { chillStart } from './chillStart'
import { evidence, type Stream, type Testimony } from './evidence'
import { findingOf, type CheckWatch, type Span } from './find/checkWatch'
import { watchCooling, type CoolingCheckWatch } from './find/cooling'
import { watchEquivalent } from './find/equivalent'
import { watchExposure } from './find/exposure'
import { watchFloor } from './find/floor'
import { findEggLot } from './find/eggLot'
import { findDays, findHours } from './find/keeping'
import { watchStay } from './find/stay'
import type { Finding } from './finding'
import { heatOf, instantOf, lastMark, legOf, legStart } from './offHeat'
import { reopenedAt } from './reopened'
import { hotAgain, isOfRewarming, rewarmedAt } from './rewarming'
import { worst } from './standing'

/** What judging needs beyond the batch. */
export interface World {
  /** IANA zone of the kitchen. */
  zone: string
  /** Which limits are the kitchen's, where an entry looks at them. */
  limits?: Id
  /** What the kitchen has and has learned, where forecasts are made. */
  means?: Means
}

/** Judges a batch as readings of its devices come in: each costs the same however many there were. */
export interface Judge {
  /** One more reading of a device that stays in the pot, °C. One that comes late is put in its place and all judged anew. */
  add(instrument: Id, at: Instant, celsius: number): void
  findings(now: Instant): Finding[]
  /** When time alone will next change a finding, as of the last call of `findings`; null when only an entry can. */
  nextAt(): Instant | null
}

/** A judge of a batch as it was entered so far, with the readings of its devices. */
export function judgeOf(batch: BatchState, streams: readonly Stream[], world: World): Judge {
  const checks = checksNow(batch)
  const tracks = grouped(checks).flatMap((group) =>
    evidence(group[0]!, batch, streams).map((testimony) => new Track(testimony, group, batch, world)),
  )
  let found: Finding[] = []
  const ofDevice = new Map<Id, Track[]>()
  return {
    add(instrument, at, celsius) {
      let own = ofDevice.get(instrument)
      if (!own) ofDevice.set(instrument, (own = tracksOfDevice(instrument)))
      for (const track of own) track.put(at, celsius)
    },
    findings(now) {
      found = checks.map((check) => worst(tracks.flatMap((track) => track.find(check, now))))
      return found
    },
    nextAt: () => nextChange(found),
  }

  /** A device that was not there yet takes over what was read by hand, or begins with it. */
  function tracksOfDevice(instrument: Id): Track[] {
    const groups = grouped(checks).filter(
      ([{ evidence: asked } = checks[0]!]) => asked.where.includes('core') && asked.of === 'mixture',
    )
    return groups.map((group) => {
      const ours = tracks.filter(({ group: [first] }) => first === group[0])
      const known =
        ours.find((track) => track.instrument === instrument) ?? ours.find((track) => track.instrument === null)
      if (known) {
        known.instrument = instrument
        return known
      }
      const [byHand] = evidence(group[0]!, batch)
      const track = new Track({ ...byHand!, instrument }, group, batch, world)
      tracks.push(track)
      return track
    })
  }
}

/** When time alone will next change a finding; null when only an entry can. */
export function nextChange(findings: readonly Finding[]): Instant | null {
  const instants = findings.flatMap(({ nextAt }) => (nextAt === null ? [] : [nextAt]))
  return instants.length ? Math.min(...instants) : null
}

/** A rework is checked from when there is one. */
function checksNow(batch: BatchState): Check[] {
  const warmed = rewarmedAt(batch) > -Infinity && !hotAgain(batch)
  return batch.checks.filter(
    (check) => (check.limit.key !== 'rework' || legOf(batch) > 1) && (!isOfRewarming(check) || warmed),
  )
}

/** Checks that ask for the same readings share a trace. */
function grouped(checks: readonly Check[]): Check[][] {
  const groups = new Map<string, Check[]>()
  for (const check of checks) {
    const { of, where } = check.evidence
    const asked = `${of === 'mixture' ? of : of.part} ${where.join()}`
    groups.set(asked, [...(groups.get(asked) ?? []), check])
  }
  return [...groups.values()]
}

/** A trace and the checks that it is evidence for. */
class Track {
  instrument: Id | null
  private readonly trace: Trace
  private watches = new Map<Check, CheckWatch>()
  private inOrder: CheckWatch[] = []

  constructor(
    { instrument, trace }: Testimony,
    readonly group: readonly Check[],
    private readonly batch: BatchState,
    private readonly world: World,
  ) {
    this.instrument = instrument
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

  /** How a check stands by this trace; nothing when it is not evidence for it. */
  find(check: Check, now: Instant): Finding[] {
    const watch = this.watches.get(check)
    return watch ? [watch.find(now)] : []
  }

  private watchAnew(): void {
    this.watches = new Map()
    for (const check of this.group) {
      const watch = watchFor(check, this.batch, this.world, (key) =>
        this.watches.get(this.group.find((each) => each.key === key)!),
      )
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
  earlier: (key: string) => CheckWatch | undefined,
): CheckWatch {
  const { rule } = check.limit
  const span = spanOf(check, batch)
  switch (rule.kind) {
    case 'hold':
      return watchFloor(check, rule, span)
    case 'equivalent':
      return watchEquivalent(check, rule, span)
    case 'reach': {
      const before =
        typeof rule.clock === 'object' && 'after' in rule.clock ? earlier(besides(check, rule.clock.after)) : undefined
      return watchCooling(check, rule, span, eventOf(check, batch), (before as CoolingCheckWatch | undefined) ?? null)
    }
    case 'stay':
      return watchStay(check, rule, span, check.evidence.to !== null)
    case 'exposure':
      return watchExposure(check, rule, span)
    case 'days':
      return unread((now) => findDays(check, rule, span, batch.startedAt, zone, now))
    case 'hours':
      return unread((now) => findHours(check, rule, span, lastMark(check.evidence.from, batch), zone, now))
    case 'egg lot':
      return unread(() =>
        findEggLot(check, batch, span, instantOf(check.evidence.to ?? 'batch started', batch) !== null),
      )
    case 'no number':
      // A rule set without a number for a check that the method carries: a house line is needed, and it does not pass.
      return unread(() => findingOf(check, span, { standing: 'unproven', because: { code: 'no number' } }))
  }
}

/** When the clock of a check starts that an event starts. */
function eventOf(check: Check, batch: BatchState): Instant | null {
  const { from } = check.evidence
  if (isOfRewarming(check)) return rewarmedAt(batch)
  if (check.limit.key === 'chill-total' && from !== 'batch started') return chillStart(batch, from)
  return lastMark(from, batch)
}

/** The key of another limit of the same origin. */
function besides(check: Check, key: string): string {
  return check.key.includes(':') ? `${check.limit.origin}:${key}` : key
}

function unread(find: CheckWatch['find']): CheckWatch {
  return { take: () => undefined, find }
}

/** Between which marks a check looks, and which heat begins or ends it. */
function spanOf(check: Check, batch: BatchState): Span {
  const { from, to } = check.evidence
  const leg = legOf(batch)
  const afterHeat = from !== 'batch started' && from.edge === 'done'
  const warmed = hotAgain(batch) ? -Infinity : rewarmedAt(batch)
  // Warmed and not hot: what was proven of its cooling stays, and the way back to the cold is judged anew.
  const anew = isOfRewarming(check) || check.limit.rule.kind === 'stay'
  if (warmed > -Infinity && to === null && check.limit.rule.kind !== 'exposure')
    return anew
      ? { leg, window: { from: warmed, to: Infinity }, heat: null, begun: true }
      : { leg, window: { from: legStart(batch), to: warmed - 1 }, heat: heatOfSpan(check, batch), begun: true }
  const begins =
    check.limit.key === 'rework' || afterHeat
      ? legStart(batch)
      : Math.max(lastMark(from, batch) ?? Infinity, to === null ? -Infinity : reopenedAt(batch))
  const heat = heatOfSpan(check, batch)
  const ends = to === null ? Infinity : (heat?.mark ?? Infinity)
  return { leg, window: { from: begins, to: ends }, heat, begun: begins !== Infinity }
}

function heatOfSpan({ evidence: { from, to } }: Check, batch: BatchState): Heat | null {
  if (to && to !== 'batch started' && to.edge === 'done') return heatOf(to, batch)
  return from !== 'batch started' && from.edge === 'done' ? heatOf(from, batch) : null
}
