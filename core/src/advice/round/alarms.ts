import { MINUTE, type Instant } from '../../ground/instant'
import type { Attention } from '../attention'
import { dueRound } from './dueRound'

export type CallSound = 'round' | 'rescue' | 'ready'

/** What a tablet has sounded already. */
export interface Sounded {
  /** When the present walk was last rung for; null while none is due. */
  round: Instant | null
  /** How often each batch was rung for as one to rescue or lost. */
  batches: Readonly<Record<string, number>>
  /** The step of each batch that was rung for, as what waited was ready for it. */
  ready: Readonly<Record<string, string>>
}

export const NOTHING_SOUNDED: Sounded = { round: null, batches: {}, ready: {} }

/** A walk that nobody goes is rung for again after this, ms. */
export const RING_AGAIN = 10 * MINUTE
/** A rescue is rung for once more when so little is left, ms. */
export const LAST_CALL = 5 * MINUTE

/**
 * What sounds now: once as a walk falls due, however many pans it has, and again where nobody went; once for a batch to
 * rescue and once more shortly before its last moment; once for one that is lost; once for what waited and is ready. What stands as a tablet is opened is no
 * news: it is on the screen.
 * @param before null: it was just opened
 */
export function alarms(
  asked: readonly { id: string; asks: Attention }[],
  before: Sounded | null,
  now: Instant,
): { sounds: CallSound[]; rung: Sounded } {
  const sounds: CallSound[] = []
  const reads = asked.flatMap(({ asks }) => (asks.kind === 'read' ? [{ at: asks.at }] : []))
  const due = dueRound(reads, now).length > 0
  const known = before ?? NOTHING_SOUNDED
  const rings = due && (known.round === null || now - known.round >= RING_AGAIN)
  if (rings) sounds.push('round')
  const batches: Record<string, number> = {}
  for (const { id, asks } of asked) {
    if (asks.kind !== 'rescue' && asks.kind !== 'lost') continue
    const rung = known.batches[id] ?? 0
    const wanted = asks.kind === 'rescue' && asks.by - now <= LAST_CALL ? 2 : 1
    batches[id] = Math.max(rung, wanted)
    if (rung < wanted) sounds.push('rescue')
  }
  // Set, aged, hard: what waited goes on, and nobody has to look at a clock for it.
  const ready: Record<string, string> = {}
  for (const { id, asks } of asked) {
    if (asks.kind !== 'step' || asks.at === null || asks.at > now) continue
    ready[id] = asks.step
    if (known.ready[id] !== asks.step) sounds.push('ready')
  }
  return {
    sounds: before ? [...new Set(sounds)].sort() : [],
    rung: { round: due ? (rings ? now : known.round) : null, batches, ready },
  }
}
