import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { asFolded, type AnyClaim, type Id, type Instant, type InstrumentKind, type Kind } from '@logged-thermal/core'
import type { AirLine, CheckLine, LabelLine, ListLine, ListName, LotLine, MatterLine } from '@logged-thermal/wording'
import { query } from '../../database/query'
import { entryOf, type EntryRow } from '../../ledger/entries.service'
import { LogRepository } from '../../log/log.repository'

/** Which list, of one thing or of all, from and until when: null has no end. */
export interface ListAsked {
  list: ListName
  of: Id | null
  from: Instant | null
  to: Instant | null
}

/** Entries that a list shows. */
const SHOWN: Record<ListName, readonly Kind[]> = {
  checks: ['instrument-checked'],
  air: ['unit-read'],
  lots: ['lot-received', 'lot-decided', 'recalled', 'recall-ended'],
  labels: ['label-printed'],
  matters: ['matter-closed', 'incident-told'],
}

interface Names {
  people: Record<Id, string>
  instruments: Record<Id, string>
}

/** What a line needs beside its claim. */
interface Found extends Names {
  names: Record<Id, string>
  kinds: Record<Id, InstrumentKind>
  unfounded: ReadonlySet<Id>
  into: ReadonlyMap<Id, string[]>
}

/** Reads lists out of the logbook. Every method runs in the transaction of its `em`. */
@Injectable()
export class ListFacts {
  constructor(private readonly log: LogRepository) {}

  /** @param most one line more tells that there are more */
  async lines(
    em: EntityManager,
    kitchen: Id,
    { list, of, from, to }: ListAsked,
    known: Names,
    most: number,
  ): Promise<ListLine[]> {
    const at = `((canon::jsonb) #>> '{claim,at}')::bigint`
    const about = aboutOf(list, of)
    const rows = await query<EntryRow>(em, {
      sql: `select hash, canon from entry where kitchen_id = ? and kind in (${SHOWN[list].map((kind) => `'${kind}'`).join()})
        ${about.sql} and ${at} >= ? and ${at} < ? order by ${at}, seq limit ?`,
      params: [kitchen, ...about.params, from ?? 0, to ?? Number.MAX_SAFE_INTEGER, most],
    })
    const shown = rows.map((row) => asFolded(entryOf(row)))
    const found: Found = {
      ...known,
      names: await this.log.names(em, kitchen, shown),
      kinds: list === 'checks' ? await this.kinds(em, kitchen) : {},
      unfounded: list === 'checks' ? await this.unfounded(em, kitchen) : NO_IDS,
      into: list === 'lots' ? await intoOf(em, kitchen, [...new Set(shown.map(({ claim }) => claim.about.id))]) : NONE,
    }
    const struck = await this.takenBack(em, kitchen, [...new Set(shown.map(({ claim }) => claim.about.id))])
    return shown.flatMap(({ claim, seal: { seq, hash } }) => {
      const told = toldBy(claim, found)
      const by = known.people[claim.by] ?? ''
      return told ? [{ seq, hash, at: claim.at, by, takenBack: struck.has(claim.id), ...told }] : []
    })
  }

  /** Entries about these things that somebody took back: a mistaken tap. */
  private async takenBack(em: EntityManager, kitchen: Id, about: readonly Id[]): Promise<ReadonlySet<Id>> {
    const rows = await query<{ target: Id }>(em, {
      sql: `select body ->> 'target' as target from entry
        where kitchen_id = ? and kind in ('taken-back', 'air-taken-back') and about_id = any(?::uuid[])`,
      params: [kitchen, `{${about.join()}}`],
    })
    return new Set(rows.map(({ target }) => target))
  }

  /** Of each instrument what kind it is. */
  async kinds(em: EntityManager, kitchen: Id): Promise<Record<Id, InstrumentKind>> {
    const rows = await query<{ id: Id; kind: InstrumentKind }>(em, {
      sql: `select id, state ->> 'kind' as kind from instrument where kitchen_id = ?`,
      params: [kitchen],
    })
    return Object.fromEntries(rows.map(({ id, kind }) => [id, kind]))
  }

  /** Checks that count for nothing: what they were passed against was found wrong since. */
  private async unfounded(em: EntityManager, kitchen: Id): Promise<ReadonlySet<Id>> {
    const rows = await query<{ entry: Id }>(em, {
      sql: `select e ->> 'entry' as entry from instrument cross join jsonb_array_elements(state -> 'unfounded') e
        where kitchen_id = ?`,
      params: [kitchen],
    })
    return new Set(rows.map(({ entry }) => entry))
  }

  /** What something is called; null: there is no such thing in the kitchen. */
  async nameOf(em: EntityManager, kitchen: Id, of: Id, { instruments }: Names): Promise<string | null> {
    const names = await this.log.namesOf(em, kitchen, [of])
    return names[of] ?? instruments[of] ?? null
  }
}

const NONE: ReadonlyMap<Id, string[]> = new Map()
const NO_IDS: ReadonlySet<Id> = new Set()

/** Codes of the batches that lots went into. */
async function intoOf(em: EntityManager, kitchen: Id, lots: readonly Id[]): Promise<Map<Id, string[]>> {
  const ids = `{${lots.join()}}`
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

/** Only what is about one thing: of a matter that stands in it. */
function aboutOf(list: ListName, of: Id | null): { sql: string; params: Id[] } {
  if (of === null) return { sql: '', params: [] }
  if (list !== 'matters') return { sql: 'and about_id = ?', params: [of] }
  const named = `body #>> '{subject,id}' = ? or body -> 'items' @> to_jsonb(?::text) or body -> 'batches' @> to_jsonb(?::text)`
  return { sql: `and (about_id = ? or ${named})`, params: [of, of, of, of] }
}

/** What an entry tells on its list; null: it is on none. */
function toldBy(claim: AnyClaim, found: Found): CheckLine | AirLine | LotLine | LabelLine | MatterLine | null {
  const { id } = claim.about
  switch (claim.kind) {
    case 'instrument-checked': {
      const { passed, error } = claim.body.found
      const [instrument, kind] = [found.instruments[id] ?? '', found.kinds[id] ?? 'probe']
      return { list: 'checks', instrument, kind, passed, error, unfounded: found.unfounded.has(claim.id) }
    }
    case 'unit-read': {
      const { typed, instrument } = claim.body
      const by = instrument === null ? null : (found.instruments[instrument] ?? '')
      return { list: 'air', unit: found.names[id] ?? '', typed, instrument: by }
    }
    case 'lot-received': {
      const { supplier, useBy, verdict, received, why } = claim.body
      return { ...ofLot('received', id, found), supplier, useBy, verdict, typed: received?.typed ?? null, reason: why }
    }
    case 'lot-decided':
      return { ...ofLot('decided', id, found), verdict: claim.body.verdict, reason: claim.body.reason }
    case 'recalled':
      return { ...ofLot(claim.body.drill ? 'exercise' : 'recalled', id, found), reason: claim.body.reason }
    case 'recall-ended':
      return { ...ofLot('recall ended', id, found), reason: claim.body.reason }
    case 'label-printed':
      return { list: 'labels', of: found.names[id] ?? '', copies: claim.body.copies }
    case 'matter-closed': {
      const { subject, why, action, prevents } = claim.body
      const of = found.names[subject.id] ?? found.instruments[subject.id] ?? ''
      return { list: 'matters', incident: null, of, note: why, done: action, prevents }
    }
    case 'incident-told': {
      const { what, note } = claim.body
      return { list: 'matters', incident: what, of: '', note, done: null, prevents: null }
    }
    default:
      return null
  }
}

function ofLot(what: LotLine['what'], id: Id, { names, into }: Found): LotLine {
  const nothing = { supplier: null, useBy: null, verdict: null, typed: null, reason: null }
  return { list: 'lots', what, lot: names[id] ?? '', ...nothing, into: into.get(id) ?? [] }
}
