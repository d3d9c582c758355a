import type { Instant } from '../../ground/instant'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import type { Spare } from '../../judgement/log/spare'
import type { Id } from '../../ledger/subject'

/** A gate that was proven with at most so much to spare, in its unit. House figures. */
export const NEAR: Readonly<Record<Spare['unit'], number>> = { min: 15, '°C': 1 }

/** A batch that passed, and hardly: by the gate of its own that it passed by the least. */
export interface NearMiss {
  id: Id
  code: string
  name: string
  at: Instant
  /** Of the gate, °C. */
  celsius: number
  unit: Spare['unit']
  spare: number
}

export interface NearMisses {
  count: number
  /** So many of them, the latest first. */
  latest: NearMiss[]
}

const SHOWN = 6

/** Batches that are proven throughout and passed a gate with little to spare; each once. */
export function nearMissesOf(
  proven: readonly { batch: LoggedBatch; gates: LoggedBatch['stands'][number]['gates'] }[],
): NearMisses {
  const found = proven.flatMap(({ batch: { id, code, name, startedAt }, gates }) => {
    const [near] = gates
      .flatMap(({ celsius, spare }) => {
        const least = spare?.least ?? null
        return spare && least !== null && least <= NEAR[spare.unit] ? [{ celsius, unit: spare.unit, spare: least }] : []
      })
      .sort((a, b) => a.spare / NEAR[a.unit] - b.spare / NEAR[b.unit])
    return near ? [{ id, code, name, at: startedAt, ...near }] : []
  })
  return { count: found.length, latest: found.sort((a, b) => b.at - a.at).slice(0, SHOWN) }
}
