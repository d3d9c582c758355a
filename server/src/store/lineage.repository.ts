import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id, ItemCard, Lineage, LineageNode, Subject, SubjectType } from '@logged-thermal/core'
import { query } from '../database/query'

/** More than this is read by nobody, and is fetched by day and method instead. */
const MOST = 20_000
const GENERATIONS = 12

interface Row {
  type: SubjectType
  id: Id
  generation: number
}

@Injectable()
export class LineageRepository {
  /** Everything that something was made of, and everything that became of it. */
  async of(em: EntityManager, kitchenId: Id, of: Subject): Promise<Lineage> {
    const up = await walk(em, kitchenId, of, 'up')
    const down = await walk(em, kitchenId, of, 'down')
    const rows = new Map<Id, Row>([[of.id, { ...of, generation: 0 }]])
    for (const row of [...up.rows.map((each) => ({ ...each, generation: -each.generation })), ...down.rows])
      if (!rows.has(row.id)) rows.set(row.id, row)
    const nodes = await named(em, kitchenId, [...rows.values()])
    const known = new Set(nodes.map(({ id }) => id))
    const edges = [...up.edges, ...down.edges].filter(({ parent, child }) => known.has(parent) && known.has(child))
    return { of, nodes, edges: distinct(edges), cut: up.cut || down.cut }
  }
}

async function walk(em: EntityManager, kitchenId: Id, of: Subject, way: 'up' | 'down') {
  const [from, to] = way === 'up' ? ['child', 'parent'] : ['parent', 'child']
  const found = await query<{ from_id: Id; to_id: Id; to_type: SubjectType; generation: number }>(em, {
    sql: `with recursive walk (from_id, to_id, to_type, generation) as (
        select ${from}_id, ${to}_id, ${to}_type, 1 from edge where kitchen_id = ? and ${from}_id = ?
        union
        select e.${from}_id, e.${to}_id, e.${to}_type, w.generation + 1
        from walk w join edge e on e.kitchen_id = ? and e.${from}_id = w.to_id where w.generation < ?
      ) select * from walk limit ?`,
    params: [kitchenId, of.id, kitchenId, GENERATIONS, MOST + 1],
  })
  const rows = new Map<Id, Row>()
  for (const { to_id: id, to_type: type, generation } of found) {
    const known = rows.get(id)
    if (!known || known.generation < generation) rows.set(id, { type, id, generation })
  }
  const edges = found.map(({ from_id, to_id }) =>
    way === 'up' ? { parent: to_id, child: from_id } : { parent: from_id, child: to_id },
  )
  return { rows: [...rows.values()], edges, cut: found.length > MOST }
}

/** What stands on each: read in one statement a kind. */
async function named(em: EntityManager, kitchenId: Id, rows: readonly Row[]): Promise<LineageNode[]> {
  const ids = (type: SubjectType) =>
    `{${rows
      .filter((row) => row.type === type)
      .map(({ id }) => id)
      .join(',')}}`
  const generation = new Map(rows.map((row) => [row.id, row.generation]))
  const items = await query<{ id: Id; card: ItemCard }>(em, {
    sql: 'select id, card from item where kitchen_id = ? and id = any(?::uuid[])',
    params: [kitchenId, ids('item')],
  })
  const others = await query<{ type: SubjectType; id: Id; code: string; name: string; at: string; running: boolean }>(
    em,
    {
      sql: `select 'batch' as type, id, code, state #>> '{method,name}' as name, state ->> 'startedAt' as at,
        not closed and not put_away as running
      from batch where kitchen_id = ? and id = any(?::uuid[])
      union all
      select 'lot', id, code, state ->> 'name', state ->> 'receivedAt', false
      from lot where kitchen_id = ? and id = any(?::uuid[])`,
      params: [kitchenId, ids('batch'), kitchenId, ids('lot')],
    },
  )
  return [
    ...items.map(({ id, card }): LineageNode => {
      const { code, name, made } = card
      return { type: 'item', id, code, name, generation: generation.get(id)!, at: made, card, running: false }
    }),
    ...others.map(({ at, ...row }): LineageNode => ({
      ...row,
      at: Number(at),
      generation: generation.get(row.id)!,
      card: null,
    })),
  ].sort((a, b) => a.generation - b.generation || a.at - b.at)
}

function distinct(edges: readonly { parent: Id; child: Id }[]): { parent: Id; child: Id }[] {
  return [...new Map(edges.map((edge) => [`${edge.parent} ${edge.child}`, edge])).values()]
}
