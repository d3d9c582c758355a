import { dirname, extname, join } from 'node:path'
import { Injectable } from '@nestjs/common'
import type { Id } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query, type Statement } from '../database/query'
import { digestOf } from '../ledger/foldCore'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Workers, type Work } from '../workers/workers.service'
import type * as LogWork from './log.work'

export const WORK: Work<typeof LogWork> = { file: require.resolve('./log.work') }

/** Batches whose rows are made at a time. */
const PIECE = 100

/**
 * The rows of the Log: what is found of a batch is kept beside it until an entry, or other code, changes what it was made
 * of. They are made when the Log is asked for, so that whoever enters never waits for it; nothing else is read from them.
 */
@Injectable()
export class LogRows {
  /** The last entry by which the rows of a kitchen were all there. */
  private readonly currentAt = new Map<Id, number>()

  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly workers: Workers,
  ) {}

  /** Makes what is missing, in pieces; all rows are of the last entry that was there as it was asked, or of a later one. */
  async current(kitchenId: Id): Promise<void> {
    const seq = await this.scope.inKitchen(kitchenId, (em) => this.states.lastSeq(em, kitchenId))
    if (this.currentAt.get(kitchenId) === seq) return
    // Made here, and changed again since it was asked: whoever logs all the while keeps nobody waiting for ever.
    const since: Id[] = []
    for (;;) {
      const { zone, behind } = await this.scope.inKitchen(kitchenId, async (em) => ({
        zone: (await em.findOneOrFail(Kitchen, { id: kitchenId })).zone,
        behind: await query<Behind>(em, rowsBehind(kitchenId, since)),
      }))
      if (behind.length === 0) break
      const made = await this.workers.run(WORK, 'rowsOf', { batches: behind.map(({ state }) => state), zone })
      const rows = behind.map(({ seq: of, core }, i) => ({ ...made[i]!, of, core }))
      await this.scope.inKitchen(kitchenId, (em) => query(em, saved(kitchenId, rows)))
      since.push(...behind.filter((each) => Number(each.seq) > seq).map(({ id }) => id))
    }
    this.currentAt.set(kitchenId, seq)
  }
}

interface Behind {
  id: Id
  seq: string
  core: number
  state: string
}

/** @param but those are left out */
function rowsBehind(kitchenId: Id, but: readonly Id[]): Statement {
  return {
    sql: `select b.id, b.seq, b.core, b.state::text as state from batch b
      left join log_row r on r.kitchen_id = b.kitchen_id and r.id = b.id
      where b.kitchen_id = ? and (r.id is null or r.seq <> b.seq or r.core <> b.core or r.made_by <> ?)
        and not b.id = any(?::uuid[])
      order by b.seq desc limit ?`,
    params: [kitchenId, madeBy(), `{${but.join()}}`, PIECE],
  }
}

function saved(kitchenId: Id, rows: readonly (LogWork.LogRow & { of: string; core: number })[]): Statement {
  const written = rows.map(({ logged, words, of, core }) => {
    const { id, startedAt, until, method, people, instruments, lots, units, stands } = logged
    const standing = stands.map(({ from, standing: is, settled }) => ({ from, standing: is, settled }))
    return { id, of, core, startedAt, until, method, people, instruments, lots, units, words, standing, logged }
  })
  const ids = (name: string) => `array(select jsonb_array_elements_text(row -> '${name}'))::uuid[]`
  return {
    // Of two that make the same row at once, the later state stays.
    sql: `insert into log_row (kitchen_id, id, seq, core, made_by, started_at, until, method, people, instruments, lots, units,
        words, stands, eggs_left, line)
      select ?::uuid, (row ->> 'id')::uuid, (row ->> 'of')::bigint, (row ->> 'core')::integer, ?,
        (row ->> 'startedAt')::bigint, (row ->> 'until')::bigint, (row ->> 'method')::uuid,
        ${ids('people')}, ${ids('instruments')}, ${ids('lots')}, ${ids('units')}, row ->> 'words', row -> 'standing', (row #>> '{logged,eggsLeft}')::boolean,
        (row -> 'logged')::json
      from jsonb_array_elements(?::jsonb) row
      on conflict (kitchen_id, id) do update set seq = excluded.seq, core = excluded.core, made_by = excluded.made_by,
        started_at = excluded.started_at, until = excluded.until, method = excluded.method, people = excluded.people,
        instruments = excluded.instruments, lots = excluded.lots, units = excluded.units, words = excluded.words,
        stands = excluded.stands, eggs_left = excluded.eggs_left, line = excluded.line
      where log_row.seq <= excluded.seq`,
    params: [kitchenId, madeBy(), JSON.stringify(written)],
  }
}

let digest: string | null = null

/** Which code makes the rows, as it runs here. */
function madeBy(): string {
  const core = require.resolve('@logged-thermal/core')
  digest ??= digestOf(join(dirname(core), `judgement/log/loggedBatch${extname(core)}`))
  return digest
}
