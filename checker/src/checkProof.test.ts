import { createHash, createPublicKey, generateKeyPairSync, sign } from 'node:crypto'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import {
  canonical,
  CORE_VERSION,
  HashTree,
  leafOf,
  nodeOf,
  openKitchen,
  proofLines,
  type Hash,
} from '@logged-thermal/core'
import { checkProof, PROOF_TOOLS, UnreadableFile } from './index'

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')
const { privateKey, publicKey } = generateKeyPairSync('ed25519', {
  privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
  publicKeyEncoding: { type: 'spki', format: 'pem' },
})
const der = createPublicKey(publicKey).export({ type: 'spki', format: 'der' })
const id = createHash('sha256').update(der).digest('hex').slice(0, 16)
const signed = (statement: string) => ({
  statement,
  signature: sign(null, Buffer.from(statement), privateKey).toString('base64'),
})

/** What a kitchen's logbook is when it moves in, handed out. */
async function proof(): Promise<string> {
  const made = Date.UTC(2027, 2, 3, 10)
  const instruments = ['P1', 'P2', 'P3', 'P4'].map((code, i) => ({
    id: `0195b000-0000-7000-8000-00000000000${i}`,
    code,
    kind: 'probe' as const,
  }))
  const kitchen = openKitchen({ zone: 'UTC', ruleSet: 'us-food-code-2022', people: [], instruments, now: made, sha256 })
  const entries = kitchen.entries()
  const leaves = entries.map(({ seal }) => leafOf(seal.hash, sha256))
  const tree = new HashTree(sha256)
  for (const { seal } of entries) tree.addEntry(seal.hash)
  const over = (from: number, to: number): Hash =>
    to - from === 1 ? leaves[from]! : nodeOf(over(from, (from + to) / 2), over((from + to) / 2, to), sha256)
  const { seq, hash } = entries.at(-1)!.seal
  const statement = canonical({ version: 1, kitchen: kitchen.id, seq, hash, root: tree.root(), time: made, key: id })
  async function* shown() {
    for (const { claim, seal } of entries.slice(1)) {
      const { hash: own, ...unhashed } = seal
      yield await Promise.resolve({ seq: seal.seq, canon: canonical({ claim, seal: unhashed }), hash: own })
    }
  }
  let text = ''
  for await (const line of proofLines({
    header: {
      proof: 1,
      kitchen: kitchen.id,
      called: 'Crème brûlée, Łódź',
      zone: 'UTC',
      made,
      core: CORE_VERSION,
      covers: 'all',
    },
    keys: [{ id, publicKey, since: made, introduced: null }],
    heads: [signed(statement)],
    names: {},
    size: seq,
    shown: shown(),
    subtree: ({ level, index }) => Promise.resolve(over(index * 2 ** level, (index + 1) * 2 ** level)),
  }))
    text += `${JSON.stringify(line)}\n`
  return text
}

async function* inPieces(bytes: Uint8Array, size: number) {
  for (let at = 0; at < bytes.length; at += size) yield await Promise.resolve(bytes.slice(at, at + size))
}

const check = (bytes: Uint8Array, size = 1000) => checkProof(inPieces(bytes, size), { size: bytes.length })

it('has the tools that Node has', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), fc.uint8Array({ maxLength: 70 }), (text, noise) => {
      expect(PROOF_TOOLS.sha256(text)).toBe(sha256(text))
      expect(PROOF_TOOLS.unpack(PROOF_TOOLS.pack(text))).toBe(text)
      expect(PROOF_TOOLS.verifies(publicKey, signed(text))).toBe(true)
      expect(PROOF_TOOLS.verifies(publicKey, { ...signed(text), statement: `${text}.` })).toBe(false)
      const signature = Buffer.from(noise).toString('base64')
      expect(PROOF_TOOLS.verifies(publicKey, { statement: text, signature })).toBe(false)
      expect(PROOF_TOOLS.verifies(text, signed(text))).toBe(false)
      expect(PROOF_TOOLS.keyIdOf(text)).toBeNull()
    }),
    { numRuns: 20 },
  )
  expect(PROOF_TOOLS.keyIdOf(publicKey)).toBe(id)
})

it('checks a file, or an archive with one in it, in pieces of any size', async () => {
  const plain = strToU8(await proof())
  const packed = zipSync({ 'cover.pdf': strToU8('%PDF'), 'data/logbook.proof': plain, 'second.proof': strToU8('x') })
  for (const bytes of [plain, packed])
    for (const size of [1, 7, 1000, bytes.length]) {
      const found = await check(bytes, size)
      expect(found).toMatchObject({ faults: [], left: 1, head: { key: id } })
      expect(found.header?.called).toBe('Crème brûlée, Łódź')
    }
  expect((await check(plain.slice(0, -30))).faults).toMatchObject([{ code: 'unreadable line' }, { code: 'broken off' }])
})

it('gives up what it cannot read, in a sentence', async () => {
  const why = (bytes: Uint8Array) => expect(check(bytes, 100_000)).rejects
  await why(zipSync({ 'notes.txt': strToU8('nothing') })).toEqual(new UnreadableFile('no proof in it'))
  await why(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9, 9])).toThrow(UnreadableFile)
  await why(Uint8Array.from([0x7b, 0xff, 0xfe, 0x0a])).toEqual(new UnreadableFile('not text'))
  await why(new Uint8Array(5_000_000).fill(0x61)).toEqual(new UnreadableFile('line without end'))
  // A bomb: thirty megabytes without a line, packed to thirty kilobytes.
  const bomb = zipSync({ 'bomb.proof': new Uint8Array(30_000_000) }, { level: 9 })
  await why(bomb).toEqual(new UnreadableFile('line without end'))
  expect((await check(strToU8('hello\nworld'))).faults).toMatchObject([{ code: 'no proof file', line: 1 }])
  expect((await check(new Uint8Array())).faults).toMatchObject([{ code: 'no proof file' }])
})

it('stops when it is told to, and tells how far it is', async () => {
  const long = strToU8((await proof()).replace('\n', `${' '.repeat(3_900_000)}\n`))
  const shares: number[] = []
  const giveUp = new AbortController()
  const onProgress = (share: number) => {
    shares.push(Math.floor(share * 4))
    if (shares.length === 2) giveUp.abort(new Error('enough'))
  }
  const asked = { size: long.length, onProgress, signal: giveUp.signal }
  await expect(checkProof(inPieces(long, 500_000), asked)).rejects.toThrow('enough')
  expect(shares).toEqual([1, 2])
})

it('says in a terminal whether it holds, and by which key', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'lt-checker-'))
  const run = (...args: string[]) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, [join(__dirname, '../dist/node/cli.js'), ...args])
    return { status, said: `${String(stdout)}${String(stderr)}` }
  }
  const file = join(folder, 'a.proof')
  const text = await proof()
  writeFileSync(file, text)
  expect(run(file)).toMatchObject({ status: 0, said: expect.stringContaining(`Key ${id}`) as string })
  expect(run(file, id).said).toMatch(/It checks out\.\n$/)
  expect(run(file, '0'.repeat(16))).toMatchObject({
    status: 1,
    said: expect.stringContaining('not signed by') as string,
  })
  writeFileSync(file, text.replace('\\"P3\\"', '\\"P9\\"'))
  const changed = run(file)
  expect(changed.status).toBe(1)
  expect(changed.said).toMatch(/Line \d+: entry 4 is not the text that was sealed\./)
  expect(run(join(folder, 'none'))).toMatchObject({
    status: 1,
    said: expect.stringContaining('is not there') as string,
  })
})
