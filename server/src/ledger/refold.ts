import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { asFolded, touches, type Id, type Subject, type SubjectType } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { entriesOf, readAfter } from './entries.service'
import { foldCore } from './foldCore'
import { Projections } from './projections'
import { lockHead, saveEdges, saveStates, saveSubjects, TABLES } from './statements'

/** Subjects folded anew in one transaction: for so long nobody else appends. */
const PIECE = 200
/** Entries gone through at a time for what each changes. */
const ENTRIES = 10_000

/** Keeps a kitchen's states those of this code: what older code folded is folded anew; what newer code folded is left alone. */
@Injectable()
export class Refold {
  // The numbers never go down: a kitchen that was once found current stays it.
  private readonly current = new Set<Id>()
  private readonly subjectsKnown = new Set<Id>()

  constructor(private readonly scope: KitchenScope) {}

  /** Folds what is behind in pieces; all is true when this has come back. One look where there is nothing to do. */
  async whole(kitchenId: Id): Promise<void> {
    if (this.current.has(kitchenId)) return
    await this.subjects(kitchenId)
    while (await piece(this.scope, kitchenId));
    this.current.add(kitchenId)
  }

  /** Goes through the chain where older code said what each entry changes: then every entry of a subject is found. */
  async subjects(kitchenId: Id): Promise<void> {
    if (this.subjectsKnown.has(kitchenId)) return
    if (await areSubjectsBehind(this.scope, kitchenId)) await findSubjects(this.scope, kitchenId)
    this.subjectsKnown.add(kitchenId)
  }
}

function areSubjectsBehind(scope: KitchenScope, kitchenId: Id): Promise<boolean> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [head] = await query<{ core: number }>(em, {
      sql: 'select subjects_core as core from chain_head where kitchen_id = ?',
      params: [kitchenId],
    })
    return head !== undefined && head.core < (await foldCore(em))
  })
}

async function findSubjects(scope: KitchenScope, kitchenId: Id): Promise<void> {
  let seq = 0
  for (let read = ENTRIES; read === ENTRIES; seq += read) {
    read = await scope.inKitchen(kitchenId, async (em) => {
      const entries = await readAfter(em, kitchenId, seq, ENTRIES)
      const known = entries.map(asFolded)
      for (const statement of saveSubjects(kitchenId, known)) await query(em, statement)
      return entries.length
    })
  }
  await scope.inKitchen(kitchenId, async (em) =>
    query(em, {
      sql: 'update chain_head set subjects_core = greatest(subjects_core, ?) where kitchen_id = ?',
      params: [await foldCore(em), kitchenId],
    }),
  )
}

/** One piece of what is behind. Returns whether there may be more. */
function piece(scope: KitchenScope, kitchenId: Id): Promise<boolean> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [head] = await query<{ core: number; zone: string }>(em, lockHead(kitchenId))
    const core = await foldCore(em)
    if (!head || head.core >= core) return false
    const behind = await query<Subject>(em, {
      sql: `${Object.entries(TABLES)
        .map(
          ([type, table]) =>
            `(select '${type}' as type, id from ${table} where kitchen_id = ? and core < ? limit ${PIECE})`,
        )
        .join(' union all ')} limit ${PIECE}`,
      params: Object.keys(TABLES).flatMap(() => [kitchenId, core]),
    })
    if (behind.length === 0) {
      await query(em, { sql: 'update chain_head set core = ? where kitchen_id = ?', params: [core, kitchenId] })
      return false
    }
    const projections = new Projections(head.zone)
    for (const { type, id } of behind) await foldAnew(em, kitchenId, { type, id }, projections)
    const changed = projections.changed()
    for (const statement of [...saveStates(kitchenId, changed, core), ...saveEdges(kitchenId, changed)])
      await query(em, statement)
    return true
  })
}

/** Folds one subject from all its entries; only once those are known. */
export async function foldAnew(
  em: SqlEntityManager,
  kitchenId: Id,
  { type, id }: { type: SubjectType; id: Id },
  projections: Projections,
): Promise<void> {
  const own = new Projections('UTC')
  let last = 0
  for (const sealed of await entriesOf(em, kitchenId, id)) {
    const entry = asFolded(sealed)
    const subjects = touches(entry.claim).filter((each) => each.type === type && each.id === id)
    own.fold(subjects, entry)
    if (subjects.length > 0) last = entry.seal.seq
  }
  const state = own.read(type, id)
  if (state !== null) projections.renew(type, id, state, last)
}
