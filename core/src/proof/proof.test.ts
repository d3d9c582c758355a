import fc from 'fast-check'
import type { AnyClaim, SealedEntry } from '../ledger/entry'
import type { Hash, Id } from '../ledger/subject'
import { touches } from '../admission/kinds'
import { standingsOf } from '../judgement/batch/disposition'
import { acts, deeds } from '../test/deeds'
import { History } from '../test/history'
import { LEAD, idOf, KitchenStory, sha256 } from '../test/kitchenStory'
import { canonOf, checked, proofOf, Signer } from '../test/proofOf'
import { at } from '../test/traces'
import { CORE_VERSION } from '../version'
import { HashTree, leafOf, nodeOf, subtreesBetween } from './hashTree'

describe('the tree over a logbook', () => {
  /** As RFC 6962 section 2.1 defines it, top down. */
  const byDefinition = (entries: readonly Hash[]): Hash => {
    if (entries.length === 0) return sha256('')
    if (entries.length === 1) return leafOf(entries[0]!, sha256)
    const half = 2 ** Math.ceil(Math.log2(entries.length) - 1)
    return nodeOf(byDefinition(entries.slice(0, half)), byDefinition(entries.slice(half)), sha256)
  }
  const hashes = (count: number) => Array.from({ length: count }, (_, i) => sha256(`entry ${i}`))

  it('is the one of the definition, however it grows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 150 }), fc.integer({ min: 0, max: 150 }), (a, b) => {
        const [from, to] = [Math.min(a, b), Math.max(a, b)]
        const entries = hashes(150)
        const tree = new HashTree(sha256)
        for (const entry of entries.slice(0, from)) tree.addEntry(entry)
        for (const { level, index } of subtreesBetween(from, to))
          tree.add(level, byDefinition(entries.slice(index * 2 ** level, (index + 1) * 2 ** level)))
        for (const entry of entries.slice(to)) tree.addEntry(entry)
        expect(tree.size).toBe(150)
        expect(tree.root()).toBe(byDefinition(entries))
      }),
      { numRuns: 60 },
    )
  })

  it('takes no subtree where none can stand', () => {
    const tree = new HashTree(sha256)
    tree.addEntry(sha256('one'))
    expect(() => tree.add(1, sha256('two'))).toThrow('level: 1 does not fit after 1 entries')
    expect(() => tree.add(0.5, sha256('two'))).toThrow(RangeError)
  })
})

/** Two batches: one put away and signed with its day, one discarded. */
function twoBatches(): SealedEntry[] {
  const story = new KitchenStory()
  story.made('good')
  const raw = story.begin('raw', 280)
  const findings = standingsOf(story.kitchen.findings(raw, at(290)))
  const discard = { decision: 'discard' as const, reason: 'never cooked', findings, core: CORE_VERSION }
  story.enter('disposed', raw, 290, discard, { by: LEAD })
  const day = { day: '2027-03-03', batches: [], core: 'x' }
  story.enter('day-signed', story.kitchen.id, 300, day, { by: LEAD })
  return story.kitchen.entries()
}

const entries = twoBatches()
const { length } = entries
const kitchen = entries[0]!.claim.kitchen
const signer = new Signer()
const headsOf = (of: readonly SealedEntry[]) => [7, of.length].map((seq) => signer.head(kitchen, of, seq))
const whole = {
  kitchen,
  zone: 'UTC',
  entries,
  signer,
  heads: headsOf(entries),
  covers: 'all' as const,
  isShown: () => true,
}
const only = (name: string) => ({
  ...whole,
  covers: [idOf(name)],
  isShown: ({ claim, seal }: SealedEntry) =>
    claim.kind === 'day-signed' || touches(claim, seal).some(({ id }) => id === idOf(name)),
})

it('proves a whole logbook: every entry, every signed head, every standing that was sealed', async () => {
  const found = checked(await proofOf(whole))
  expect(found).toMatchObject({ faults: [], cautions: [], shown: length, left: 0, signed: 2, judged: 3 })
  expect(found.head).toMatchObject({ seq: length, hash: entries.at(-1)!.seal.hash })
})

it('proves one batch against the same head, and shows nothing of another', async () => {
  const lines = await proofOf(only('good'))
  const found = checked(lines)
  expect(found).toMatchObject({ faults: [], cautions: [], signed: 2, judged: 1 })
  expect(found.shown + found.left).toBe(length)
  const others = entries.filter(({ claim }) => claim.about.id === idOf('raw'))
  expect(others.length).toBeGreaterThan(1)
  for (const { claim } of others) expect(lines.join()).not.toContain(claim.id)
})

it('proves whatever a kitchen does, whichever of it is shown', async () => {
  await fc.assert(
    fc.asyncProperty(deeds, fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }), async (all, some) => {
      const history = new History([true, false])
      for (const deed of all) history.act(deed, acts[deed.kind]!)
      const kept = history.story.kitchen.entries()
      const of = { ...whole, kitchen: history.story.kitchen.id, entries: kept }
      const heads = [9, kept.length].map((seq) => signer.head(of.kitchen, kept, seq))
      expect(checked(await proofOf({ ...of, heads }))).toMatchObject({ faults: [], signed: 2 })
      const isShown = ({ seal }: SealedEntry) => some[seal.seq % some.length]!
      expect(checked(await proofOf({ ...of, heads, covers: [], isShown }))).toMatchObject({ faults: [], signed: 2 })
    }),
    { numRuns: 15, seed: 20270303 },
  )
})

/** Sealed anew, as whoever owns the database can. */
function sealedSo(all: readonly SealedEntry[]): SealedEntry[] {
  const made: SealedEntry[] = []
  for (const { claim, seal } of all) {
    const next = { claim, seal: { ...seal, prev: made.at(-1)?.seal.hash ?? seal.prev, hash: '' } }
    made.push({ ...next, seal: { ...next.seal, hash: sha256(canonOf(next)) } })
  }
  return made
}

const rewritten = (from: number, change: (claim: AnyClaim) => AnyClaim) =>
  sealedSo(entries.map(({ claim, seal }) => ({ claim: seal.seq === from ? change(claim) : claim, seal })))

describe('the first line that does not hold', () => {
  /** The line of an entry: four stand before the first. */
  const lineOf = (seq: number) => seq + 4
  const first = async (asked: Parameters<typeof proofOf>[0], change = (lines: string[]) => lines) =>
    checked(change(await proofOf(asked))).faults[0]
  const withEntry = (seq: number, change: (canon: string, hash: Hash) => object) => (lines: string[]) => {
    const { entry, hash } = JSON.parse(lines[lineOf(seq) - 1]!) as { entry: string; hash: Hash }
    return lines.map((line, i) => (i === lineOf(seq) - 1 ? JSON.stringify(change(entry, hash)) : line))
  }
  const later = (canon: string) => canon.replace(/"madeAt":(\d+)/, '"madeAt":1$1')

  it('is where a value was changed, with its hash or without, at the end too', async () => {
    const text = withEntry(9, (canon, hash) => ({ entry: later(canon), hash }))
    const both = (seq: number) => withEntry(seq, (canon) => ({ entry: later(canon), hash: sha256(later(canon)) }))
    expect(await first(whole, text)).toEqual({ code: 'altered', line: lineOf(9), seq: 9 })
    expect(await first(whole, both(9))).toEqual({ code: 'broken link', line: lineOf(10), seq: 10 })
    expect(await first(whole, both(length))).toEqual({ code: 'signed otherwise', line: lineOf(length), seq: length })
  })

  it('is where an entry is missing, stands twice or in another place', async () => {
    const gone = (lines: string[]) => lines.filter((_, i) => i !== lineOf(9) - 1)
    const swapped = (lines: string[]) => {
      const [a, b] = [lines[lineOf(9) - 1]!, lines[lineOf(10) - 1]!]
      return lines.map((line) => (line === a ? b : line === b ? a : line))
    }
    const twice = (lines: string[]) => lines.flatMap((line, i) => (i === lineOf(9) - 1 ? [line, line] : [line]))
    expect(await first(whole, gone)).toEqual({ code: 'out of order', line: lineOf(9), seq: 9, found: 10 })
    expect(await first(whole, swapped)).toMatchObject({ code: 'out of order', line: lineOf(9), found: 10 })
    expect(await first(whole, twice)).toMatchObject({ code: 'out of order', line: lineOf(10), found: 9 })
  })

  it('is where the logbook was sealed anew, cut short, or goes on unsigned', async () => {
    const raised = (claim: AnyClaim) => ({ ...claim, madeAt: claim.madeAt + 1 })
    expect(await first({ ...whole, entries: rewritten(5, raised) })).toMatchObject({ code: 'signed otherwise', seq: 7 })
    expect(await first({ ...whole, entries: rewritten(9, raised) })).toMatchObject({
      code: 'signed otherwise',
      seq: length,
    })
    expect(await first({ ...whole, entries: entries.slice(0, -1) })).toMatchObject({ code: 'tail cut', seq: length })
    expect(await first({ ...whole, heads: headsOf(entries).slice(0, 1) })).toMatchObject({
      code: 'tail not signed',
      seq: 7,
    })
    expect(await first({ ...whole, heads: [] })).toMatchObject({ code: 'nothing signed' })
    const breaks = (lines: string[]) => lines.slice(0, -1)
    expect(await first(whole, breaks)).toMatchObject({ code: 'broken off' })
    expect(await first(only('good'), breaks)).toMatchObject({ code: 'broken off' })
  })

  it('is where what is left out is not what was there', async () => {
    const changed = (lines: string[]) =>
      lines.map((line) =>
        line.startsWith('{"left"') ? line.replace(/"hash":"./, '"hash":"x').replace('"x', '"0') : line,
      )
    expect((await first(only('good'), changed))?.code).toBe('signed otherwise')
    const moved = (lines: string[]) => [
      ...lines.slice(0, 4),
      JSON.stringify({
        left: [
          { level: 0, hash: sha256('') },
          { level: 1, hash: sha256('') },
        ],
      }),
    ]
    expect(await first(only('good'), moved)).toMatchObject({ code: 'left out wrongly', line: 5 })
  })

  it('is a head that a stranger signed, under any name', async () => {
    const stranger = new Signer()
    const forged = stranger.head(kitchen, entries, length)
    expect(await first({ ...whole, heads: [...headsOf(entries), forged] })).toMatchObject({ code: 'not signed so' })
    const posing = (lines: string[]) =>
      lines.map((line) =>
        line.startsWith('{"keys"') ? JSON.stringify({ keys: [{ ...stranger.keys[0], id: signer.keys[0]!.id }] }) : line,
      )
    expect(await first(whole, posing)).toMatchObject({ code: 'not signed so' })
    const theirs = { ...whole, signer: stranger, heads: [forged] }
    // Whoever signs all of it anew has another key: only its id on paper tells.
    expect(checked(await proofOf(theirs))).toMatchObject({ faults: [], head: { key: stranger.keys[0]!.id } })
  })

  it('is a standing that the entries do not give', async () => {
    const better = ({ claim, seal }: SealedEntry): SealedEntry => {
      if (claim.kind !== 'day-signed') return { claim, seal }
      const stood = seal.resolved!.body!.batches as { id: Id }[]
      const batches = stood.map(({ id }) => ({ id, standing: 'missed' }))
      return { claim, seal: { ...seal, resolved: { body: { ...seal.resolved!.body, batches } } } }
    }
    const at = entries.findIndex(({ claim }) => claim.kind === 'day-signed')
    const told = [...entries.slice(0, at), better(entries[at]!), ...entries.slice(at + 1)]
    const lying = sealedSo(told)
    const asked = { ...whole, entries: lying, heads: headsOf(lying) }
    expect(await first(asked)).toMatchObject({
      code: 'judged otherwise',
      batch: idOf('good'),
      said: 'missed',
      found: 'proven',
    })
    const older = sealedSo(told.map((each) => ({ ...each, seal: { ...each.seal, core: '0.0.1' } })))
    expect(checked(await proofOf({ ...asked, entries: older, heads: headsOf(older) }))).toMatchObject({
      faults: [],
      cautions: [{ code: 'other version', core: '0.0.1' }, { code: 'other version' }],
    })
  })
})

it('says apart what proves no tampering: a clock set back, an entry of a newer program, a key that nobody named', async () => {
  const newer = sealedSo(
    entries.map(({ claim, seal }) =>
      seal.seq === 12
        ? { claim: { ...claim, kind: 'sung-to' } as unknown as AnyClaim, seal: { ...seal, recordedAt: at(900) } }
        : { claim, seal },
    ),
  )
  expect(checked(await proofOf({ ...whole, entries: newer, heads: headsOf(newer) })).cautions).toEqual([
    { code: 'not read', seq: 12 },
    { code: 'recorded earlier', seq: 13 },
  ])
  const again = new Signer()
  again.next('named')
  const heads = [again.head(kitchen, entries, length)]
  expect(checked(await proofOf({ ...whole, signer: again, heads }))).toMatchObject({ faults: [], cautions: [] })
  again.next('unnamed')
  const theirs = { ...whole, signer: again, heads: [again.head(kitchen, entries, length)] }
  expect(checked(await proofOf(theirs))).toMatchObject({
    faults: [],
    cautions: [{ code: 'key not introduced', key: again.keys[2]!.id }],
  })
})

it('is not talked out of judging: a header that covers less, or names another zone, is told of', async () => {
  expect(checked(await proofOf({ ...whole, covers: [] }))).toMatchObject({ judged: 0, unjudged: 3, batches: [] })
  expect(checked(await proofOf({ ...whole, zone: 'Asia/Tokyo' })).cautions).toContainEqual({
    code: 'other zone',
    seq: 1,
  })
  const nowhere = await proofOf({ ...whole, zone: 'Nowhere/Atoll' })
  expect(checked(nowhere).faults).toEqual([{ code: 'no proof file', line: 1 }])
})

it('is nothing else than a proof file', () => {
  expect(checked([]).faults).toEqual([{ code: 'no proof file', line: 0 }])
  expect(checked(['hello', 'again']).faults).toEqual([{ code: 'no proof file', line: 1 }])
  expect(checked(['{"proof":2,"more":1}']).faults).toEqual([{ code: 'unknown form', line: 1 }])
  expect(checked(['[1]', '{"end":1}']).faults).toEqual([{ code: 'no proof file', line: 1 }])
})
