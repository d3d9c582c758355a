import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { limitsAt, type Id, type Instant, type KitchenState } from '@logged-thermal/core'
import { query } from '../database/query'
import { StatesRepository } from '../ledger/states.repository'
import type { ReaderQuery } from '../people/readerQuery'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { readerOf } from '../people/reader'
import type { BatchAsked, RecordsAsked } from './records.work'

/** As many run at a time at most. */
const MOST_RUNNING = 60

/** Reads what records are made of. Every method runs in the transaction of its `em`. */
@Injectable()
export class RecordFacts {
  constructor(private readonly states: StatesRepository) {}

  /** What all records of a kitchen share. @param reads how who reads it does; what is left out, as the kitchen does */
  async shared(
    em: EntityManager,
    kitchenId: Id,
    now: Instant,
    { scale, language }: ReaderQuery,
  ): Promise<Omit<RecordsAsked, 'proved' | 'maker'>> {
    const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
    const limits = await this.states.one(em, kitchenId, 'limits', kitchen.limitsId)
    const own: KitchenState | null = await this.states.one(em, kitchenId, 'kitchen', kitchenId)
    const usual = readerOf(kitchen, limitsAt(limits?.versions ?? [], now)?.practice.clock ?? 24)
    const instruments = await query<{ id: Id; code: string }>(em, {
      sql: `select id, state ->> 'code' as code from instrument where kitchen_id = ?`,
      params: [kitchenId],
    })
    return {
      kitchen: kitchen.name,
      reader: { ...usual, scale: scale ?? usual.scale, locale: language ?? usual.locale, today: null },
      now,
      people: Object.fromEntries((await em.find(Person, { kitchenId })).map(({ id, name }) => [id, name])),
      instruments: Object.fromEntries(instruments.map(({ id, code }) => [id, code])),
      signedDays: (own?.signedDays ?? []).map(({ day, at }) => ({ day, at })),
    }
  }

  /** What runs, and where the kitchen keeps its cold. */
  async running(em: EntityManager, kitchenId: Id): Promise<{ running: string[]; units: string[] }> {
    const batches = await query<{ state: string }>(em, {
      sql: `select state::text as state from batch where kitchen_id = ? and not closed and not put_away
        order by (state ->> 'startedAt')::bigint limit ${MOST_RUNNING}`,
      params: [kitchenId],
    })
    const units = await query<{ name: string }>(em, {
      sql: `select card ->> 'name' as name from unit where kitchen_id = ? order by 1`,
      params: [kitchenId],
    })
    return { running: batches.map(({ state }) => state), units: units.map(({ name }) => name) }
  }

  /** Batches with every decision that was signed over them, in the order they began. */
  async batches(
    em: EntityManager,
    kitchenId: Id,
    ids: readonly Id[],
  ): Promise<(BatchAsked & { id: Id; code: string })[]> {
    const list = `{${ids.join()}}`
    const rows = await query<{ id: Id; code: string; state: string }>(em, {
      sql: `select id, code, state::text as state from batch where kitchen_id = ? and id = any(?::uuid[])
        order by (state ->> 'startedAt')::bigint, id`,
      params: [kitchenId, list],
    })
    const decided = await query<BatchAsked['decisions'][number] & { batch: Id; at: string }>(em, {
      sql: `select about_id as batch, canon::jsonb #>> '{claim,by}' as by, canon::jsonb #>> '{claim,at}' as at,
          body ->> 'decision' as decision, body ->> 'reason' as reason, body ->> 'core' as core
        from entry where kitchen_id = ? and about_id = any(?::uuid[]) and kind = 'disposed' order by seq`,
      params: [kitchenId, list],
    })
    return rows.map((row) => ({
      ...row,
      decisions: decided
        .filter(({ batch }) => batch === row.id)
        .map(({ by, at, decision, reason, core }) => ({ by, at: Number(at), decision, reason, core })),
    }))
  }
}
