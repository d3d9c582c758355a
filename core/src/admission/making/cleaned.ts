import { tickOf } from './tick'

/** One tick for all of it: hands, cloth, sieve and spatula clean, probe wiped. */
export const cleaned = tickOf('cleaned')
