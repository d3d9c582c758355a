import type { Hash, Id } from '../ledger/subject'
import { headSaidBy, nextKeyStatement, type HeadStatement, type PublicKey, type SignedText } from './signedHead'

/** What the place where it runs knows of keys, which are SPKI as PEM. Neither throws. */
export interface KeyTools {
  /** Whether an Ed25519 signature (base64) of a text is of the key. Whatever cannot be read is of none. */
  verifies(publicKey: string, signed: SignedText): boolean
  /** The id of a key: the first 16 signs of the SHA-256 of its bytes; null for what is no key. */
  keyIdOf(publicKey: string): string | null
}

/** What was signed of a logbook, to be met as one goes along it. */
export class SignedHeads {
  private readonly keys = new Map<string, PublicKey>()
  private waiting: HeadStatement[] = []
  met = 0
  /** The furthest that was met and holds. */
  newest: HeadStatement | null = null

  constructor(private readonly tools: KeyTools) {}

  /** @returns ids of keys that none before them named: whoever has one of those may have signed anything */
  takeKeys(keys: readonly PublicKey[]): string[] {
    const unknown: string[] = []
    for (const key of keys) {
      // Whoever gives his key the id of another signs nothing here.
      if (this.tools.keyIdOf(key.publicKey) !== key.id) continue
      if (!this.isIntroduced(key)) unknown.push(key.id)
      this.keys.set(key.id, key)
    }
    return unknown
  }

  /** @returns how many are not what they should be: signed by no key of these, of another kitchen, or no heads */
  takeHeads(heads: readonly SignedText[], kitchen: Id): number {
    const said = heads.map((signed) => this.checked(signed, kitchen))
    this.waiting = said.filter((head) => head !== null).sort((a, b) => a.seq - b.seq)
    return said.length - this.waiting.length
  }

  /**
   * Whether a logbook of this length is the one that was signed.
   *
   * @param last hash of its last entry; null: it is left out
   * @param root of the tree over it, worked out only where it is needed
   */
  meet(size: number, last: Hash | null, root: () => Hash): boolean {
    let holds = true
    for (let next = this.waiting[0]; next && next.seq <= size; next = this.waiting[0]) {
      this.waiting.shift()
      if (next.seq === size && isOf(next, last, root)) {
        this.met++
        this.newest = next
      } else holds = false
    }
    return holds
  }

  /** Lengths that were signed and are more than this. */
  beyond(size: number): number[] {
    return this.waiting.filter(({ seq }) => seq > size).map(({ seq }) => seq)
  }

  private checked(signed: SignedText, kitchen: Id): HeadStatement | null {
    const said = headSaidBy(signed)
    const key = said && this.keys.get(said.key)
    return said?.kitchen === kitchen && key && this.tools.verifies(key.publicKey, signed) ? said : null
  }

  private isIntroduced({ id, publicKey, since, introduced }: PublicKey): boolean {
    if (this.keys.size === 0) return true
    if (!introduced) return false
    return [...this.keys.values()].some(
      (before) =>
        nextKeyStatement(before.id, { id, publicKey }, since) === introduced.statement &&
        this.tools.verifies(before.publicKey, introduced),
    )
  }
}

/** Where neither the last entry nor the root is known, nothing was compared, and nothing holds. */
function isOf(head: HeadStatement, last: Hash | null, root: () => Hash): boolean {
  if (head.root === null) return last === head.hash
  return head.root === root() && (last === null || last === head.hash)
}
