import type { ChainHead, Sha256 } from '../ledger/chain'
import type { Instant } from '../ground/instant'
import { offsetMinutes } from '../ground/zone'
import type { SealedEntry } from '../ledger/entry'
import type { Hash, Id } from '../ledger/subject'
import type { BatchState } from '../state/batch'
import { CORE_VERSION } from '../version'
import { HashTree } from './hashTree'
import { JudgedAgain, type Stood } from './judgedAgain'
import { KeptStates, type Packing } from './keptStates'
import { proofLineOf, type ProofHeader, type ProofLine } from './proofFile'
import type { ProofCaution, ProofFault } from './proofFault'
import { entryOfText } from './sealedText'
import { SignedHeads, type KeyTools } from './signedHeads'

/** What the place where it runs lends to a check. */
export interface ProofTools extends Packing, KeyTools {
  sha256: Sha256
}

/** What a proof file was found to be. */
export interface ProofFound {
  header: ProofHeader | null
  names: Record<Id, string>
  /** Entries that are in the file, and those of which it holds only hashes. */
  shown: number
  left: number
  /** The newest signed head that the file leads to; null: to none. */
  head: { seq: number; hash: Hash; time: Instant; key: string } | null
  /** SignedText heads that were met on the way. */
  signed: number
  /** Standings that were sealed and that the entries give again. */
  judged: number
  /** Standings that were sealed of batches of which the file does not say that it has every entry. */
  unjudged: number
  /** How its batches stand, as of the newest head. */
  batches: Stood[]
  /** What differs without proving anything, the first ones. */
  cautions: ProofCaution[]
  /** The first is what does not hold; none: all holds. */
  faults: ProofFault[]
}

/** As many faults are told: after the first, one often follows from another. */
const MOST_FAULTS = 20
const MOST_CAUTIONS = 200

type Awaited = 'proof' | 'keys' | 'heads' | 'names' | 'entries' | 'nothing'

/** Goes through a proof file line by line and finds out whether it holds. Nothing is needed but the file. */
export class ProofCheck {
  private line = 0
  private awaited: Awaited = 'proof'
  private readonly tree: HashTree
  private readonly heads: SignedHeads
  private judge: JudgedAgain | null = null
  /** The last entry, where the one before the next is shown. */
  private last: ChainHead | null = null
  private recordedAt: Instant = 0
  private zoneTold = false
  private readonly found: ProofFound = {
    header: null,
    names: {},
    shown: 0,
    left: 0,
    head: null,
    signed: 0,
    judged: 0,
    unjudged: 0,
    batches: [],
    cautions: [],
    faults: [],
  }

  constructor(private readonly tools: ProofTools) {
    this.tree = new HashTree(tools.sha256)
    this.heads = new SignedHeads(tools)
  }

  /** Whether going on can find anything more. */
  get isLost(): boolean {
    const first = this.found.faults[0]?.code
    return first === 'no proof file' || first === 'unknown form' || this.found.faults.length >= MOST_FAULTS
  }

  /** Takes the next line. */
  next(text: string): void {
    this.line++
    if (this.isLost) return
    const line = read(text)
    if (line === null) this.fault({ code: this.awaited === 'proof' ? beginningOf(text) : 'unreadable line' })
    else this.take(line)
  }

  /** What was found, once there are no more lines. */
  end(): ProofFound {
    if (this.line === 0) this.fault({ code: 'no proof file' })
    else if (this.awaited !== 'nothing' && !this.isLost) this.fault({ code: 'broken off' })
    const { met, newest } = this.heads
    if (this.awaited === 'nothing') {
      for (const seq of this.heads.beyond(this.tree.size)) this.fault({ code: 'tail cut', seq })
      if (newest === null) this.fault({ code: 'nothing signed' })
      else if (newest.seq < this.tree.size) this.fault({ code: 'tail not signed', seq: newest.seq })
    }
    const head = newest && { seq: newest.seq, hash: newest.hash, time: newest.time, key: newest.key }
    const batches = head && this.found.faults.length === 0 ? this.stood(head.time) : []
    const unjudged = this.judge?.unjudged ?? 0
    return { ...this.found, signed: met, head, unjudged, batches, faults: this.found.faults.slice(0, MOST_FAULTS) }
  }

  private take(line: ProofLine): void {
    if ('entry' in line && this.awaited === 'entries') this.takeEntry(line)
    else if ('left' in line && this.awaited === 'entries') this.takeLeft(line.left)
    else if ('proof' in line && this.awaited === 'proof') this.begin(line)
    else if ('keys' in line && this.awaited === 'keys') {
      this.awaited = 'heads'
      for (const key of this.heads.takeKeys(line.keys)) this.caution({ code: 'key not introduced', key })
    } else if ('heads' in line && this.awaited === 'heads') {
      this.awaited = 'names'
      const wrong = this.heads.takeHeads(line.heads, this.found.header!.kitchen)
      if (wrong > 0) this.fault({ code: 'not signed so' })
    } else if ('names' in line && this.awaited === 'names') {
      this.awaited = 'entries'
      this.found.names = line.names
    } else if ('end' in line && this.awaited === 'entries') {
      this.awaited = 'nothing'
      if (line.end !== this.tree.size) this.fault({ code: 'broken off' })
    } else this.fault({ code: this.awaited === 'proof' ? 'no proof file' : 'line out of place' })
  }

  private begin(header: ProofHeader): void {
    this.awaited = 'keys'
    this.found.header = header
    const covered = header.covers === 'all' ? header.covers : new Set(header.covers)
    this.judge = new JudgedAgain(header.zone, covered, new KeptStates<BatchState>(this.tools))
  }

  private takeEntry({ entry: canon, hash }: { entry: string; hash: Hash }): void {
    const seq = this.tree.size + 1
    this.tree.addEntry(hash)
    this.found.shown++
    const entry = entryOfText(canon, hash, this.tools.sha256)
    if (!entry) this.fault({ code: 'altered', seq })
    else this.follow(entry, seq)
    this.last = { seq, hash }
    this.meetHead()
  }

  private follow(entry: SealedEntry, seq: number): void {
    const { claim, seal } = entry
    if (seal.seq !== seq) this.fault({ code: 'out of order', seq, found: seal.seq })
    else if (this.last && seal.prev !== this.last.hash) this.fault({ code: 'broken link', seq })
    if (claim.kitchen !== this.found.header!.kitchen) this.fault({ code: 'other kitchen', seq })
    if (seal.recordedAt < this.recordedAt) this.caution({ code: 'recorded earlier', seq })
    this.recordedAt = seal.recordedAt
    this.requireZone(entry, seq)
    this.judgeBy(entry, seq)
  }

  /** The zone stands outside what is hashed; what its clock showed is in every seal. Told once. */
  private requireZone({ seal }: SealedEntry, seq: number): void {
    if (this.zoneTold || offsetMinutes(seal.recordedAt, this.found.header!.zone) === seal.offsetMinutes) return
    this.zoneTold = true
    this.caution({ code: 'other zone', seq })
  }

  private judgeBy(entry: SealedEntry, seq: number): void {
    try {
      for (const { same, ...compared } of this.judge!.next(entry)) {
        if (same) this.found.judged++
        else if (compared.core === CORE_VERSION) this.fault({ code: 'judged otherwise', seq, ...compared })
        else this.caution({ code: 'other version', seq, ...compared })
      }
    } catch {
      this.caution({ code: 'not read', seq })
    }
  }

  private takeLeft(left: readonly { level: number; hash: Hash }[]): void {
    for (const { level, hash } of left) {
      const seq = this.tree.size + 1
      try {
        this.tree.add(level, hash)
      } catch (error) {
        if (!(error instanceof RangeError)) throw error
        this.fault({ code: 'left out wrongly', seq })
        return
      }
      this.found.left += 2 ** level
      this.last = null
      this.meetHead()
    }
  }

  private meetHead(): void {
    const { size } = this.tree
    if (!this.heads.meet(size, this.last?.hash ?? null, () => this.tree.root()))
      this.fault({ code: 'signed otherwise', seq: size })
  }

  /** What cannot be judged was told as its entries came by. */
  private stood(at: Instant): Stood[] {
    try {
      return this.judge?.stood(at) ?? []
    } catch {
      return []
    }
  }

  private caution(caution: ProofCaution): void {
    if (this.found.cautions.length < MOST_CAUTIONS) this.found.cautions.push(caution)
  }

  private fault(fault: Without<ProofFault>): void {
    if (this.found.faults.length < MOST_FAULTS) this.found.faults.push({ line: this.line, ...fault })
  }
}

type Without<F> = F extends { line: number } ? Omit<F, 'line'> : never

function read(text: string): ProofLine | null {
  try {
    return proofLineOf(text)
  } catch (error) {
    if (error instanceof RangeError) return null
    throw error
  }
}

/** A file of a later form says so on its first line. */
function beginningOf(text: string): 'no proof file' | 'unknown form' {
  const form = /^\s*\{\s*"proof"\s*:\s*(\d+)/.exec(text)?.[1]
  return form === undefined || form === '1' ? 'no proof file' : 'unknown form'
}
