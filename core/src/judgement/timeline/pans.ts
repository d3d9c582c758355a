import type { Instant } from '../../ground/instant'
import { PIECE_LITRES, filledTo } from '../../physics/cooling/vessel'
import type { Pouring } from '../../ledger/entry'
import type { BatchState } from '../../state/batch'
import { inOrder, type Fact } from '../../state/fact'
import type { CoreReading } from './core'

/** The pans of a batch. */
export interface Pans {
  /** Into how many it is split now; 1 while it is not. */
  count: number
  /** Those that were read, in the order in which they first were. */
  read: readonly string[]
  /** Of those read the one that was read warmest last, and so the last to pass a gate; undefined while none was read apart. */
  slowest: string | undefined
  /** When it was split: by the entry, or by the first reading of a pan; Infinity while it was not. */
  splitAt: Instant
  pourings: readonly Fact<Pouring>[]
}

export function pansOf({ facts: { poured } }: Pick<BatchState, 'facts'>, core: readonly CoreReading[]): Pans {
  const last = new Map<string, CoreReading>()
  for (const reading of core) if (reading.pan !== undefined) last.set(reading.pan, reading)
  const warmest = [...last.values()].reduce<CoreReading | undefined>(
    (before, each) => (before && before.celsius >= each.celsius ? before : each),
    undefined,
  )
  const split = poured.find(({ void: gone, value }) => !gone && value.pans > 1)
  return {
    count: poured.findLast(({ void: gone }) => !gone)?.value.pans ?? 1,
    read: [...last.keys()],
    slowest: warmest?.pan,
    splitAt: Math.min(split?.at ?? Infinity, core.find(({ pan }) => pan !== undefined)?.at ?? Infinity),
    pourings: inOrder(poured),
  }
}

/** Of pieces alike one in so many is read, in the slowest place of each tray, and two of a batch at least. */
const PIECES_A_READING = 24
const PIECES_READ = 2

/** How many pans have to be read for a gate to be proven: each, or of pieces alike one in twenty-four; the slowest alone will do. */
export function pansNeeded({ pans, vessel: { inside }, depth }: Pouring): number {
  const shape = filledTo(inside, depth)
  const litres =
    shape.kind === 'cylinder' ? Math.PI * shape.radius ** 2 * shape.height : shape.length * shape.width * shape.height
  return litres * 1000 > PIECE_LITRES ? pans : Math.min(pans, Math.max(PIECES_READ, Math.ceil(pans / PIECES_A_READING)))
}
