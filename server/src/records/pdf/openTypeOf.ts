import { inflateSync } from 'node:zlib'

const HEADER = 44
const DIRECTORY = 20

/**
 * The OpenType file that a WOFF file packs (W3C, WOFF File Format 1.0). The PDF library reads a packed one too, but unpacks
 * its outlines anew for every glyph: that was most of the time a small record took.
 * @param woff bytes of a font file
 * @throws Error where it is no WOFF file
 */
export function openTypeOf(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('This font is no WOFF file.')
  const count = woff.readUInt16BE(12)
  const tables = Array.from({ length: count }, (_, i) => {
    const at = HEADER + i * DIRECTORY
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)]
    const bytes = woff.subarray(offset, offset + packed)
    return {
      tag: woff.subarray(at, at + 4),
      sum: woff.readUInt32BE(at + 16),
      data: packed < length ? inflateSync(bytes) : bytes,
    }
  })
  const head = Buffer.alloc(12 + 16 * count)
  woff.copy(head, 0, 4, 8)
  head.writeUInt16BE(count, 4)
  // For a search by halves: the largest power of two in their number, and what is left of it.
  const power = Math.floor(Math.log2(count))
  head.writeUInt16BE(16 * 2 ** power, 6)
  head.writeUInt16BE(power, 8)
  head.writeUInt16BE(16 * (count - 2 ** power), 10)
  const parts: Buffer[] = [head]
  let offset = head.length
  for (const [i, { tag, sum, data }] of tables.entries()) {
    const at = 12 + 16 * i
    tag.copy(head, at)
    head.writeUInt32BE(sum, at + 4)
    head.writeUInt32BE(offset, at + 8)
    head.writeUInt32BE(data.length, at + 12)
    // Each begins at a multiple of four.
    const padded = Buffer.alloc(Math.ceil(data.length / 4) * 4)
    data.copy(padded)
    parts.push(padded)
    offset += padded.length
  }
  return Buffer.concat(parts)
}
