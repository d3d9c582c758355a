import type { Disposition } from '../ledger/entry'
import type { Id } from '../ledger/subject'
import type { Standing } from '../ledger/standing'

/** Something of a proof file that does not hold. `line` of the file, from 1 on. */
export type ProofFault = { line: number } & (
  | { code: 'no proof file' }
  /** Made by a program that writes another form. */
  | { code: 'unknown form' }
  | { code: 'unreadable line' }
  | { code: 'line out of place' }
  /** The text of an entry is not the one that its hash is of. */
  | { code: 'altered'; seq: number }
  /** An entry stands where another should: one was taken out, put in, or moved. */
  | { code: 'out of order'; seq: number; found: number }
  /** An entry does not name the one before it. */
  | { code: 'broken link'; seq: number }
  | { code: 'other kitchen'; seq: number }
  /** What is left out does not fit where it stands. */
  | { code: 'left out wrongly'; seq: number }
  /** Up to this entry the logbook is not what was signed. */
  | { code: 'signed otherwise'; seq: number }
  /** A head is signed by no key of the file, or says something else than where a logbook ends. */
  | { code: 'not signed so' }
  | { code: 'nothing signed' }
  /** The logbook was signed further than the file goes. */
  | { code: 'tail cut'; seq: number }
  /** What the newest signature covers ends before the file does. */
  | { code: 'tail not signed'; seq: number }
  | { code: 'broken off' }
  | Otherwise<'judged otherwise'>
)

/** A standing that was sealed, and that the same entries do not give. */
export interface Otherwise<C extends string = 'other version'> {
  code: C
  seq: number
  batch: Id
  /** As sealed; null: of a decision, which names each check. */
  said: Standing | Disposition['findings']
  found: Standing | Disposition['findings'] | null
  /** The version of core that found what is sealed. */
  core: string
}

/** What proves no tampering, and that whoever checks should know. */
export type ProofCaution =
  /** No key before it named it: the logbook moved to another machine, or somebody else signed. */
  | { code: 'key not introduced'; key: string }
  /** A clock was set back, or an entry was dated back. */
  | { code: 'recorded earlier'; seq: number }
  /** The zone that the file names is not the one that this entry was sealed in: its days may be other days. */
  | { code: 'other zone'; seq: number }
  /** A newer program made it: what it changes is not judged here. */
  | { code: 'not read'; seq: number }
  | Otherwise
