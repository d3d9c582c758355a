import type { Instant } from '../../ground/instant'
import type { Pouring } from '../../ledger/entry'
import { celsiusOf } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { standing } from '../../state/fact'
import { filledTo } from '../../physics/cooling/vessel'
import type { Finding } from '../finding'

/** The pans of a split batch that were read, in the order in which they first were. */
export function pansRead(batch: BatchState): string[] {
  return [...new Set(coreOfPans(batch).map(({ value }) => value.portion!))]
}

/**
 * The pan that is asked for: of those read the one that was read warmest last, and so the last to pass a gate;
 * undefined while none was read apart.
 */
export function slowestPan(batch: BatchState): string | undefined {
  const last = new Map<string, { at: Instant; celsius: number }>()
  for (const { at, value } of coreOfPans(batch)) {
    const before = last.get(value.portion!)
    if (!before || at >= before.at) last.set(value.portion!, { at, celsius: celsiusOf(value.typed) })
  }
  const [first, ...rest] = [...last]
  return first && rest.reduce((warmest, each) => (each[1].celsius > warmest[1].celsius ? each : warmest), first)[0]
}

/** Into how many pans it is split now; 1 while it is not. */
export function pansOf({ facts: { poured: pourings } }: Pick<BatchState, 'facts'>): number {
  return pourings.findLast(({ void: gone }) => !gone)?.value.pans ?? 1
}

/** When it was split: by the entry, or by the first reading of a pan; never, while it was not. */
export function splitOf(batch: BatchState): Instant {
  const split = batch.facts.poured.find(({ void: gone, value }) => !gone && value.pans > 1)
  return Math.min(split?.at ?? Infinity, ...coreOfPans(batch).map(({ at }) => at))
}

/** A mould, a cup, a glass: so little of it each that pieces alike are one lot, litres. House figure. */
const PIECE_LITRES = 0.5
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

/** A gate that was passed in pans is proven once enough of them are read: one pan is one pan. */
export function pansCounted(
  finding: Finding,
  found: readonly { finding: Finding; pan: string | undefined }[],
  batch: BatchState,
  now: Instant,
): Finding {
  const { rule } = finding.check.limit
  if (rule.kind !== 'reach' || rule.direction !== 'falling') return finding
  // As it stood when it passed: what it is poured into later proves nothing of before.
  const passed = finding.end?.latest ?? Infinity
  const pouring = standing(batch.facts.poured)
    .filter(({ at }) => at <= passed)
    .sort((a, b) => a.at - b.at)
    .at(-1)
  if (!pouring || pouring.value.pans < 2) return finding
  const { value } = pouring
  const own = new Set(found.flatMap(({ pan }) => panNamed(pan, value.pans) ?? []))
  const needed = own.has(value.slowest ?? SLOWEST) ? own.size : pansNeeded(value)
  const pans = { read: own.size, needed, of: value.pans }
  if (finding.standing !== 'proven' || own.size >= needed) return { ...finding, pans }
  const { deadline } = finding
  return {
    ...finding,
    pans,
    standing: deadline !== null && now <= deadline ? 'open' : 'unproven',
    because: { code: 'pans unread', ...pans },
    nextAt: deadline !== null && now <= deadline ? deadline + 1 : null,
  }
}

/** A pan by its number, however that is written, or by a name of its own; null for one that is not among them. */
function panNamed(pan: string | undefined, pans: number): string | null {
  const name = pan?.trim().toLowerCase()
  if (name === undefined || name === '') return null
  if (!/^\d+$/.test(name)) return name
  const number = Number(name)
  return number >= 1 && number <= pans ? String(number) : null
}

/** What a reading says that is of the slowest pan, where nobody gave that a number. */
export const SLOWEST = 'slowest'

function coreOfPans({ facts: { 'reading-taken': readings } }: BatchState) {
  return readings.filter(
    ({ void: gone, value }) => !gone && value.of === 'mixture' && value.where === 'core' && value.portion !== undefined,
  )
}
