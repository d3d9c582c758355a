import { createReadStream, createWriteStream, existsSync } from 'node:fs'
import { chmod, open, rename, rm } from 'node:fs/promises'
import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import type { Hash, Id, Instant, Role, PublicKey, SignedText } from '@logged-thermal/core'
import type { KeptAccount } from './keptAccounts'

/** A line of a backup: JSON, packed with gzip. The first says what the file is, the last that it is whole. */
export type BackupLine =
  | { backup: 1; made: Instant }
  | { kitchen: { id: Id; name: string; zone: string; unit: 'C' | 'F'; limitsId: Id; feed: string | null } }
  | { people: { id: Id; name: string; role: Role; job: string; pinHash: string; pinDigits: number }[] }
  /** By which the heads below were signed: only what anybody may know of them. */
  | { keys: readonly PublicKey[] }
  /** Texts that were hashed, in order. */
  | { entries: string[] }
  | { heads: (SignedText & { seq: number })[] }
  /** Of the kitchen before it. A backup made before there were any has none. */
  | { photos: { hash: Hash; jpeg: string; at: Instant; by: Id }[] }
  /** Of the kitchen before it: where its logbook ends. */
  | { end: { id: Id; seq: number; hash: Hash } }
  /** Who signs in with a password; after the kitchens in which they work. A backup made before there were any has none. */
  | { accounts: KeptAccount[] }
  | { whole: { kitchens: number } }

/** Writes a backup: a file that nobody else reads, under its name only once it is whole. Throws an Error where there is one. */
export async function writeBackup(path: string, lines: AsyncIterable<BackupLine>): Promise<void> {
  if (existsSync(path)) throw new Error(`${path} is there already. A backup is never written over another.`)
  const part = `${path}.part`
  try {
    const texts = Readable.from(textsOf(lines))
    await pipeline(texts, createGzip(), createWriteStream(part, { mode: 0o600 }))
    await chmod(part, 0o600)
    const file = await open(part, 'r')
    await file.sync()
    await file.close()
    await rename(part, path)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
}

async function* textsOf(lines: AsyncIterable<BackupLine>): AsyncGenerator<string> {
  for await (const line of lines) yield `${JSON.stringify(line)}\n`
}

/** Reads a backup line by line. Throws an Error where it is none, or breaks off. */
export async function* readBackup(path: string): AsyncGenerator<BackupLine> {
  if (!existsSync(path)) throw new Error(`${path} is not there.`)
  const unpacked = createReadStream(path).pipe(createGunzip())
  const failed = new Promise<never>((_, reject) => unpacked.once('error', reject))
  failed.catch(() => undefined)
  let first = true
  let last: BackupLine | null = null
  try {
    for await (const text of createInterface({ input: unpacked, crlfDelay: Infinity })) {
      const line = JSON.parse(text) as BackupLine
      if (first && !('backup' in line && line.backup === 1)) throw new Error('it does not begin as one')
      first = false
      last = line
      yield line
    }
    if (unpacked.errored) throw unpacked.errored
  } catch (error) {
    throw new Error(`${path} is no backup: ${error instanceof Error ? error.message : String(error)}.`, {
      cause: error,
    })
  }
  if (!last || !('whole' in last)) throw new Error(`${path} is not whole: it breaks off.`)
}
