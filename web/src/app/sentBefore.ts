import { DAY, dayOf, type AnyClaim, type Id, type Instant } from '@logged-thermal/core'
import { ledger } from './ledger'

/** What the server has acknowledged is kept here so long: a server that was restored from a backup may lack it. */
const KEPT_FOR = 14 * DAY
/** Each day has a place of its own: only today's is written over. */
const PLACE = 'logged-thermal sent '

/** Keeps claims that the server has taken. Where the browser has no room, the oldest days go first. */
export function keepSent(claims: readonly AnyClaim[], now: Instant): void {
  if (claims.length === 0) return
  forgetBefore(now - KEPT_FOR)
  const place = PLACE + dayOf(now, 'UTC')
  const text = JSON.stringify([...read(place), ...claims])
  for (;;) {
    try {
      localStorage.setItem(place, text)
      return
    } catch {
      const [oldest] = places()
      if (oldest === undefined || oldest === place) return
      localStorage.removeItem(oldest)
    }
  }
}

/**
 * What this tablet sent to a kitchen since an instant, in that order. What had to be signed is left out: the PIN that it
 * came with is kept nowhere.
 */
export function sentSince(kitchen: Id, since: Instant): AnyClaim[] {
  return places()
    .filter((place) => place >= PLACE + dayOf(since, 'UTC'))
    .flatMap(read)
    .filter((claim) => claim.kitchen === kitchen && claim.madeAt >= since && !ledger().kinds[claim.kind].signed)
}

function forgetBefore(at: Instant): void {
  for (const place of places()) if (place < PLACE + dayOf(at, 'UTC')) localStorage.removeItem(place)
}

/** The oldest day first. */
function places(): string[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(PLACE))
    .sort()
}

function read(place: string): AnyClaim[] {
  try {
    return JSON.parse(localStorage.getItem(place) ?? '[]') as AnyClaim[]
  } catch {
    return []
  }
}
