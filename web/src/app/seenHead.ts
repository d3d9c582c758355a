import type { Hash, Id, Instant } from '@logged-thermal/core'

/** Where a tablet last saw a kitchen's logbook end. */
export interface SeenHead {
  seq: number
  hash: Hash
  /** Which restoring of it was the last that this tablet knows of; null: none. */
  restored: Instant | null
}

/** The logbook that the server has now, as far as it is asked. */
export interface ServedHead {
  seq: number
  restored: Instant | null
  /** Of the entry that this tablet saw last; null: there is none of that number. */
  hashThere: Hash | null
}

export type HeadFound =
  /** It goes on from what was seen. */
  | 'goes on'
  /** It was begun again from a backup, and says so: what it lacks can be sent again. */
  | 'restored'
  /** It lacks what was seen, or has something else in its place, and nothing says why. */
  | 'set back'

/** What a tablet that saw a head finds now. */
export function headFound(seen: SeenHead | null, { seq, restored, hashThere }: ServedHead): HeadFound {
  if (seen === null) return 'goes on'
  if ((restored ?? 0) > (seen.restored ?? 0)) return 'restored'
  return seq >= seen.seq && hashThere === seen.hash ? 'goes on' : 'set back'
}

const PLACE = 'logged-thermal head '

export function rememberedHead(kitchen: Id): SeenHead | null {
  try {
    return JSON.parse(localStorage.getItem(PLACE + kitchen) ?? 'null') as SeenHead | null
  } catch {
    return null
  }
}

/** Only ever forward: a head that goes back is no reason to forget what was seen. */
export function rememberHead(kitchen: Id, head: SeenHead): void {
  const seen = rememberedHead(kitchen)
  const isNew = seen === null || head.seq > seen.seq || (head.restored ?? 0) > (seen.restored ?? 0)
  if (isNew) localStorage.setItem(PLACE + kitchen, JSON.stringify(head))
}
