import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { touches, type Hash, type Id, type Role, type SealedEntry, type SignedText } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { historyOf } from '../ledger/outOfSight'
import { readerOf } from '../people/reader'
import type { RememberedHeads } from '../sealing/rememberedHeads'
import { headSaid } from '../sealing/signedHead'
import type { SigningKeys } from '../sealing/signingKey'
import type { Fault, Verified } from './fault'
import { guardFaults } from './guards'
import { Readmission } from './readmission'
import { StoredChain, type StoredEntry } from './storedChain'
import { storedRowFaults } from './storedRows'
import { StoredTree } from './storedTree'

const PIECE = 5_000

/** What a kitchen's records are held against beside themselves. */
export interface Witnesses {
  /** null: this installation signs nothing. */
  seals: { keys: SigningKeys; heads: RememberedHeads } | null
  /** The serving role; null: one role serves and owns. */
  role: string | null
}

/**
 * Goes through all of a kitchen's records, as of one moment: the chain by its stored bytes, signed heads, every entry's
 * admission, everything that is kept beside it, and what guards it. Memory holds the state of every subject.
 */
export function verify(scope: KitchenScope, kitchenId: Id, { seals, role }: Witnesses): Promise<Verified> {
  return scope.asOfOneMoment(kitchenId, async (em) => {
    const signed = await signedHeads(em, kitchenId, seals)
    const [kitchen] = await query<{ zone: string; unit: 'C' | 'F'; limits: Id }>(em, {
      sql: 'select zone, unit, limits_id as limits from kitchen where id = ?',
      params: [kitchenId],
    })
    const people = await query<{ id: Id; role: Role }>(em, {
      sql: 'select id, role from person where kitchen_id = ?',
      params: [kitchenId],
    })
    const roles = new Map(people.map((person) => [person.id, person.role]))
    const chain = new StoredChain()
    const tree = new StoredTree(await blocksOf(em, kitchenId))
    const again = new Readmission({ id: kitchenId, limits: kitchen!.limits }, readerOf(kitchen!, 24), roles)
    const subjects = await subjectsFound(em, kitchenId)
    const unfound: Fault[] = []
    for (;;) {
      const rows = await query<StoredEntry>(em, {
        sql: `select seq, hash, canon from entry where kitchen_id = ? and seq > ? order by seq limit ${PIECE}`,
        params: [kitchenId, chain.head.seq],
      })
      for (const row of rows) {
        const before = chain.head
        const entry = chain.next(row)
        tree.next(row.hash)
        signed.pass(Number(row.seq), row.hash, () => tree.root())
        if (!entry) continue
        again.next(entry, before, await historyBefore(em, kitchenId, entry, again, kitchen!))
        const others = touches(entry.claim, entry.seal).filter(({ id }) => id !== entry.claim.about.id)
        if (others.some(({ id }) => !subjects.has(`${id} ${row.seq}`)))
          unfound.push({ code: 'not found by subject', seq: Number(row.seq) })
      }
      if (rows.length < PIECE) break
    }
    const faults = [
      ...chain.faults,
      ...(await headFaults(em, kitchenId, chain)),
      ...signed.faults(),
      ...tree.faults,
      ...again.faults,
      ...unfound,
      ...(await storedRowFaults(em, kitchenId, again.projections)),
      ...roleFaults(again.given, people),
      ...(await guardFaults(em, role)),
    ]
    return { entries: chain.head.seq, hash: chain.head.hash, older: again.older, signed: signed.agreed(), faults }
  })
}

/** What an entry that was made out of sight was held against. */
function historyBefore(
  em: SqlEntityManager,
  kitchenId: Id,
  { claim, seal }: SealedEntry,
  { projections: { read } }: Readmission,
  { zone, limits }: { zone: string; limits: Id },
): Promise<SealedEntry[]> | SealedEntry[] {
  if (!seal.away) return []
  return historyOf(claim, { em, kitchenId, read, world: { zone, limits, now: seal.away.at }, before: seal.seq })
}

/** The list of people may name no role that the logbook never gave to that person. */
function roleFaults(given: ReadonlyMap<Id, ReadonlySet<Role>>, listed: readonly { id: Id; role: Role }[]): Fault[] {
  if (given.size === 0) return []
  return listed
    .filter(({ id, role }) => given.get(id)?.has(role) !== true)
    .map(({ id }): Fault => ({ code: 'other role', id }))
}

async function headFaults(em: SqlEntityManager, kitchenId: Id, { head }: StoredChain): Promise<Fault[]> {
  const [kept] = await query<{ seq: string; hash: string }>(em, {
    sql: 'select seq, hash from chain_head where kitchen_id = ?',
    params: [kitchenId],
  })
  return Number(kept?.seq) === head.seq && kept?.hash === head.hash ? [] : [{ code: 'other head', seq: head.seq }]
}

/** Which entries are found by which subject, beside the one that they are about. */
async function subjectsFound(em: SqlEntityManager, kitchenId: Id): Promise<Set<string>> {
  const rows = await query<{ found: string }>(em, {
    sql: `select subject_id || ' ' || seq as found from entry_subject where kitchen_id = ?`,
    params: [kitchenId],
  })
  return new Set(rows.map(({ found }) => found))
}

async function blocksOf(em: SqlEntityManager, kitchenId: Id): Promise<Map<number, Hash>> {
  const rows = await query<{ index: number; root: Hash }>(em, {
    sql: 'select index, root from entry_block where kitchen_id = ?',
    params: [kitchenId],
  })
  return new Map(rows.map(({ index, root }) => [index, root]))
}

/** Every head that was signed of a kitchen, to be met on the way along its chain. */
async function signedHeads(em: SqlEntityManager, kitchenId: Id, seals: Witnesses['seals']) {
  if (!seals)
    return {
      pass: (_seq: number, _hash: Hash, _root: () => Hash) => undefined,
      faults: (): Fault[] => [],
      agreed: () => 0,
    }
  const { keys, heads } = seals
  const stored = await query<SignedText>(em, {
    sql: 'select statement, signature from signed_head where kitchen_id = ? order by seq',
    params: [kitchenId],
  })
  const all = [
    ...heads.of(kitchenId).map((head) => ({ head, where: 'file' as const })),
    ...stored.map((head) => ({ head, where: 'database' as const })),
  ].map(({ head, where }) => ({ said: headSaid(keys, head), where }))
  const met = new Map<number, { hash: Hash; root: Hash } | null>(
    all.flatMap(({ said }) => (said ? [[said.seq, null]] : [])),
  )
  const agrees = ({ said }: (typeof all)[number]) => {
    const there = said?.kitchen === kitchenId ? met.get(said.seq) : null
    return said !== null && there?.hash === said.hash && (said.root === null || said.root === there.root)
  }
  return {
    pass: (seq: number, hash: Hash, root: () => Hash) => {
      if (met.has(seq)) met.set(seq, { hash, root: root() })
    },
    faults: (): Fault[] =>
      all.flatMap((each): Fault[] => {
        if (!each.said) return [{ code: 'not our signature', where: each.where }]
        return agrees(each) ? [] : [{ code: 'signed otherwise', seq: each.said.seq, where: each.where }]
      }),
    agreed: () => all.filter(agrees).length,
  }
}
