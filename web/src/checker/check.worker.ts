import { checkProof, unreadableSentence, UnreadableFile } from '@logged-thermal/checker'
import type { Checked } from './checked'

/** Reads a file beside the page: a year of records takes minutes. */
const tell = (said: Checked) => postMessage(said)

onmessage = ({ data: file }: MessageEvent<File>) => {
  checkProof(piecesOf(file), { size: file.size, onProgress: (share) => tell({ state: 'reads', share }) }).then(
    (found) => tell({ state: 'found', found }),
    (error: unknown) =>
      tell({ state: 'unreadable', why: error instanceof UnreadableFile ? unreadableSentence(error) : String(error) }),
  )
}

async function* piecesOf(file: File): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader()
  for (let next = await reader.read(); !next.done; next = await reader.read()) yield next.value
}
