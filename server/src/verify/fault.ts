import type { Id, SubjectType } from '@logged-thermal/core'

/** Something of a kitchen's records that is not as this program left it. */
export type Fault =
  | { code: 'missing' | 'broken link' | 'altered' | 'recorded earlier'; seq: number }
  | { code: 'other head'; seq: number }
  /** The root that is kept of the entries up to it is not theirs. */
  | { code: 'other block'; seq: number }
  | { code: 'signed otherwise'; seq: number; where: 'file' | 'database' }
  | { code: 'not our signature'; where: 'file' | 'database' }
  | { code: 'not admitted'; seq: number; why: string }
  | { code: 'resolved otherwise'; seq: number }
  | { code: 'other row' | 'no row' | 'row of nothing'; type: SubjectType; id: Id }
  | { code: 'other lineage'; id: Id }
  | { code: 'other role'; id: Id }
  | { code: 'not found by subject'; seq: number }
  | { code: 'unguarded'; what: string }

/** What was found out about a kitchen's records. */
export interface Verified {
  entries: number
  hash: string
  /** Entries that were taken under older rules than today's: their admission was not gone through again. */
  older: number
  /** Signed heads that the logbook agrees with. */
  signed: number
  faults: Fault[]
}

/** A fault as a sentence for whoever keeps the installation. */
export function faultSentence(fault: Fault): string {
  switch (fault.code) {
    case 'missing':
      return `Entry ${fault.seq} is missing.`
    case 'broken link':
      return `Entry ${fault.seq} does not follow the entry before it.`
    case 'altered':
      return `Entry ${fault.seq} is not the text that was sealed.`
    case 'recorded earlier':
      return `Entry ${fault.seq} says that it was recorded before the entry that it follows.`
    case 'other head':
      return `The logbook is said to end otherwise than with entry ${fault.seq}, its last.`
    case 'other block':
      return `The tree that is kept over the entries up to ${fault.seq} is not theirs.`
    case 'signed otherwise':
      return `Entry ${fault.seq} was signed as the last (${WHERE[fault.where]}), and is gone or is another entry now.`
    case 'not our signature':
      return `A signed head (${WHERE[fault.where]}) was not signed by a key of this installation.`
    case 'not admitted':
      return `Entry ${fault.seq} would not have been taken: ${fault.why}`
    case 'resolved otherwise':
      return `Entry ${fault.seq} was sealed with other findings than this program makes.`
    case 'other row':
      return `What is kept of ${fault.type} ${fault.id} is not what its entries say.`
    case 'no row':
      return `Nothing is kept of ${fault.type} ${fault.id}, which has entries.`
    case 'row of nothing':
      return `Something is kept of ${fault.type} ${fault.id}, which has no entries.`
    case 'other lineage':
      return `What ${fault.id} is said to be made of is not what its entries say.`
    case 'other role':
      return `Person ${fault.id} is listed with another role than the logbook gives.`
    case 'not found by subject':
      return `Entry ${fault.seq} is not found by all that it changes.`
    case 'unguarded':
      return fault.what
  }
}

const WHERE = { file: 'in the file of signed heads', database: 'in the database' }
