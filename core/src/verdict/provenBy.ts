import type { Doubt } from './finding'
import type { Witness } from './evidence'
import { worse, type Standing } from './standing'

/**
 * Judges twice, with every reading and with those beyond doubt, and takes the worse: a doubtful reading can deny but
 * not prove. `doubts` says what stood in the way when it would have been proven otherwise.
 */
export function provenBy(
  witnesses: readonly Witness[],
  judge: (readings: readonly Witness[]) => Standing,
): { standing: Standing; doubts: Doubt[] } {
  const all = judge(witnesses)
  if (witnesses.every(({ doubts }) => doubts.length === 0)) return { standing: all, doubts: [] }
  const beyondDoubt = judge(witnesses.filter(({ doubts }) => doubts.length === 0))
  const standing = worse(all, beyondDoubt)
  if (all !== 'proven' || standing === 'proven') return { standing, doubts: [] }
  return { standing, doubts: [...new Set(witnesses.flatMap(({ doubts }) => doubts))] }
}
