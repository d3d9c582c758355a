import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { AnyClaim, Id, SealedEntry } from '@logged-thermal/core'

/** An entry that was made here and that the kept Line does not have. */
export interface WaitingEntry {
  claim: AnyClaim
  /** Its number once recorded: kept until the Line has caught up with it. */
  seq: number | null
  refusal: { code: string; sentence: string } | null
}

/** What a tablet keeps over a reload, a crash and a restart. No PIN, and nothing that a PIN is checked with. */
export interface Memory extends DBSchema {
  /** In the order of entering. */
  outbox: { key: number; value: WaitingEntry & { n?: number }; indexes: { id: Id } }
  /** What the server answered last: the shift, the Line, what coolings say. */
  answers: { key: string; value: unknown }
  /** What the stream told since the kept Line, by number. */
  heard: { key: number; value: SealedEntry }
}

/** A database that does not answer within this, ms, is not waited for: the kitchen goes on, and it joins later. */
const ANSWERS_WITHIN = 3_000
/** Where the server is away there is nothing else to show: that is waited for as long, ms. */
export const READS_WITHIN = 30_000

type Database = IDBPDatabase<Memory>

let opened: Database | null = null
let opening: Promise<Database | null> | null = null

/** The database, while it is open; null: not yet, or the browser has none, as in some private windows. */
export function memory(): Database | null {
  return opened
}

/** The database once it is open, however long that takes; null: there is none, and none will come. */
export function comingMemory(): Promise<Database | null> | null {
  return opening
}

/** Opens the database, before anything is entered. A disk that is busy as the tablet starts is not waited for. */
export async function openMemory(): Promise<void> {
  if (typeof indexedDB === 'undefined') return
  opening = open().then(
    (database) => (opened = database),
    () => (opening = null),
  )
  await inTime(opening, null)
}

/** What the browser's database answers, or `late` where it keeps the kitchen waiting: a busy disk can take many seconds. */
export function inTime<Answer, Late>(
  answer: Promise<Answer>,
  late: Late,
  within = ANSWERS_WITHIN,
): Promise<Answer | Late> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const tooLate = new Promise<Late>((done) => {
    timer = setTimeout(() => done(late), within)
  })
  return Promise.race([answer, tooLate]).finally(() => clearTimeout(timer))
}

export function closeMemory(): void {
  opened?.close()
  opened = null
  opening = null
}

async function open(): Promise<Database> {
  return openDB<Memory>('logged-thermal', 1, {
    upgrade: (db) => {
      const outbox = db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true })
      outbox.createIndex('id', 'claim.id', { unique: true })
      db.createObjectStore('answers')
      db.createObjectStore('heard', { keyPath: 'seal.seq' })
    },
    // A newer program in another tab does not wait for this one.
    blocking: closeMemory,
    terminated: closeMemory,
  })
}
