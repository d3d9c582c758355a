import { createReadStream, statSync } from 'node:fs'
import { proofCautionSentence, proofFaultSentence, proofSentences, type Reader } from '@logged-thermal/wording'
import { checkProof, UnreadableFile } from '../index'
import { NODE_TOOLS } from './nodeTools'
import { unreadableSentence } from '../unreadable'

/** npm run verify -- FILE [KEY]: whether it holds, and by which key; with a key, that it is this one. */
async function run(path?: string, key?: string): Promise<boolean> {
  if (!path) throw new Told('Say which: npm run verify -- FILE, a proof file or an archive with one in it.')
  const size = sizeOf(path)
  const onProgress = (share: number) => process.stderr.write(`\r${Math.floor(share * 100)} % `)
  const found = await checkProof(createReadStream(path, { highWaterMark: 1_000_000 }), {
    size,
    tools: NODE_TOOLS,
    ...(process.stderr.isTTY ? { onProgress } : {}),
  })
  if (process.stderr.isTTY) process.stderr.write('\r')
  const { header, head, faults, cautions } = found
  const reader: Reader = { scale: 'C', zone: header?.zone ?? 'UTC', locale: 'en-GB', hours: 24, today: null }
  const sentences = header ? proofSentences(found, reader) : []
  // What does not hold vouches for nothing beside its name.
  for (const sentence of faults.length > 0 ? sentences.slice(0, 1) : sentences) console.log(sentence)
  if (head) console.log(`Key ${head.key}, head ${head.hash}: compare them with a printed record.`)
  for (const caution of cautions) console.log(`To know: ${proofCautionSentence(caution, reader)}`)
  for (const fault of faults) console.log(proofFaultSentence(fault, reader))
  const other = key !== undefined && head?.key !== key
  if (other) console.log(`It is not signed by ${key}.`)
  const holds = faults.length === 0 && !other
  console.log(holds ? 'It checks out.' : 'It does not check out.')
  return holds
}

class Told extends Error {}

function sizeOf(path: string): number {
  try {
    return statSync(path).size
  } catch {
    throw new Told(`${path} is not there.`)
  }
}

run(process.argv[2], process.argv[3]).then(
  (holds) => (process.exitCode = holds ? 0 : 1),
  (error: unknown) => {
    const told = error instanceof UnreadableFile ? unreadableSentence(error) : error instanceof Told && error.message
    console.error(told || error)
    process.exitCode = 1
  },
)
