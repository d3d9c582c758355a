import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import {
  judging,
  mattersOf,
  withLineage,
  type AskingItem,
  type Id,
  type Instant,
  type ItemAsks,
  type ItemCard,
  type LoggedBatch,
  type Store,
} from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import type { Answers as Answer } from '../http/answers'
import { StatesRepository } from '../ledger/states.repository'
import { LogRepository } from '../log/log.repository'
import { LogRows } from '../log/logRows.service'
import { BarredRepository } from '../store/barred.repository'
import { HeldStore } from '../store/heldStore'

/** Batches that wait are looked at up to this many, the latest first. */
const MOST = 300

/** What somebody has to do something about; all else only comes to its day. */
const RAISED: readonly ItemAsks[] = ['discard', 'chill again', 'use now', 'lead decides', 'held']

/** What is unresolved in a kitchen, for whoever looks and for whoever is told. */
@Injectable()
export class Unresolved {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly rows: LogRows,
    private readonly log: LogRepository,
    private readonly held: HeldStore,
    private readonly bars: BarredRepository,
  ) {}

  /** Every cause with all that follows from it, the most urgent first. */
  async of(kitchenId: Id): Promise<Answer['Matters']> {
    await this.rows.current(kitchenId)
    const now = clock.now()
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const store = await this.held.judgedBy(em, kitchenId, now)
      const [kitchen] = await this.states.all(em, kitchenId, 'kitchen')
      const sets = await this.states.all(em, kitchenId, 'limits')
      const batches = await this.log.unresolved(em, kitchenId, now, MOST + 1)
      const matters = mattersOf(
        {
          kitchen: kitchenId,
          begun: sets[0]?.versions[0]?.from ?? now,
          batches: batches.slice(0, MOST).map((json) => JSON.parse(json) as LoggedBatch),
          items: await this.asking(em, kitchenId, store, now),
          units: await this.states.all(em, kitchenId, 'unit'),
          instruments: await this.states.all(em, kitchenId, 'instrument'),
          matters: await this.states.all(em, kitchenId, 'matter'),
          lists: kitchen ?? { lists: [], listsDone: [] },
          limits: store.limits,
          zone: store.zone,
        },
        now,
      )
      return { now, seq: await this.states.lastSeq(em, kitchenId), matters, more: batches.length > MOST }
    })
  }

  private async asking(em: EntityManager, kitchenId: Id, store: Store, now: Instant): Promise<AskingItem[]> {
    const judge = judging(store, now)
    const bars = await this.bars.items(em, kitchenId)
    return (await this.held.items(em, kitchenId)).flatMap(({ id, card, course }): AskingItem[] => {
      const { asks, why, until, daysLeft } = withLineage(judge(course), bars.get(id))
      return RAISED.includes(asks)
        ? [{ card: JSON.parse(card) as ItemCard, standing: { asks, why, until, daysLeft } }]
        : []
    })
  }
}
