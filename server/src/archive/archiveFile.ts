import { createHash } from 'node:crypto'
import type { Readable } from 'node:stream'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import { isId, type Hash } from '@logged-thermal/core'
import { NAMES, type ArchivedKitchen } from './archive'

/** What an archive says of its kitchen is no longer than this, bytes; a photo neither. */
const LONGEST = 5_000_000

/** An archive as it is read: whatever else is in it is left alone. Throws an Error with a sentence where it is none. */
export class ArchiveFile {
  private constructor(
    private readonly path: string,
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
    readonly said: ArchivedKitchen,
  ) {}

  static async open(path: string): Promise<ArchiveFile> {
    const zip = await opened(path)
    try {
      const entries = await entriesOf(path, zip)
      const kitchen = entries.get(NAMES.kitchen)
      if (!kitchen || !entries.has(NAMES.logbook)) throw noArchive(path)
      return new ArchiveFile(path, zip, entries, saidIn(path, await whole(zip, kitchen)))
    } catch (error) {
      zip.close()
      throw error
    }
  }

  /** Of the logbook: its size, and its bytes from the beginning, as often as they are asked for. */
  get logbookSize(): number {
    return this.entries.get(NAMES.logbook)!.uncompressedSize
  }

  logbook(): Promise<Readable> {
    return this.zip.openReadStreamPromise(this.entries.get(NAMES.logbook)!)
  }

  /** A photo. Throws an Error where it is not there, or is another. */
  async photo(hash: Hash): Promise<Buffer> {
    const entry = this.entries.get(NAMES.photo(hash))
    const bytes = entry && (await whole(this.zip, entry))
    if (!bytes || createHash('sha256').update(bytes).digest('hex') !== hash)
      throw new Error(`${this.path}: a photo is missing, or is another: ${hash}.`)
    return bytes
  }

  close(): void {
    this.zip.close()
  }
}

async function opened(path: string): Promise<ZipFile> {
  try {
    return await openPromise(path, { lazyEntries: true, autoClose: false })
  } catch (error) {
    if ((error as { code?: unknown }).code === 'ENOENT') throw new Error(`${path} is not there.`, { cause: error })
    throw noArchive(path, error)
  }
}

/** By name; a name that leads out of the archive makes it none. */
async function entriesOf(path: string, zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>()
  try {
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry)
  } catch (error) {
    throw noArchive(path, error)
  }
  return entries
}

async function whole(zip: ZipFile, entry: Entry): Promise<Buffer> {
  if (entry.uncompressedSize > LONGEST) throw new Error(`${entry.fileName} is larger than anything of its kind.`)
  const pieces: Buffer[] = []
  for await (const piece of await zip.openReadStreamPromise(entry)) pieces.push(piece as Buffer)
  return Buffer.concat(pieces)
}

function saidIn(path: string, bytes: Buffer): ArchivedKitchen {
  let said: Partial<ArchivedKitchen> | null
  try {
    said = JSON.parse(bytes.toString()) as Partial<ArchivedKitchen> | null
  } catch (error) {
    throw noArchive(path, error)
  }
  if (typeof said?.archive === 'number' && said.archive !== 1)
    throw new Error(`${path} was made by a newer version of this program. Bring this one up to it first.`)
  const { kitchen, people, photos } = said ?? {}
  const isOne =
    said?.archive === 1 &&
    typeof kitchen === 'object' &&
    isId(kitchen.id) &&
    isId(kitchen.limitsId) &&
    typeof kitchen.name === 'string' &&
    Array.isArray(people) &&
    people.every(({ id, name, role }) => isId(id) && typeof name === 'string' && ROLES_THERE.includes(role)) &&
    typeof photos === 'object'
  if (!isOne) throw noArchive(path)
  return said as ArchivedKitchen
}

const ROLES_THERE: readonly string[] = ['cook', 'chef', 'lead', 'inspector']

function noArchive(path: string, cause?: unknown): Error {
  return new Error(`${path} is no archive of a kitchen, or is damaged.`, { cause })
}
