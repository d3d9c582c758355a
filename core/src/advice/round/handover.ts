import type { Instant } from '../../ground/instant'
import { type Action, actionsFor } from '../cooling/action'
import { afterwards, prospectIn, settledSince, type Forecast, type GateForecast, type Means } from '../cooling/forecast'
import { lastMoment } from '../../physics/cooling/rescue'
import { shareUnder } from '../../physics/projection/posterior'
import type { BatchState } from '../../state/batch'

/** A gate that falls while nobody is there: it can only be proven before that. */
export interface Unattended {
  gate: GateForecast
  /** Nobody reads from then on. */
  from: Instant
  /** As it goes it passes before then: it is read once more at this time. */
  readAt: Instant | null
  /** What else makes it pass before then, and until when it has to be done; null: nothing does. */
  rescue: { action: Action; by: Instant } | null
}

/** As likely as this it has passed, and one reading proves it. */
const PASSED = 0.9

/** The gates of a batch that fall while nobody is rostered, and how each can still be proven before. */
export function unattendedGates(
  batch: BatchState,
  forecast: Forecast,
  absence: { from: Instant; until: Instant },
  means: Means,
  now: Instant,
): Unattended[] {
  const { posterior, setting } = forecast
  const { from, until } = absence
  return forecast.gates
    .filter(({ deadline }) => deadline > from && deadline <= until)
    .map((gate) => {
      const passes = shareUnder(posterior, gate.level, from) >= PASSED
      if (passes) return { gate, from, readAt: Math.min(gate.passing.high ?? from, from), rescue: null }
      const [rescue = null] = actionsFor(batch, setting, means.places)
        .flatMap((action) => {
          const { prospect } = prospectIn(afterwards(setting, action), settledSince(setting, posterior), means)
          const by = lastMoment(posterior, prospect, { level: gate.level, deadline: from }, now)
          return by === null ? [] : [{ action, by }]
        })
        .sort((a, b) => b.by - a.by)
      return { gate, from, readAt: null, rescue }
    })
}
