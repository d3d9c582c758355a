import { createWriteStream } from 'node:fs'
import { appendFile, mkdir, rename, rm, stat, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'

/**
 * A packet as it grows: its files lie beside each other until all are there, and are packed then. Whatever fails on the way,
 * nothing of it stays.
 */
export class PacketFile {
  /** In the order they are packed: the first is what is read first. */
  private readonly names: string[] = []

  private constructor(
    private readonly path: string,
    private readonly folder: string,
  ) {}

  /** @param path of the packet, where nothing is yet */
  static async begin(path: string): Promise<PacketFile> {
    const folder = `${path}.parts`
    await rm(folder, { recursive: true, force: true })
    await mkdir(folder, { recursive: true, mode: 0o700 })
    return new PacketFile(path, folder)
  }

  async add(name: string, content: Uint8Array | string): Promise<void> {
    await this.take(name)
    await writeFile(join(this.folder, name), content)
  }

  /** Adds to the end of a file, which begins with the first piece. */
  async append(name: string, text: string): Promise<void> {
    await this.take(name)
    await appendFile(join(this.folder, name), text)
  }

  /** Writes a file as its texts come. @returns how many of them count */
  async write(name: string, texts: AsyncIterable<{ text: string; counts: boolean }>): Promise<number> {
    await this.take(name)
    let count = 0
    async function* counted() {
      for await (const { text, counts } of texts) {
        if (counts) count++
        yield text
      }
    }
    await pipeline(Readable.from(counted()), createWriteStream(join(this.folder, name)))
    return count
  }

  /** Packs it, the named ones first. @returns its size, bytes */
  async packed(first: readonly string[]): Promise<number> {
    const zip = new ZipFile()
    const order = [
      ...first.filter((name) => this.names.includes(name)),
      ...this.names.filter((name) => !first.includes(name)),
    ]
    // What is packed already is not packed again.
    for (const name of order)
      zip.addFile(join(this.folder, name), name, { compress: !name.endsWith('.pdf'), mode: 0o100600 })
    zip.end()
    const part = `${this.path}.part`
    await pipeline(zip.outputStream, createWriteStream(part, { mode: 0o600 }))
    await rename(part, this.path)
    await rm(this.folder, { recursive: true, force: true })
    return (await stat(this.path)).size
  }

  async dropped(): Promise<void> {
    await rm(this.folder, { recursive: true, force: true })
    await rm(`${this.path}.part`, { force: true })
  }

  private async take(name: string): Promise<void> {
    if (this.names.includes(name)) return
    this.names.push(name)
    if (dirname(name) !== '.') await mkdir(join(this.folder, dirname(name)), { recursive: true })
  }
}
