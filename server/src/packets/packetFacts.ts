import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import {
  asFolded,
  startOfDay,
  addDays,
  type Day,
  type Id,
  type Instant,
  type InstrumentKind,
  type SealedEntry,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { entryOf, type EntryRow } from '../ledger/entries.service'
import { LogRepository } from '../log/log.repository'
import type { EquipmentAsked } from './pdf/equipment'
import type { ListsAsked } from './pdf/lists'

/** Reads what a packet is made of beside its records. Every method runs in the transaction of its `em`. */
const LISTED = [
  'lot-received',
  'lot-decided',
  'recalled',
  'recall-ended',
  'label-printed',
  'matter-closed',
  'incident-told',
]

@Injectable()
export class PacketFacts {
  constructor(private readonly log: LogRepository) {}

  /** Which batches began on which day of a period, in order. */
  async begun(em: EntityManager, kitchen: Id, from: Instant, to: Instant): Promise<{ id: Id; at: Instant }[]> {
    return query(em, {
      sql: `select id, started_at::float8 as at from log_row where kitchen_id = ? and started_at >= ? and started_at < ?
        order by started_at, id`,
      params: [kitchen, from, to],
    })
  }

  /** What happened between the batches of a day, and what it was about. */
  async between(
    em: EntityManager,
    kitchen: Id,
    day: Day,
    zone: string,
  ): Promise<{ events: SealedEntry[]; names: Record<Id, string> }> {
    const { entries, names } = await this.log.events(
      em,
      kitchen,
      startOfDay(day, zone),
      startOfDay(addDays(day, 1), zone) - 1,
    )
    return { events: entries, names }
  }

  /** The last signature over a day. */
  async signedDay(em: EntityManager, kitchen: Id, day: Day): Promise<{ by: Id; at: Instant } | null> {
    const [signed] = await query<{ by: Id; at: string }>(em, {
      sql: `select canon::jsonb #>> '{claim,by}' as by, canon::jsonb #>> '{claim,at}' as at from entry
        where kitchen_id = ? and kind = 'day-signed' and body ->> 'day' = ? order by seq desc limit 1`,
      params: [kitchen, day],
    })
    return signed ? { by: signed.by, at: Number(signed.at) } : null
  }

  /** Of each instrument what kind it is. */
  async kinds(em: EntityManager, kitchen: Id): Promise<Record<Id, InstrumentKind>> {
    const rows = await query<{ id: Id; kind: InstrumentKind }>(em, {
      sql: `select id, state ->> 'kind' as kind from instrument where kitchen_id = ?`,
      params: [kitchen],
    })
    return Object.fromEntries(rows.map(({ id, kind }) => [id, kind]))
  }

  /** Lots that came, were decided or called back, labels, and what happened, of a period. */
  async lists(
    em: EntityManager,
    kitchen: Id,
    from: Instant,
    to: Instant,
  ): Promise<Pick<ListsAsked, 'lots' | 'labels' | 'matters'>> {
    const at = `((canon::jsonb) #>> '{claim,at}')::bigint`
    const rows = await query<EntryRow>(em, {
      sql: `select hash, canon from entry where kitchen_id = ? and kind in (${LISTED.map((kind) => `'${kind}'`).join()})
        and ${at} >= ? and ${at} < ? order by ${at}, seq`,
      params: [kitchen, from, to],
    })
    const entries = rows.map((row) => asFolded(entryOf(row)))
    const names = await this.log.names(em, kitchen, entries)
    const into = await this.intoOf(
      em,
      kitchen,
      entries.map(({ claim }) => claim.about.id),
    )
    const found: Pick<ListsAsked, 'lots' | 'labels' | 'matters'> = { lots: [], labels: [], matters: [] }
    for (const { claim } of entries) {
      const of = claim.kind === 'matter-closed' ? claim.body.subject.id : claim.about.id
      const what = names[of] ?? ''
      if (claim.kind === 'label-printed') found.labels.push({ claim, what })
      else if (claim.kind === 'matter-closed' || claim.kind === 'incident-told') found.matters.push({ claim, what })
      else found.lots.push({ claim, into: into.get(claim.about.id) ?? [] })
    }
    return found
  }

  /** Codes of the batches that lots went into. */
  private async intoOf(em: EntityManager, kitchen: Id, lots: readonly Id[]): Promise<Map<Id, string[]>> {
    const ids = `{${[...new Set(lots)].join()}}`
    const rows = await query<{ lot: Id; code: string }>(em, {
      sql: `select lot, b.code from log_row r cross join unnest(r.lots) lot
        join batch b on b.kitchen_id = r.kitchen_id and b.id = r.id
        where r.kitchen_id = ? and r.lots && ?::uuid[] and lot = any(?::uuid[]) order by r.started_at`,
      params: [kitchen, ids, ids],
    })
    const found = new Map<Id, string[]>()
    for (const { lot, code } of rows) found.set(lot, [...(found.get(lot) ?? []), code])
    return found
  }

  /** Checks of instruments and readings of units of a period. */
  async equipment(
    em: EntityManager,
    kitchen: Id,
    from: Instant,
    to: Instant,
    { people, instruments }: { people: Record<Id, string>; instruments: Record<Id, string> },
  ): Promise<Pick<EquipmentAsked, 'checks' | 'air'>> {
    const at = `((canon::jsonb) #>> '{claim,at}')::bigint`
    const rows = await query<EntryRow>(em, {
      sql: `select hash, canon from entry where kitchen_id = ? and kind in ('instrument-checked', 'unit-read')
        and ${at} >= ? and ${at} < ? order by ${at}, seq`,
      params: [kitchen, from, to],
    })
    const kinds = await this.kinds(em, kitchen)
    const units = await query<{ id: Id; name: string }>(em, {
      sql: `select id, card ->> 'name' as name from unit where kitchen_id = ?`,
      params: [kitchen],
    })
    const unitName = new Map(units.map(({ id, name }) => [id, name]))
    const found: Pick<EquipmentAsked, 'checks' | 'air'> = { checks: [], air: [] }
    for (const { claim } of rows.map((row) => asFolded(entryOf(row)))) {
      const { about, at: when } = claim
      const by = people[claim.by] ?? ''
      if (claim.kind === 'instrument-checked') {
        const { passed, error } = claim.body.found
        found.checks.push({
          code: instruments[about.id] ?? '',
          kind: kinds[about.id] ?? 'probe',
          at: when,
          by,
          passed,
          error,
        })
      } else if (claim.kind === 'unit-read')
        found.air.push({ unit: unitName.get(about.id) ?? '', at: when, by, typed: claim.body.typed })
    }
    return found
  }
}
