import type { SqlEntityManager } from '@mikro-orm/postgresql'
import type { Hash, Id, Instant } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'

/** Entries read at a time. */
const PIECE = 500

/** Numbers of all entries up to `size` that a batch's record rests on: each that touches it, and each signature over it. In order. */
export async function seqsOf(
  em: SqlEntityManager,
  kitchen: Id,
  batches: readonly Id[],
  size: number,
): Promise<number[]> {
  const ids = `{${batches.join()}}`
  const rows = await query<{ seq: string }>(em, {
    sql: `select seq from (
        select seq from entry where kitchen_id = ? and about_id = any(?::uuid[])
        union select seq from entry_subject where kitchen_id = ? and subject_id = any(?::uuid[])
        union select seq from entry where kitchen_id = ? and kind = 'day-signed' and exists (
          select from jsonb_array_elements(coalesce(canon::jsonb #> '{seal,resolved,body,batches}', body -> 'batches')) stood
          where (stood ->> 'id')::uuid = any(?::uuid[]))
      ) found where seq <= ? order by seq`,
    params: [kitchen, ids, kitchen, ids, kitchen, ids, size],
  })
  return rows.map(({ seq }) => Number(seq))
}

/** How many entries were recorded before an instant. No entry is recorded before the one that it follows. */
export async function recordedBefore(em: SqlEntityManager, kitchen: Id, at: Instant, size: number): Promise<number> {
  let [least, most] = [0, size]
  while (least < most) {
    const middle = Math.floor((least + most) / 2) + 1
    const [row] = await query<{ at: string }>(em, {
      sql: `select canon::jsonb #>> '{seal,recordedAt}' as at from entry where kitchen_id = ? and seq = ?`,
      params: [kitchen, middle],
    })
    if (row && Number(row.at) < at) least = middle
    else most = middle - 1
  }
  return least
}

/** The entries of these numbers, in order, read piece by piece. */
export async function* entriesAt(
  scope: KitchenScope,
  kitchen: Id,
  seqs: readonly number[],
): AsyncGenerator<{ seq: number; canon: string; hash: Hash }> {
  for (let at = 0; at < seqs.length; at += PIECE) {
    const piece = seqs.slice(at, at + PIECE)
    const rows = await scope.inKitchen(kitchen, (em) =>
      query<{ seq: string; canon: string; hash: Hash }>(em, {
        sql: 'select seq, canon, hash from entry where kitchen_id = ? and seq = any(?::bigint[]) order by seq',
        params: [kitchen, `{${piece.join()}}`],
      }),
    )
    for (const { seq, canon, hash } of rows) yield { seq: Number(seq), canon, hash }
  }
}
