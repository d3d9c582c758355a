import { HOUR, MINUTE, type Instant } from '../../ground/instant'
import type { Day } from '../../ground/zone'
import { limitsOf } from '../../recipe/checks/checksFor'
import type { Source } from '../../rules/source'
import type { Limit, LimitSet } from '../../rules/limit'
import type { Bounded } from '../../physics/trace/reading'
import type { Exposure } from '../warmth/exposure'

/** What the time above the cold limit asks for, the gravest last. */
export const ADVICES = ['nothing', 'chill again', 'use now', 'read it', 'lead decides', 'discard'] as const
export type AdviceKind = (typeof ADVICES)[number]

export interface Advice {
  kind: AdviceKind
  /** When it becomes graver if nothing is done; null: it does not by itself. */
  by: Instant | null
  time: Bounded
  /** What says so: a limit in force, or guidance. */
  source: Source
  force: Limit['force']
}

/** Where a rule set prints no time above the limit: guidance for the lead's decision, never proof. Hours. */
const GUIDE_HOURS = 4
const GUIDE: Source = {
  document: 'FDA Food Code',
  section: '3-501.19(B), as guidance only: an unplanned time is not excused by it',
  edition: '2022',
  confidence: 'high',
}

/**
 * What to do with food that was, or may have been, above its cold limit, by every rule in force: the gravest. Only what
 * is proven at least discards; where only the most exceeds a reading of the item is asked for.
 */
export function adviceOf(exposure: Exposure, { bands, cold }: ExposureLines, now: Instant): Advice {
  const counted = bands.flatMap((limit) => byBands(limit, exposure, now))
  const once = cold.flatMap((limit) => byGrace(limit, exposure, now))
  const own = [...counted, ...once]
  const all = own.length ? own : [byGuidance(exposure, cold[0], now)]
  return all.reduce((a, b) => (ADVICES.indexOf(b.kind) > ADVICES.indexOf(a.kind) ? b : a))
}

/** What says something about time above the cold limit: looked up once for a whole store. */
export interface ExposureLines {
  bands: Limit[]
  cold: Limit[]
}

export function exposureLines(limits: LimitSet, day: Day): ExposureLines {
  return { bands: limitsOf(limits, 'exposure', day), cold: limitsOf(limits, 'cold-holding', day) }
}

/** Two hours, four hours: added up. */
function byBands(limit: Limit, { time, now: warm }: Exposure, now: Instant): Advice[] {
  const { rule, source, force } = limit
  if (rule.kind !== 'exposure') return []
  const from = (then: string) => (rule.bands.find((band) => band.then === then)?.fromMinutes ?? Infinity) * MINUTE
  const [useNow, discard] = [from('use now'), from('discard')]
  const kind: AdviceKind =
    time.least >= discard
      ? 'discard'
      : time.most >= discard
        ? 'read it'
        : time.most >= useNow
          ? 'use now'
          : time.most > 0
            ? 'chill again'
            : 'nothing'
  const next = [useNow, discard].find((each) => time.most < each)
  return [{ kind, by: warm && next !== undefined ? now + (next - time.most) : null, time, source, force }]
}

/** One single period: a second, or one that is longer, has used it up. */
function byGrace(limit: Limit, { time, periods, now: warm, read }: Exposure, now: Instant): Advice[] {
  const { rule, source, force } = limit
  if (rule.kind !== 'stay' || !rule.grace) return []
  const grace = rule.grace.minutes * MINUTE
  const sure = periods.filter((period) => period.time.least > 0)
  const may = periods.filter((period) => period.time.most > 0)
  const longest = (pick: (time: Bounded) => number) => Math.max(0, ...periods.map((period) => pick(period.time)))
  const total = rule.grace.count === 'total'
  const [least, most] = total ? [time.least, time.most] : [longest((t) => t.least), longest((t) => t.most)]
  // Where it was read since and is cold, one more reading says nothing of what was before.
  const isTold = !warm && read !== null && read.at >= (periods.at(-1)?.to ?? -Infinity)
  const kind: AdviceKind =
    least >= grace || (!total && sure.length > 1)
      ? 'discard'
      : most >= grace || (!total && may.length > 1)
        ? isTold
          ? 'lead decides'
          : 'read it'
        : most > 0
          ? warm
            ? 'use now'
            : 'nothing'
          : 'nothing'
  return [{ kind, by: warm && most < grace ? now + (grace - most) : null, time, source, force }]
}

function byGuidance({ time: all, now: warm, answered }: Exposure, cold: Limit | undefined, now: Instant): Advice {
  const four = GUIDE_HOURS * HOUR
  // What the lead has decided is not asked again: only the time since.
  const time = { least: all.least - answered, likely: all.likely - answered, most: all.most - answered }
  const kind: AdviceKind =
    time.least >= four ? 'lead decides' : time.most >= four ? 'read it' : time.most > 0 ? 'chill again' : 'nothing'
  const by = warm && time.most < four ? now + (four - time.most) : null
  // Food that is cold again after less than the guide is a matter of the record; while it is warm, of the hands.
  const settled = kind === 'chill again' && !warm ? 'nothing' : kind
  return { kind: settled, by, time, source: cold && settled === 'nothing' ? cold.source : GUIDE, force: 'guidance' }
}
