import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { COUNTED_BACK, type Id, type Instant } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import type { Answers as Answer } from '../http/answers'
import { StatesRepository } from '../ledger/states.repository'
import { LogRepository } from '../log/log.repository'
import { LogRows } from '../log/logRows.service'
import { Kitchen } from '../people/kitchen.entity'
import { Workers, type Work } from '../workers/workers.service'
import type * as RaisedWork from './raised.work'

const WORK: Work<typeof RaisedWork> = { file: require.resolve('./raised.work') }

/** Batches that are looked at, at most: the latest. */
const MOST = 5000
/** Why an item went into the bin that is a matter; what was left over or fell is none. */
const MATTERS = ['past its day', 'too warm', 'time up', 'not proven', 'undated', 'recalled']

/** What came up in a kitchen day by day, settled since or not. */
@Injectable()
export class RaisedByDays {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly rows: LogRows,
    private readonly log: LogRepository,
    private readonly workers: Workers,
  ) {}

  /** Of a time, of which no more than the last two months are counted: so long the air of units is kept. */
  async of(kitchenId: Id, asked: { from: Instant; to: Instant }): Promise<Answer['Raised']> {
    await this.rows.current(kitchenId)
    const now = clock.now()
    const from = Math.max(asked.from, now - COUNTED_BACK)
    const to = Math.max(from, asked.to)
    const found = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const { limitsId, zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const versions = (await this.states.one(em, kitchenId, 'limits', limitsId))?.versions ?? []
      const [kitchen] = await this.states.all(em, kitchenId, 'kitchen')
      return {
        zone,
        versions,
        begun: versions[0]?.from ?? now,
        batches: await this.log.trended(em, kitchenId, { from, to }, MOST),
        units: await this.states.all(em, kitchenId, 'unit'),
        instruments: await this.states.all(em, kitchenId, 'instrument'),
        matters: await this.states.all(em, kitchenId, 'matter'),
        lists: { lists: kitchen?.lists ?? [], listsDone: kitchen?.listsDone ?? [] },
        binned: await this.binned(em, kitchenId, from, to),
      }
    })
    return { now, from, ...(await this.workers.run(WORK, 'raisedOf', { ...found, from, to, now })) }
  }

  private async binned(em: EntityManager, kitchenId: Id, from: Instant, to: Instant) {
    const at = `(state #>> '{discarded,at}')::bigint`
    const rows = await query<{ at: string; unit: Id | null }>(em, {
      sql: `select ${at} as at, card ->> 'unit' as unit from item where kitchen_id = ?
          and state -> 'discarded' <> 'null' and state #>> '{discarded,void}' = 'false'
          and ${at} between ? and ? and state #>> '{discarded,value,reason}' = any(?)`,
      params: [kitchenId, from, to, `{${MATTERS.map((reason) => `"${reason}"`).join(',')}}`],
    })
    return rows.map(({ at: when, unit }) => ({ at: Number(when), unit }))
  }
}
