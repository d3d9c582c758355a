import type { Instant } from '../../ground/instant'
import type { Guide } from '../guide/guide'
import type { Forecast } from './forecast'

/** What a batch on its way to where the method goes on has to say aloud. */
export type CoolSignal =
  /** It may be there: read it. A forecast proves nothing. */
  | 'again'
  /** It was read there, and the next step has its window. */
  | 'there'

/** The signal of a batch that cools to a target; null while there is nothing to say. */
export function coolSignal({ window }: Guide, forecast: Forecast | null, now: Instant): CoolSignal | null {
  if (window) return 'there'
  const at = forecast?.told ? (forecast.target?.passing.median ?? null) : null
  return at !== null && at <= now ? 'again' : null
}
