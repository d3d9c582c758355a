import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { startOfDay, addDays, type Day, type Id, type Instant, type SealedEntry } from '@logged-thermal/core'
import { LISTS, type ListLine, type ListName } from '@logged-thermal/wording'
import { query } from '../database/query'
import { LogRepository } from '../log/log.repository'
import { ListFacts } from '../records/lists/listFacts'
import type { RecordsAsked } from '../records/records.work'

/** More than a busy kitchen writes on a list in a year. */
const MOST_LINES = 500_000

/** Reads what a packet is made of beside its records. Every method runs in the transaction of its `em`. */
@Injectable()
export class PacketFacts {
  constructor(
    private readonly log: LogRepository,
    private readonly lists: ListFacts,
  ) {}

  /** Which batches began on which day of a period, in order. */
  async begun(em: EntityManager, kitchen: Id, from: Instant, to: Instant): Promise<{ id: Id; at: Instant }[]> {
    return query(em, {
      sql: `select id, started_at::float8 as at from log_row where kitchen_id = ? and started_at >= ? and started_at < ?
        order by started_at, id`,
      params: [kitchen, from, to],
    })
  }

  /** What happened between the batches of a day, what it was about, and who signed it. */
  async ofDay(
    em: EntityManager,
    kitchen: Id,
    day: Day,
    zone: string,
  ): Promise<{ events: SealedEntry[]; names: Record<Id, string>; signed: { by: Id; at: Instant } | null }> {
    const [from, to] = [startOfDay(day, zone), startOfDay(addDays(day, 1), zone) - 1]
    const { entries, names } = await this.log.events(em, kitchen, from, to)
    return { events: entries, names, signed: await this.signedDay(em, kitchen, day) }
  }

  /** Every list of a period. */
  async listed(
    em: EntityManager,
    kitchen: Id,
    period: { from: Instant; to: Instant },
    known: Pick<RecordsAsked, 'people' | 'instruments'>,
  ): Promise<Record<ListName, ListLine[]>> {
    const lists: [ListName, ListLine[]][] = []
    for (const list of LISTS)
      lists.push([list, await this.lists.lines(em, kitchen, { list, of: null, ...period }, known, MOST_LINES)])
    return Object.fromEntries(lists) as Record<ListName, ListLine[]>
  }

  /** The last signature over a day. */
  private async signedDay(em: EntityManager, kitchen: Id, day: Day): Promise<{ by: Id; at: Instant } | null> {
    const [signed] = await query<{ by: Id; at: string }>(em, {
      sql: `select canon::jsonb #>> '{claim,by}' as by, canon::jsonb #>> '{claim,at}' as at from entry
        where kitchen_id = ? and kind = 'day-signed' and body ->> 'day' = ? order by seq desc limit 1`,
      params: [kitchen, day],
    })
    return signed ? { by: signed.by, at: Number(signed.at) } : null
  }
}
