import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { asFolded, touches, type Id, type SealedEntry, type Subject } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { foldCore } from './foldCore'
import { entryOf, type EntryRow } from './entries.service'
import { Projections } from './projections'
import { saveEdges, saveStates } from './statements'

/**
 * Subjects as their entries make them, from the first on. Only once it is known which entries change a subject beside
 * what they are about: `entry_subject`.
 */
export async function foldSubjects(
  em: SqlEntityManager,
  kitchenId: Id,
  subjects: readonly Subject[],
  projections: Projections,
): Promise<void> {
  const own = new Projections('UTC')
  const last = new Map<string, number>()
  const wanted = new Set(subjects.map(keyOf))
  const ids = `{${subjects.map(({ id }) => id).join()}}`
  const rows = await query<EntryRow>(em, {
    sql: `select hash, canon from entry where kitchen_id = ? and seq in (
        select seq from entry where kitchen_id = ? and about_id = any(?::uuid[])
        union select seq from entry_subject where kitchen_id = ? and subject_id = any(?::uuid[])) order by seq`,
    params: [kitchenId, kitchenId, ids, kitchenId, ids],
  })
  for (const sealed of rows.map(entryOf)) {
    const entry = asFolded(sealed)
    const changed = touches(entry.claim, entry.seal).filter((subject) => wanted.has(keyOf(subject)))
    own.fold(changed, entry)
    for (const subject of changed) last.set(keyOf(subject), entry.seal.seq)
  }
  for (const { type, id } of subjects) {
    const state = own.read(type, id)
    if (state !== null) projections.renew(type, id, state, last.get(keyOf({ type, id }))!)
  }
}

/**
 * Folds subjects anew and writes their rows, while others go on appending: what was appended meanwhile has been folded by
 * whoever appended it, and stays. No lock is held while it reads and folds.
 */
export async function renewRows(scope: KitchenScope, kitchenId: Id, subjects: readonly Subject[]): Promise<void> {
  const { asOf, core, changed } = await scope.asOfOneMoment(kitchenId, async (em) => {
    const [head] = await query<{ seq: string; zone: string }>(em, {
      sql: 'select h.seq, k.zone from chain_head h join kitchen k on k.id = h.kitchen_id where h.kitchen_id = ?',
      params: [kitchenId],
    })
    const projections = new Projections(head!.zone)
    await foldSubjects(em, kitchenId, subjects, projections)
    return { asOf: Number(head!.seq), core: await foldCore(em), changed: projections.changed() }
  })
  await scope.inKitchen(kitchenId, async (em) => {
    const written = new Set<Id>()
    for (const statement of saveStates(kitchenId, changed, core, asOf))
      for (const { id } of await query<{ id: Id }>(em, statement)) written.add(id)
    for (const statement of saveEdges(
      kitchenId,
      changed.filter(({ id }) => written.has(id)),
    ))
      await query(em, statement)
  })
}

/** What some entries change, each subject once. */
export function subjectsOf(entries: readonly SealedEntry[]): Map<string, Subject> {
  return new Map(
    entries.flatMap(({ claim, seal }) => touches(claim, seal).map((subject) => [keyOf(subject), subject] as const)),
  )
}

export function keyOf({ type, id }: Subject): string {
  return `${type} ${id}`
}
