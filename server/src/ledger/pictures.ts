import type { SqlEntityManager } from '@mikro-orm/postgresql'
import type { AnyClaim, Hash, Id, Refusal } from '@logged-thermal/core'
import { query } from '../database/query'

/** The pictures that claims name and this kitchen keeps: they are sent before what names them. */
export async function keptPictures(
  em: SqlEntityManager,
  kitchenId: Id,
  claims: readonly AnyClaim[],
): Promise<ReadonlySet<Hash>> {
  const named = claims.flatMap((claim) => namedIn(claim)?.hash ?? [])
  if (named.length === 0) return new Set()
  const rows = await query<{ hash: Hash }>(em, {
    sql: 'select hash from photo where kitchen_id = ? and hash = any(?)',
    params: [kitchenId, named],
  })
  return new Set(rows.map(({ hash }) => hash))
}

/** A sheet, or what somebody saw, is not shown by a picture that nobody has. */
export function lacksPicture(claim: AnyClaim, kept: ReadonlySet<Hash>): Refusal | null {
  const named = namedIn(claim)
  return named && !kept.has(named.hash) ? { code: 'not there', field: named.field, what: 'picture' } : null
}

function namedIn(claim: AnyClaim): { hash: Hash; field: string } | null {
  const [hash, field] =
    claim.kind === 'reading-taken'
      ? [claim.body.paper, 'body.paper']
      : claim.kind === 'incident-told'
        ? [claim.body.photo, 'body.photo']
        : []
  return hash === undefined || field === undefined ? null : { hash, field }
}
