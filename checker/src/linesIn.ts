import { Unzip, UnzipInflate, type UnzipFile } from 'fflate'
import { LONGEST_LINE } from '@logged-thermal/core'

/** A file of which nothing can be read, and why. */
export class UnreadableFile extends Error {
  constructor(readonly why: 'no proof in it' | 'line without end' | 'no archive' | 'not text') {
    super(why)
  }
}

/** What ends the names of proof files, in archives too. */
const ENDING = '.proof'

/** Lines of a proof file as its bytes come: of the file itself, or of the first one in a ZIP archive. Memory holds a line. */
export class LinesIn {
  private readonly text = new TextDecoder('utf-8', { fatal: true })
  /** What came after the last end of a line. */
  private rest: Uint8Array[] = []
  private restLength = 0
  private unzip: Unzip | null = null
  private begun = false
  private inArchive: 'none yet' | 'reads' | 'read' = 'none yet'
  private lines: string[] = []
  private failed: UnreadableFile | null = null

  /** Takes the next bytes and gives the lines that are whole by now. Throws an UnreadableFile. */
  push(bytes: Uint8Array, last: boolean): string[] {
    if (this.begun) this.take(bytes, last)
    else this.begin(joined([...this.rest, bytes]), last)
    if (this.failed) throw this.failed
    const whole = this.lines
    this.lines = []
    return whole
  }

  /** Every ZIP archive begins with 'PK', and no proof file does. */
  private begin(bytes: Uint8Array, last: boolean): void {
    this.rest = bytes.length < 2 && !last ? [bytes.slice()] : []
    if (this.rest.length > 0) return
    this.begun = true
    if (bytes[0] === 0x50 && bytes[1] === 0x4b) this.unzip = this.opened()
    this.take(bytes, last)
  }

  private take(bytes: Uint8Array, last: boolean): void {
    if (this.unzip) this.unpack(this.unzip, bytes, last)
    else this.read(bytes, last)
  }

  private unpack(unzip: Unzip, bytes: Uint8Array, last: boolean): void {
    try {
      unzip.push(bytes, last)
    } catch {
      throw this.failed ?? new UnreadableFile('no archive')
    }
    if (last && this.inArchive === 'none yet') throw new UnreadableFile('no proof in it')
  }

  private opened(): Unzip {
    const unzip = new Unzip((file: UnzipFile) => {
      // Nothing else in it is unpacked, however large it says that it is.
      if (this.inArchive !== 'none yet' || !file.name.endsWith(ENDING)) return
      this.inArchive = 'reads'
      file.ondata = (error, piece, final) => {
        if (error) this.failed = new UnreadableFile('no archive')
        else this.read(piece, final)
        if (final) this.inArchive = 'read'
      }
      file.start()
    })
    unzip.register(UnzipInflate)
    return unzip
  }

  private read(bytes: Uint8Array, last: boolean): void {
    const end = bytes.lastIndexOf(NEW_LINE)
    if (end >= 0) {
      this.decode([...this.rest, bytes.subarray(0, end)])
      this.rest = []
      this.restLength = 0
    }
    // A copy: whoever gave the bytes may use their place again.
    if (end < bytes.length - 1) this.rest.push(bytes.slice(end + 1))
    this.restLength += bytes.length - 1 - end
    if (this.restLength > LONGEST_LINE) this.failed ??= new UnreadableFile('line without end')
    if (!last || this.restLength === 0) return
    this.decode(this.rest)
    this.rest = []
    this.restLength = 0
  }

  /** Only what ends a line is decoded: no letter is ever cut in two. */
  private decode(pieces: readonly Uint8Array[]): void {
    try {
      for (const line of this.text.decode(joined(pieces)).split('\n')) this.lines.push(line)
    } catch {
      this.failed ??= new UnreadableFile('not text')
    }
  }
}

const NEW_LINE = 10

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const piece of pieces) {
    whole.set(piece, at)
    at += piece.length
  }
  return whole
}
