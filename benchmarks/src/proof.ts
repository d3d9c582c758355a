import { createHash, generateKeyPairSync, sign } from 'node:crypto'
import { createReadStream, createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { v7 as uuid } from 'uuid'
import { checkProof, PROOF_TOOLS } from '@logged-thermal/checker'
import { NODE_TOOLS } from '@logged-thermal/checker/node'
import {
  apply,
  canonical,
  CORE_VERSION,
  DAY,
  dayOf,
  GENESIS,
  HashTree,
  heldTo,
  judgeBatch,
  MINUTE,
  proofLines,
  seal,
  standingsOf,
  type AnyClaim,
  type BatchState,
  type ChainHead,
  type Id,
  type Instant,
  type ProofLine,
  type SealedEntry,
} from '@logged-thermal/core'
import { starter } from '@logged-thermal/repertoire'
import { claimMaker } from '@logged-thermal/server'

/** A tenth of a year of a busy kitchen: LT_BENCH_BATCHES=20000 is the whole, a million entries. */
const BATCHES = Number(process.env.LT_BENCH_BATCHES ?? 2_000)
const A_DAY = 55
const READINGS = 48
const BEGAN = Date.UTC(2026, 0, 1)

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

/** How long a proof file is gone through, beside reading and hashing its lines alone, and what that takes of memory. */
async function proofBenchmarks(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'lt-bench-proof-'))
  const path = join(folder, 'year.proof')
  try {
    const entries = await written(path)
    const bare = await timed(() => readAndHashed(path))
    let most = 0
    const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 50)
    const whole = await timed(async () => {
      const pieces = createReadStream(path, { highWaterMark: 1_000_000 })
      const found = await checkProof(pieces, { size: statSync(path).size, tools: NODE_TOOLS })
      if (found.faults.length > 0 || found.judged !== BATCHES) throw new Error(JSON.stringify(found.faults.slice(0, 3)))
    })
    clearInterval(watch)
    console.log(`${BATCHES} batches, ${entries} entries, ${Math.round(statSync(path).size / 1e6)} MB`)
    row('checking a proof file / reading and hashing it', whole / bare, 16, `${seconds(whole)} and ${seconds(bare)} s`)
    row('a million entries so, s', (whole / entries) * 1000, 180, 'on one thread')
    row('memory while it checks, MB', most / 1e6, 512, 'resident')
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** A logbook of many batches alike, each read, decided and at rest; nothing of it is admitted, only sealed. */
async function written(path: string): Promise<number> {
  const { privateKey, publicKey } = generateKeyPairSync('ed25519', {
    privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
    publicKeyEncoding: { type: 'spki', format: 'pem' },
  })
  const key = PROOF_TOOLS.keyIdOf(publicKey)!
  const kitchen = uuid()
  const size = BATCHES * (READINGS + 2)
  // Once for the head, which stands in front, and once for the file: both are the same.
  const tree = new HashTree(sha256)
  let head: ChainHead = GENESIS
  const claims = claimsOf(kitchen)
  for (const { entry } of sealed(claims)) {
    tree.addEntry(entry.seal.hash)
    head = entry.seal
  }
  const statement = canonical({ version: 1, kitchen, seq: size, hash: head.hash, root: tree.root(), time: BEGAN, key })
  const signature = sign(null, Buffer.from(statement), privateKey).toString('base64')
  async function* shown() {
    for (const { entry, canon } of sealed(claims))
      yield await Promise.resolve({ seq: entry.seal.seq, canon, hash: entry.seal.hash })
  }
  async function* texts(lines: AsyncIterable<ProofLine>) {
    for await (const line of lines) yield `${JSON.stringify(line)}\n`
  }
  const lines = proofLines({
    header: { proof: 1, kitchen, called: 'Bench', zone: 'UTC', made: BEGAN, core: CORE_VERSION, covers: 'all' },
    keys: [{ id: key, publicKey, since: BEGAN, introduced: null }],
    heads: [{ statement, signature }],
    names: {},
    size,
    shown: shown(),
    subtree: () => Promise.reject(new Error('nothing is left out')),
  })
  await pipeline(Readable.from(texts(lines)), createWriteStream(path))
  return size
}

/** What a batch is told of, one after the other; the last is a decision over what was found. */
function claimsOf(kitchen: Id): (number: number) => AnyClaim[] {
  const { limits, methods, probe } = starter(BEGAN, 'UTC')
  const by = uuid()
  const claim = claimMaker(kitchen)
  const ids = Array.from({ length: BATCHES }, () => uuid())
  const idOf = (number: number, i: number) => {
    const h = sha256(`${number} ${i}`)
    return `${h.slice(0, 8)}-${h.slice(8, 12)}-7${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`
  }
  const told = (number: number, findings: ReturnType<typeof standingsOf>): AnyClaim[] => {
    // None runs over midnight: then its days would be other ones.
    const at: Instant = BEGAN + Math.floor(number / A_DAY) * DAY + (6 * 60 + (number % A_DAY) * 8) * MINUTE
    const method = methods[number % methods.length]!
    const started = {
      code: `b-${number}`,
      ...heldTo(method, 1, limits, false, dayOf(at, 'UTC')),
      limits: { id: limits.id, version: 1 },
      vessel: method.vessel,
      factor: 1,
    }
    const readings = Array.from({ length: READINGS }, (_, i) =>
      claim('reading-taken', ids[number]!, at + (i + 2) * MINUTE, by, {
        typed: { value: i < 15 ? 50 + 2 * i : 90 - 1.8 * i, unit: 'C' },
        where: 'core',
        of: 'mixture',
        instrument: probe.id,
      }),
    )
    const end = at + 60 * MINUTE
    const disposed = { decision: 'discard' as const, reason: 'bench', findings, core: CORE_VERSION }
    const all = [
      claim('batch-started', ids[number]!, at, by, started),
      ...readings,
      claim('disposed', ids[number]!, end, by, disposed),
    ]
    return all.map((each, i) => ({ ...each, id: idOf(number, i) }))
  }
  // Alike are those of a method: what one of them is found to be, all are.
  const found = new Map<number, ReturnType<typeof standingsOf>>()
  return (number) => {
    const of = number % methods.length
    if (!found.has(of)) {
      const all = told(number, [])
      let state: BatchState | null = null
      for (const { entry } of sealed(() => all.slice(0, -1), 1)) state = apply.batch(ids[number]!, state, entry)
      found.set(of, standingsOf(judgeBatch(state!, { zone: 'UTC' }, all.at(-1)!.at)))
    }
    return told(number, found.get(of)!)
  }
}

function* sealed(
  claims: (number: number) => AnyClaim[],
  batches = BATCHES,
): Generator<{ entry: SealedEntry; canon: string }> {
  let head: ChainHead = GENESIS
  for (let number = 0; number < batches; number++) {
    const all = claims(number)
    for (const claim of all) {
      const stamp = { recordedAt: all[0]!.at, offsetMinutes: 0, postedBy: claim.by, rules: 5, core: CORE_VERSION }
      const made = seal(claim, head, stamp, sha256)
      head = made.entry.seal
      yield made
    }
  }
}

async function readAndHashed(path: string): Promise<void> {
  for await (const line of createInterface({ input: createReadStream(path), crlfDelay: Infinity })) {
    const { entry } = JSON.parse(line) as { entry?: string }
    if (entry !== undefined) sha256(entry)
  }
}

async function timed(work: () => Promise<void>): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

function seconds(ms: number): string {
  return (ms / 1000).toFixed(1)
}

function row(name: string, value: number, most: number, more: string): void {
  const verdict = value <= most ? 'ok' : 'MISSED'
  console.log(
    `${name.padEnd(52)} ${value.toFixed(1).padStart(9)}   at most ${String(most).padEnd(6)} ${verdict}   ${more}`,
  )
  if (value > most) process.exitCode = 1
}

void proofBenchmarks()
