import type { BackingDoubt } from '../state/backing'

/**
 * Why a reading lost its power to prove. It can still deny.
 * too fast: no pan cools or heats so fast. hot spot: what came right after shows that it was not the whole pot.
 * unchecked, lapsed, failed: its instrument had not passed a check, not for too long, or failed one.
 * other unit: plausible only as the other of °C and °F.
 * contested: entries about its batch contradict each other.
 */
export type Doubt =
  BackingDoubt | 'no instrument' | 'late' | 'which pan' | 'too fast' | 'hot spot' | 'other unit' | 'contested'

/** Doubts that another reading of the same pot settles: they are asked about at once. */
export const READ_AGAIN: readonly Doubt[] = ['too fast', 'hot spot', 'other unit']
