/** How a check stands: still open, proven, not proven, or missed. */
export type Standing = 'open' | 'proven' | 'unproven' | 'missed'

const ORDER: Record<Standing, number> = { proven: 0, open: 1, unproven: 2, missed: 3 }

/** Whether a standing is worse than another. */
export function isWorse(standing: Standing, than: Standing): boolean {
  return ORDER[standing] > ORDER[than]
}

/** The worse of two standings: doubt counts against the batch. */
export function worse(a: Standing, b: Standing): Standing {
  return ORDER[a] >= ORDER[b] ? a : b
}

/** The worst of several judgements, the first of equals. RangeError for none. */
export function worst<T extends { standing: Standing }>(judged: readonly T[]): T {
  const [first, ...others] = judged
  if (!first) throw new RangeError('judged: nothing was judged')
  return others.reduce((a, b) => (ORDER[b.standing] > ORDER[a.standing] ? b : a), first)
}
