import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id, Instant, Symptom } from '@logged-thermal/core'
import { query } from '../database/query'
import type { Handled, UnfitPerson } from '../http/answers'

interface Row {
  id: Id
  person_id: Id
  symptoms: Symptom[]
  onset: string
  told_at: string
  told_by: Id
  free_since: string | null
  back_at: string | null
  back_by: Id | null
  papers: string
  covered: boolean
}

/** A batch or an item that somebody entered something about, a batch with its state as JSON. */
export interface Touched extends Omit<Handled, 'heatedAfter'> {
  state: string | null
}

/** Reports of at most so many people at once. */
const MOST = 100
/** Entries of one person that are looked through. */
const MOST_ENTRIES = 20_000

/** Rows that the lead alone sees, and what the logbook says that these people had in hand. */
@Injectable()
export class UnfitRepository {
  async all(em: EntityManager, kitchenId: Id): Promise<Omit<UnfitPerson, 'handled'>[]> {
    const rows = await query<Row>(em, {
      sql: `select id, person_id, symptoms, onset, told_at, told_by, free_since, back_at, back_by, papers, covered
        from unfit where kitchen_id = ? order by back_at is not null, onset desc, id limit ?`,
      params: [kitchenId, MOST],
    })
    return rows.map(({ id, person_id, symptoms, onset, told_at, told_by, free_since, back_at, back_by, ...seen }) => ({
      id,
      person: person_id,
      symptoms,
      onset: Number(onset),
      toldAt: Number(told_at),
      toldBy: told_by,
      freeSince: free_since === null ? null : Number(free_since),
      back: back_at === null || back_by === null ? null : { at: Number(back_at), by: back_by, ...seen },
    }))
  }

  /** Takes down what somebody said; what they said before, while they are not back yet, is replaced by it. */
  async tell(
    em: EntityManager,
    kitchenId: Id,
    told: Pick<UnfitPerson, 'id' | 'person' | 'symptoms' | 'onset' | 'freeSince' | 'toldAt' | 'toldBy'>,
  ): Promise<void> {
    const { id, person, symptoms, onset, freeSince, toldAt, toldBy } = told
    await query(em, {
      sql: `insert into unfit (kitchen_id, id, person_id, symptoms, onset, free_since, told_at, told_by)
        values (?, ?, ?, ?::text[], ?, ?, ?, ?)
        on conflict (kitchen_id, person_id) where back_at is null do update set
          symptoms = excluded.symptoms, onset = least(unfit.onset, excluded.onset), free_since = excluded.free_since,
          told_at = excluded.told_at, told_by = excluded.told_by`,
      params: [kitchenId, id, person, `{${symptoms.join()}}`, onset, freeSince, toldAt, toldBy],
    })
  }

  async comeBack(em: EntityManager, kitchenId: Id, id: Id, back: NonNullable<UnfitPerson['back']>): Promise<void> {
    await query(em, {
      sql: `update unfit set back_at = ?, back_by = ?, papers = ?, covered = ?
        where kitchen_id = ? and id = ? and back_at is null`,
      params: [back.at, back.by, back.papers, back.covered, kitchenId, id],
    })
  }

  async forget(em: EntityManager, kitchenId: Id, id: Id): Promise<void> {
    await query(em, { sql: 'delete from unfit where kitchen_id = ? and id = ?', params: [kitchenId, id] })
  }

  /** Whatever somebody entered in a time, by what it was about: the last first. */
  async touchedBy(em: EntityManager, kitchenId: Id, person: Id, from: Instant, to: Instant): Promise<Touched[]> {
    const rows = await query<Omit<Touched, 'first' | 'last'> & { first: string; last: string }>(em, {
      // An entry changes what it is about, what a reading was moved to, and what is listed beside it.
      sql: `with entered as (
          select seq, about_id, moved_to, ((canon::jsonb) #>> '{claim,at}')::bigint as at from entry
          where kitchen_id = ? and (canon::jsonb) #>> '{claim,by}' = ?
            and ((canon::jsonb) #>> '{claim,at}')::bigint between ? and ? limit ?
        ), subjects as (
          select about_id as id, at from entered
          union all select moved_to, at from entered where moved_to is not null
          union all select s.subject_id, e.at from entered e
            join entry_subject s on s.kitchen_id = ? and s.seq = e.seq
        ), touched as (select id, min(at) as first, max(at) as last from subjects group by id)
        select 'batch' as type, b.id, b.code, b.state #>> '{method,name}' as name, t.first, t.last, b.state::text as state,
          coalesce((select json_agg(json_build_object('id', i.id, 'code', i.card ->> 'code', 'name', i.card ->> 'name') order by i.id)
            from edge g join item i on i.kitchen_id = g.kitchen_id and i.id = g.child_id
            where g.kitchen_id = b.kitchen_id and g.parent_id = b.id and (i.card ->> 'gone') = 'false'), '[]') as left
        from touched t join batch b on b.kitchen_id = ? and b.id = t.id
        union all
        select 'item', i.id, i.card ->> 'code', i.card ->> 'name', t.first, t.last, null, '[]'
        from touched t join item i on i.kitchen_id = ? and i.id = t.id
        order by last desc, id`,
      params: [kitchenId, person, from, to, MOST_ENTRIES, kitchenId, kitchenId, kitchenId],
    })
    return rows.map(({ first, last, ...row }) => ({ ...row, first: Number(first), last: Number(last) }))
  }
}
