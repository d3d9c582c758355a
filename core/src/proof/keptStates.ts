import type { Id } from '../ledger/subject'

/** Makes text small and back: what is used depends on where it runs. */
export interface Packing {
  pack(text: string): Uint8Array
  unpack(packed: Uint8Array): string
}

/** As many states are at hand; one that was not asked for meanwhile is packed away. */
const AT_HAND = 200

/** States by id, most of them packed: a year of batches is more than fits as it is. */
export class KeptStates<S> {
  private readonly hand = new Map<Id, S>()
  private readonly away = new Map<Id, Uint8Array>()

  constructor(private readonly packing: Packing) {}

  get(id: Id): S | null {
    const near = this.hand.get(id)
    if (near !== undefined) return near
    const packed = this.away.get(id)
    if (!packed) return null
    const state = JSON.parse(this.packing.unpack(packed)) as S
    this.set(id, state)
    return state
  }

  /** Every one, the ones packed away unpacked one at a time. */
  *all(): Generator<[Id, S]> {
    for (const [id, packed] of this.away) yield [id, JSON.parse(this.packing.unpack(packed)) as S]
    yield* this.hand
  }

  set(id: Id, state: S): void {
    this.hand.delete(id)
    this.hand.set(id, state)
    this.away.delete(id)
    if (this.hand.size <= AT_HAND) return
    const [oldest, least] = this.hand.entries().next().value!
    this.hand.delete(oldest)
    this.away.set(oldest, this.packing.pack(JSON.stringify(least)))
  }
}
