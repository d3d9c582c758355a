import { Injectable } from '@nestjs/common'
import { asFolded, type Id, type Subject } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { readAfter } from './entries.service'
import { foldCore } from './foldCore'
import { renewRows } from './foldSubjects'
import { saveSubjects, TABLES } from './statements'

/** Subjects folded anew at a time. */
export const PIECE = 100
/** Entries gone through at a time for what each changes. */
export const ENTRIES = 5_000

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
    while (await isBehind(this.scope, kitchenId, 'core')) {
      const behind = await rowsBehind(this.scope, kitchenId)
      if (behind.length > 0) await renewRows(this.scope, kitchenId, behind)
      else if (!(await sayCurrent(this.scope, kitchenId))) return
    }
    this.current.add(kitchenId)
  }

  /** Goes through the chain where older code said what each entry changes: then every entry of a subject is found. */
  async subjects(kitchenId: Id): Promise<void> {
    if (this.subjectsKnown.has(kitchenId)) return
    if (await isBehind(this.scope, kitchenId, 'subjects_core')) await findSubjects(this.scope, kitchenId)
    this.subjectsKnown.add(kitchenId)
  }
}

/** Whether a number of the kitchen says that older code was there last. */
function isBehind(scope: KitchenScope, kitchenId: Id, number: 'core' | 'subjects_core'): Promise<boolean> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [head] = await query<{ core: number }>(em, {
      sql: `select ${number} as core from chain_head where kitchen_id = ?`,
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

const BEHIND = Object.entries(TABLES)
  .map(
    ([type, table]) => `(select '${type}' as type, id from ${table} where kitchen_id = ? and core < ? limit ${PIECE})`,
  )
  .join(' union all ')

/** Some of what older code folded; none: all is folded by this code or newer. */
function rowsBehind(scope: KitchenScope, kitchenId: Id): Promise<Subject[]> {
  return scope.inKitchen(kitchenId, async (em) => {
    const core = await foldCore(em)
    const params = Object.keys(TABLES).flatMap(() => [kitchenId, core])
    return query<Subject>(em, { sql: `${BEHIND} limit ${PIECE}`, params })
  })
}

/**
 * Under the lock, so that no older server wrote a row since. Whoever reads waits for no lock: false where another has it,
 * and it is said another time.
 */
function sayCurrent(scope: KitchenScope, kitchenId: Id): Promise<boolean> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [head] = await query(em, {
      sql: 'select from chain_head where kitchen_id = ? for update skip locked',
      params: [kitchenId],
    })
    if (!head) return false
    const core = await foldCore(em)
    const params = Object.keys(TABLES).flatMap(() => [kitchenId, core])
    const behind = await query(em, { sql: `${BEHIND} limit 1`, params })
    if (behind.length === 0)
      await query(em, { sql: 'update chain_head set core = ? where kitchen_id = ?', params: [core, kitchenId] })
    return true
  })
}
