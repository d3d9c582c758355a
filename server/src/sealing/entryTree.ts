import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { HashTree, type Hash, type Id, type Subtree } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { sha256 } from './sha256'

/** Roots of so many entries, 2^LEVEL, are kept: of a million entries four thousand. */
const LEVEL = 8
export const BLOCK = 2 ** LEVEL
/** As many blocks are hashed at a time: some milliseconds. */
const AT_ONCE = 16

/** Keeps the roots of all blocks of a logbook that are full. What is kept already stays. */
export async function keepBlocks(scope: KitchenScope, kitchen: Id, size: number): Promise<void> {
  for (let more = true; more;) more = await scope.inKitchen(kitchen, (em) => keepSome(em, kitchen, size))
}

async function keepSome(em: SqlEntityManager, kitchen: Id, size: number): Promise<boolean> {
  const [kept] = await query<{ count: string }>(em, {
    sql: 'select count(*) as count from entry_block where kitchen_id = ?',
    params: [kitchen],
  })
  const from = Number(kept!.count)
  const to = Math.min(Math.floor(size / BLOCK), from + AT_ONCE)
  if (to <= from) return false
  const hashes = await hashesOf(em, kitchen, from * BLOCK, to * BLOCK)
  const roots = Array.from({ length: to - from }, (_, i) => rootOver(hashes.slice(i * BLOCK, (i + 1) * BLOCK)))
  await query(em, {
    sql: `insert into entry_block (kitchen_id, index, root)
      select ?, ? + ord - 1, root from unnest(?::text[]) with ordinality as of (root, ord) on conflict do nothing`,
    params: [kitchen, from, roots],
  })
  return true
}

/** The root of the tree over a logbook's first `size` entries. Every full block is kept. */
export async function rootAt(em: SqlEntityManager, kitchen: Id, size: number): Promise<Hash> {
  const tree = new HashTree(sha256)
  const blocks = Math.floor(size / BLOCK)
  for (const root of await rootsOf(em, kitchen, 0, blocks)) tree.add(LEVEL, root)
  for (const hash of await hashesOf(em, kitchen, blocks * BLOCK, size)) tree.addEntry(hash)
  return tree.root()
}

/** The root of a whole subtree that a logbook has. Every full block is kept. */
export async function subtreeRoot(em: SqlEntityManager, kitchen: Id, { level, index }: Subtree): Promise<Hash> {
  const [from, to] = [index * 2 ** level, (index + 1) * 2 ** level]
  if (level < LEVEL) return rootOver(await hashesOf(em, kitchen, from, to))
  const tree = new HashTree(sha256)
  // A tree alone: where its blocks stand in the logbook does not matter to it.
  for (const root of await rootsOf(em, kitchen, from / BLOCK, to / BLOCK)) tree.add(LEVEL, root)
  return tree.root()
}

function rootOver(entries: readonly Hash[]): Hash {
  const tree = new HashTree(sha256)
  for (const hash of entries) tree.addEntry(hash)
  return tree.root()
}

/** Of the entries numbered `from` to `to - 1`, the first being 0. RangeError where one is missing. */
async function hashesOf(em: SqlEntityManager, kitchen: Id, from: number, to: number): Promise<Hash[]> {
  const rows = await query<{ hash: Hash }>(em, {
    sql: 'select hash from entry where kitchen_id = ? and seq > ? and seq <= ? order by seq',
    params: [kitchen, from, to],
  })
  if (rows.length !== to - from) throw new RangeError(`to: ${to} is beyond the entries that there are`)
  return rows.map(({ hash }) => hash)
}

async function rootsOf(em: SqlEntityManager, kitchen: Id, from: number, to: number): Promise<Hash[]> {
  const rows = await query<{ root: Hash }>(em, {
    sql: 'select root from entry_block where kitchen_id = ? and index >= ? and index < ? order by index',
    params: [kitchen, from, to],
  })
  if (rows.length !== to - from) throw new RangeError(`to: ${to} is beyond the blocks that are kept`)
  return rows.map(({ root }) => root)
}
