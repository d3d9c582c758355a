/** A picture as it may be kept. */
export interface Picture {
  /** The JPEG with nothing in it but the picture: where and by whom it was taken is gone. */
  bytes: Buffer
  width: number
  height: number
}

const [START, END, SCAN, COMMENT] = [0xd8, 0xd9, 0xda, 0xfe]
/** Segments of programs: only the two that say how colours are to be read are part of the picture. */
const [JFIF, ADOBE] = [0xe0, 0xee]
/** Markers that stand alone, without a length. */
const alone = (marker: number) => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7)
/** What says how large it is: start of frame; the three others of its row say something else. */
const isFrame = (marker: number) => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
const isProgramsOwn = (marker: number) =>
  marker === COMMENT || (marker >= 0xe0 && marker <= 0xef && marker !== JFIF && marker !== ADOBE)

/**
 * Takes a JPEG apart, segment by segment, and puts together what is picture (ITU-T T.81, annex B). What stands after its
 * end is left out too. null for what is no JPEG, or breaks off.
 */
export function pictureIn(bytes: Buffer): Picture | null {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== START) return null
  const kept: Buffer[] = [bytes.subarray(0, 2)]
  let size: { width: number; height: number } | null = null
  let at = 2
  while (at + 2 <= bytes.length) {
    if (bytes[at] !== 0xff) return null
    const marker = bytes[at + 1]!
    // Any number of them may stand before a marker.
    if (marker === 0xff) {
      at++
      continue
    }
    if (marker === END) return size && { bytes: Buffer.concat([...kept, Buffer.from([0xff, END])]), ...size }
    if (alone(marker)) {
      kept.push(bytes.subarray(at, at + 2))
      at += 2
      continue
    }
    if (at + 4 > bytes.length) return null
    let end = at + 2 + bytes.readUInt16BE(at + 2)
    if (end < at + 4 || end > bytes.length) return null
    if (isFrame(marker)) {
      if (end < at + 9) return null
      size = { height: bytes.readUInt16BE(at + 5), width: bytes.readUInt16BE(at + 7) }
    }
    if (marker === SCAN) end = endOfScan(bytes, end)
    if (!isProgramsOwn(marker)) kept.push(bytes.subarray(at, end))
    at = end
  }
  return null
}

/** Where the compressed data of a scan ends: at the next marker that is none of its own. */
function endOfScan(bytes: Buffer, from: number): number {
  for (let at = from; at + 1 < bytes.length; at++) {
    if (bytes[at] !== 0xff) continue
    const next = bytes[at + 1]!
    if (next !== 0x00 && !(next >= 0xd0 && next <= 0xd7)) return at
  }
  return bytes.length
}
