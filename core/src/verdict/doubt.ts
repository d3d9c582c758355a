/** Why a reading lost its power to prove. It can still deny. */
export type Doubt = 'no instrument' | 'late' | 'which pan'

/** One bit a doubt, as traces carry them. */
export const DOUBTS: Record<Doubt, number> = { 'no instrument': 1, late: 2, 'which pan': 4 }

export function doubtBits(doubts: readonly Doubt[]): number {
  return doubts.reduce((bits, doubt) => bits | DOUBTS[doubt], 0)
}

export function doubtsOf(bits: number): Doubt[] {
  return (Object.keys(DOUBTS) as Doubt[]).filter((doubt) => (bits & DOUBTS[doubt]) !== 0)
}
