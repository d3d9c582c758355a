import { createHash, createPublicKey, generateKeyPairSync, sign, verify } from 'node:crypto'
import { deflateSync, inflateSync } from 'node:zlib'
import { canonical } from '../ground/canonical'
import type { SealedEntry } from '../ledger/entry'
import type { Hash, Id } from '../ledger/subject'
import { CORE_VERSION } from '../version'
import { HashTree, leafOf, nodeOf } from '../proof/hashTree'
import { ProofCheck, type ProofFound, type ProofTools } from '../proof/proofCheck'
import type { ProofHeader } from '../proof/proofFile'
import { proofLines } from '../proof/proofLines'
import { nextKeyStatement, type PublicKey, type SignedText } from '../proof/signedHead'
import { sha256 } from './kitchenStory'
import { TEN } from './traces'

/** Signs as an installation does. */
export class Signer {
  readonly keys: PublicKey[] = []
  private privateKey = ''

  constructor() {
    this.next(null)
  }

  /** Another key, named by the one before it; 'unnamed': as a stranger's. */
  next(how: 'named' | 'unnamed' | null): void {
    const { privateKey, publicKey } = generateKeyPairSync('ed25519', {
      privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
      publicKeyEncoding: { type: 'spki', format: 'pem' },
    })
    const id = keyIdOf(publicKey)!
    const said = how === 'named' ? nextKeyStatement(this.keys.at(-1)!.id, { id, publicKey }, TEN) : null
    this.keys.push({ id, publicKey, since: TEN, introduced: said === null ? null : this.sign(said) })
    this.privateKey = privateKey
  }

  sign(statement: string): SignedText {
    return { statement, signature: sign(null, Buffer.from(statement), this.privateKey).toString('base64') }
  }

  head(kitchen: Id, entries: readonly SealedEntry[], seq: number): SignedText {
    const tree = new HashTree(sha256)
    for (const { seal } of entries.slice(0, seq)) tree.addEntry(seal.hash)
    const { hash, recordedAt } = entries[seq - 1]!.seal
    const key = this.keys.at(-1)!.id
    return this.sign(canonical({ version: 1, kitchen, seq, hash, root: tree.root(), time: recordedAt, key }))
  }
}

function keyIdOf(publicKey: string): string | null {
  try {
    const der = createPublicKey(publicKey).export({ type: 'spki', format: 'der' })
    return createHash('sha256').update(der).digest('hex').slice(0, 16)
  } catch {
    return null
  }
}

export const TOOLS: ProofTools = {
  sha256,
  keyIdOf,
  verifies(publicKey, { statement, signature }) {
    try {
      return verify(null, Buffer.from(statement), publicKey, Buffer.from(signature, 'base64'))
    } catch {
      return false
    }
  },
  pack: (text) => deflateSync(text),
  unpack: (packed) => inflateSync(packed).toString(),
}

/** The text that was hashed. */
export function canonOf({ claim, seal: { hash: _, ...unhashed } }: SealedEntry): string {
  return canonical({ claim, seal: unhashed })
}

interface Asked {
  kitchen: Id
  zone: string
  entries: readonly SealedEntry[]
  signer: Signer
  heads: SignedText[]
  covers: ProofHeader['covers']
  isShown: (entry: SealedEntry) => boolean
}

/** A proof file, a line an element. */
export async function proofOf({ kitchen, zone, entries, signer, heads, covers, isShown }: Asked): Promise<string[]> {
  const leaves = entries.map(({ seal }) => leafOf(seal.hash, sha256))
  const over = (from: number, to: number): Hash =>
    to - from === 1 ? leaves[from]! : nodeOf(over(from, (from + to) / 2), over((from + to) / 2, to), sha256)
  async function* shown() {
    for (const entry of entries.filter(isShown))
      yield await Promise.resolve({ seq: entry.seal.seq, canon: canonOf(entry), hash: entry.seal.hash })
  }
  const lines: string[] = []
  const header: ProofHeader = {
    proof: 1,
    kitchen,
    called: 'Kitchen of the histories',
    zone,
    made: entries.at(-1)!.seal.recordedAt,
    core: CORE_VERSION,
    covers,
  }
  for await (const line of proofLines({
    header,
    keys: signer.keys,
    heads,
    names: {},
    size: entries.length,
    shown: shown(),
    subtree: ({ level, index }) => Promise.resolve(over(index * 2 ** level, (index + 1) * 2 ** level)),
  }))
    lines.push(JSON.stringify(line))
  return lines
}

export function checked(lines: readonly string[]): ProofFound {
  const check = new ProofCheck(TOOLS)
  for (const line of lines) check.next(line)
  return check.end()
}
