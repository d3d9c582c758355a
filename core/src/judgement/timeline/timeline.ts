import { MINUTE, type Instant } from '../../ground/instant'
import { placeFigures } from '../../physics/cooling/place'
import type { Check } from '../../recipe/checks/checksFor'
import type { Edge, Mark, StepMark } from '../../rules/rule'
import type { BatchState } from '../../state/batch'
import { cooledBy } from './coolEnds'
import { coreReadings, lastRead, type CoreReading } from './core'
import { heatEnd, hotOf } from './heat'
import { legOf, type Leg } from './legs'
import { Marks } from './marks'
import { pansOf, type Pans } from './pans'
import { phaseOf, type Phase } from './phase'
import { rawAfterReading, rawInsOf, reopeningsOf, type RawIn } from './rawIn'
import { settingsOf, type Setting } from './setting'
import { endEdge, endOf } from './stepEnds'
import { warmingsOf, type Warmings } from './warmings'

/** Chilling begins within so long of cooking: the cook-chill guideline, ms. */
const CHILL_BEGINS = 30 * MINUTE
/** What is colder chills, °C. House figure. */
const CHILLS = 10
/** What was never on the heat is at most as warm as a warm kitchen; what comes off it about so hot, °C. House figures. */
const WARM_KITCHEN = 25
const OFF_THE_HEAT = 80

/**
 * What happened to a batch, in order, as its facts stand: its marks and readings, the pans it was split into, what went in
 * raw, its legs, when each heat ended, where it is now and how it stood to cool. Worked out once for a state of a batch;
 * judge, portions, guide, forecast and records read it here and nowhere else.
 */
export class Timeline {
  readonly marks: Marks
  readonly core: readonly CoreReading[]
  readonly pans: Pans
  /** All that went in raw. */
  readonly raw: readonly RawIn[]
  /** When what went in raw opened the floor anew, in order. */
  readonly reopenings: readonly Instant[]
  readonly warmings: Warmings
  readonly leg: Leg
  private readonly steps = new Map<string, Instant | null>()
  private readonly heats = new Map<string, Instant | null>()
  private ofPhase: Phase | null = null

  constructor(private readonly batch: BatchState) {
    this.marks = new Marks(batch)
    this.core = coreReadings(batch)
    this.pans = pansOf(batch, this.core)
    this.raw = rawInsOf(batch)
    this.reopenings = reopeningsOf(this.raw, this.core)
    this.warmings = warmingsOf(batch, this.core)
    this.leg = legOf(batch, this.core, this.warmings)
  }

  /** What was read of one pan, and before it was split; of the slowest where none is named. */
  coreOf(pan: string | undefined = this.pans.slowest): CoreReading[] {
    return this.core.filter((each) => each.pan === undefined || each.pan === pan)
  }

  /** Since when the floor has to be proven anew: after the last raw thing that went in; -Infinity while nothing did. */
  get reopenedAt(): Instant {
    return this.reopenings.at(-1) ?? -Infinity
  }

  /** Of what went in raw, what went in after the mixture was read, as far as the kitchen knew. */
  get rawAfterReading(): RawIn[] {
    return rawAfterReading(this.raw, this.core)
  }

  /** Since when the heat of the mixture counts that is asked of hands now: the present leg, and anew from what went in raw. */
  get heatSince(): Instant {
    return Math.max(this.leg.from, this.reopenedAt, this.leg.reworkedAt)
  }

  /** Where it is in its method. */
  get phase(): Phase {
    return (this.ofPhase ??= phaseOf(this.batch.method, this))
  }

  /** When an edge of a step happened in the present leg: its first mark, and for the end of a heat also by the readings. */
  at(mark: Mark): Instant | null {
    return mark === 'batch started' || mark.edge !== 'done' ? this.marks.first(mark) : this.heatEnd(mark, this.leg.from)
  }

  /** When the heat ended that is asked of hands now; null while it goes on, or has to begin anew. */
  heatEnded(mark: StepMark): Instant | null {
    return this.heatEnd(mark, this.heatSince)
  }

  /** When a step ended, by its marks or, for the last heat and for a cooling, by what was read; null while it goes on or never began. */
  stepEnded(step: string): Instant | null {
    if (this.steps.has(step)) return this.steps.get(step)!
    const { method } = this.batch
    const cools = method.steps.some(({ key, kind }) => key === step && kind === 'cool')
    const end = endOf(method, this, step) ?? (cools ? cooledBy(this.batch, this, step) : null)
    this.steps.set(step, end)
    return end
  }

  /** The edge that ends a step: what joins the parts ends when they are together. */
  endEdge(step: string): Edge {
    return endEdge(this.batch.method, this.marks, step)
  }

  /** Since when it cools under a check: the end of the heat, or when it was only warmed again; null before. */
  cooledSince({ limit, evidence }: Check): Instant | null {
    return limit.key === 'rewarmed' ? this.warmings.last : this.at(evidence.from)
  }

  /**
   * When chilling began: as it went into the cold, and half an hour after the heat at the latest, whatever was done with
   * it until then; null while it is on the heat.
   */
  chillStart(heat: StepMark): Instant | null {
    const off = this.at(heat)
    if (off === null) return null
    const placed = this.batch.facts.placed
      .filter(
        ({ void: gone, at, value }) => !gone && at >= off && placeFigures[value.place].surroundings.celsius < CHILLS,
      )
      .map(({ at }) => at)
    return Math.min(off + CHILL_BEGINS, ...placed)
  }

  /** The warmest that it was last read by an instant, °C; null where nobody read it. */
  lastRead(by: Instant): number | null {
    return lastRead(this.core, by)
  }

  /** How warm it is taken to be where nobody read it yet, °C; as it was last read where somebody did. */
  warmth(at: Instant): number {
    return this.lastRead(at) ?? (this.batch.method.cooling === 'ambient' ? WARM_KITCHEN : OFF_THE_HEAT)
  }

  /** Every way it stood since it cools, in order: each entry that changes how it cools begins another. */
  settings(cooledAt: Instant): Setting[] {
    return settingsOf(this.batch, cooledAt)
  }

  /** How long it stood on the counter since it cools, ms; those minutes count in its clocks like all others. */
  onCounter(now: Instant): number {
    const settings = this.settings(0)
    return settings.reduce((sum, { place, from }, i) => {
      const until = Math.min(settings[i + 1]?.from ?? now, now)
      return place === 'counter' ? sum + Math.max(0, until - from) : sum
    }, 0)
  }

  /** How it stands now. */
  get setting(): Setting {
    return this.settings(0).at(-1)!
  }

  private heatEnd(mark: StepMark, since: Instant): Instant | null {
    const key = `${mark.step} ${since}`
    const known = this.heats.get(key)
    if (known !== undefined) return known
    const end = heatEnd(this, mark, hotOf(mark.step, this.batch.checks), since)
    this.heats.set(key, end)
    return end
  }
}

/** The timeline of a batch. A state never changes, so that what happened is worked out once while it is kept. */
export function timelineOf(batch: BatchState): Timeline {
  const known = KNOWN.get(batch)
  if (known) return known
  const timeline = new Timeline(batch)
  KNOWN.set(batch, timeline)
  return timeline
}

const KNOWN = new WeakMap<BatchState, Timeline>()
