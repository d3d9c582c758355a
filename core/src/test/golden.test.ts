import { verifyChain } from '../ledger/chain'
import { CORE_VERSION } from '../version'
import { acts } from './deeds'
import { judgedNow, readGolden, sha256, writeGolden } from './golden'
import { History } from './history'
import { at } from './traces'

/** What these rules judge otherwise than those that it was recorded with, and why. Anything else that changes is a fault. */
const INTENDED: Record<string, Record<string, string>> = {
  demo: {
    '61-2 boil-out: unproven to proven': 'What is only for quality is not read as often as a floor.',
  },
  store: Object.fromEntries(
    ['b-0', 'b-2', 'b-4', 'b-6', 'b-8'].flatMap((code) =>
      ['standing', 'cool-first', ...(['b-6', 'b-8'].includes(code) ? [] : ['cool-total'])].map((what) => [
        `${code} ${what}: open to unproven`,
        'Hot hours ago, and read only hot: nothing will be proven of its cooling any more.',
      ]),
    ),
  ),
  families: Object.fromEntries(
    ['Y-118', 'W-204', 'E-077'].map((code) => [
      `${code} until: 1805155200000 to 1804291200000`,
      'A carton that was poured from is open, whether somebody tapped that or not.',
    ]),
  ),
  'every-kind': {},
  'every-kind-2': {},
  kinds: {
    'k-3 rework: proven to unproven': 'Typed as 78 °C after 32 °C it may be 78 °F: a minute later it is read again.',
    'k-3 standing: proven to unproven': 'As its rework.',
  },
}

function changes(name: string): string[] {
  const { header, entries, then } = readGolden(name)
  expect(verifyChain(entries, sha256)).toMatchObject({ seq: entries.length })
  const is = judgedNow(header, entries)
  const found: string[] = []
  expect(Object.keys(is.batches).sort()).toEqual(Object.keys(then.batches).sort())
  expect(Object.keys(is.items).sort()).toEqual(Object.keys(then.items).sort())
  for (const [id, was] of Object.entries(then.batches)) {
    const { standing, until, checks } = is.batches[id]!
    const say = (what: string, before: unknown, after: unknown) =>
      before === after || found.push(`${was.code} ${what}: ${String(before)} to ${String(after)}`)
    say('standing', was.standing, standing)
    say('until', was.until, until)
    const all = new Map(checks.map(([key, ...rest]) => [key, rest]))
    for (const [key, before, deadline] of was.checks) {
      say(key, before, all.get(key)?.[0])
      say(`${key} deadline`, deadline, all.get(key)?.[1])
    }
    for (const key of all.keys()) if (!was.checks.some(([known]) => known === key)) found.push(`${was.code} has ${key}`)
  }
  for (const [id, was] of Object.entries(then.items)) {
    const now = is.items[id]!
    for (const what of ['asks', 'until', 'heat', 'advisory', 'allergens'] as const)
      if (String(was[what]) !== String(now[what]))
        found.push(`${was.code} ${what}: ${String(was[what])} to ${String(now[what])}`)
  }
  return found
}

/** `npm run golden -- NAME` writes one with the present code, of every kind of entry; each release adds one. */
const RECORD = process.env.LT_GOLDEN

function everyKind(): History {
  const history = new History([true, false])
  const plain = { pot: 1, a: 0.1, b: 0.1, wait: 1, who: 'cook' as const }
  for (const kind of ['shell eggs', 'late read', 'yolk', 'put away', ...Object.keys(acts)])
    history.act({ ...plain, kind, pot: kind === 'put away' ? 0 : 1 }, acts[kind]!)
  return history
}

if (RECORD !== undefined)
  it('is recorded', () => {
    const { story, now } = everyKind()
    const { kitchen } = story
    const header = { zone: 'UTC', now: Math.round(at(now)), limits: kitchen.limits, kitchen: kitchen.id }
    writeGolden(RECORD, { ...header, recordedWith: CORE_VERSION }, kitchen.entries())
  })

describe('a ledger of an earlier version', () => {
  it.each(Object.keys(INTENDED))('opens, and is judged as it was, but for what was meant: %s', (name) => {
    expect(changes(name).sort()).toEqual(Object.keys(INTENDED[name]!).sort())
  })
})
