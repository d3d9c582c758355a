import { Injectable } from '@nestjs/common'
import { claimedRuns, isId, type AnyClaim, type Contact, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query, type Statement } from '../database/query'

/** A tablet is written down as heard of at most so often, ms. */
const HEARD_EVERY = 15_000
/** A tablet in use is heard of with every beat of the live stream: three that are missed are a gap, ms. */
const GAP = 45_000
/** What came within this of being made needs no evidence, ms. */
const AT_ONCE = 30_000
/** So many runs are remembered as written down. */
const MOST_RUNS = 5_000

/** A tablet that the lead has enrolled. */
interface Tablet {
  kitchenId: Id
  id: Id
}

/** That something is written down, or just being so. */
interface Written {
  written: Promise<void>
}

/** What the server hears of each tablet of a kitchen, and when it heard nothing: by its own clock alone. */
@Injectable()
export class Contacts {
  /** Of each tablet, when it was last written down as heard of; of each run, that it was. */
  private readonly heardOf = new Map<Id, Written & { at: number }>()
  private readonly runs = new Map<Id, Written>()

  constructor(private readonly scope: KitchenScope) {}

  /**
   * A tablet asked for something. Where it was silent before, that is written down first, also for what it asks meanwhile:
   * entries made in the silence are judged by it.
   */
  async heard({ kitchenId, id }: Tablet): Promise<void> {
    const at = clock.now()
    const before = this.heardOf.get(id)
    if (before !== undefined && at >= before.at && at - before.at < HEARD_EVERY) return before.written
    const written = this.write(kitchenId, {
      sql: `with before as (select (extract(epoch from seen_at) * 1000)::bigint as at from tablet
          where kitchen_id = ? and id = ? for update),
        seen as (update tablet set seen_at = ? where kitchen_id = ? and id = ?)
        insert into tablet_gap (kitchen_id, tablet_id, lost_at, back_at)
        select ?, ?, at, ? from before where at < ? on conflict do nothing`,
      params: [kitchenId, id, new Date(at), kitchenId, id, kitchenId, id, at, at - GAP],
    })
    await remembered(this.heardOf, id, { at, written })
  }

  /** A page of the program on a tablet says since how long it runs, ms: '<run> <ms>'. What says nothing of it is passed over. */
  async heardRun({ kitchenId, id }: Tablet, said: string | undefined): Promise<void> {
    const [run = '', since = ''] = said?.split(' ') ?? []
    const monotonic = Number(since)
    if (!isId(run) || since === '' || !(monotonic >= 0)) return
    const before = this.runs.get(run)
    if (before) return before.written
    if (this.runs.size >= MOST_RUNS) this.runs.clear()
    const written = this.write(kitchenId, {
      sql: 'insert into tablet_run (kitchen_id, run, tablet_id, began_at) values (?, ?, ?, ?) on conflict do nothing',
      params: [kitchenId, run, id, Math.round(clock.now() - monotonic)],
    })
    await remembered(this.runs, run, { written })
  }

  private async write(kitchenId: Id, statement: Statement): Promise<void> {
    await this.scope.inKitchen(kitchenId, (em) => query(em, statement))
  }

  /** What is known of the tablet that some claims come from; null where all of them came at once. */
  async of({ kitchenId, id }: Tablet, claims: readonly AnyClaim[]): Promise<Contact | null> {
    const first = Math.min(...claims.map(({ madeAt }) => madeAt))
    if (!(clock.now() - first > AT_ONCE)) return null
    return this.scope.inKitchen(kitchenId, async (em) => {
      const gaps = await query<{ lost_at: string; back_at: string }>(em, {
        sql: 'select lost_at, back_at from tablet_gap where kitchen_id = ? and tablet_id = ? and back_at >= ? order by lost_at',
        params: [kitchenId, id, first],
      })
      // What a run that nobody heard of says first of its beginning, all that it says later is held to.
      const claimed = [...claimedRuns(claims)].map(([run, { began }]) => ({ run, began }))
      await query(em, {
        sql: `insert into tablet_run (kitchen_id, run, tablet_id, began_at, claimed)
          select ?, run, ?, began, true from jsonb_to_recordset(?::jsonb) as said (run uuid, began bigint)
          on conflict do nothing`,
        params: [kitchenId, id, JSON.stringify(claimed)],
      })
      const runs = await query<{ run: Id; began_at: string; claimed: boolean }>(em, {
        sql: 'select run, began_at, claimed from tablet_run where kitchen_id = ? and tablet_id = ? and run = any(?)',
        params: [kitchenId, id, claimed.map(({ run }) => run)],
      })
      return {
        gaps: gaps.map(({ lost_at, back_at }) => ({ from: Number(lost_at), to: Number(back_at) })),
        runs: new Map(
          runs.map(({ run, began_at, ...each }) => [run, { began: Number(began_at), claimed: each.claimed }]),
        ),
      }
    })
  }
}

/** Remembers what is being written down, and forgets it where that failed: the next one writes it. */
async function remembered<T extends Written>(among: Map<Id, T>, id: Id, being: T): Promise<void> {
  among.set(id, being)
  try {
    await being.written
  } catch (error) {
    if (among.get(id) === being) among.delete(id)
    throw error
  }
}
