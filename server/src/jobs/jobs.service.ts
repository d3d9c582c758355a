import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common'
import PgBoss from 'pg-boss'
import { v5 as uuidOf } from 'uuid'
import type { Id } from '@logged-thermal/core'
import { HeldJobs } from './heldJobs'
import { JOBS_SCHEMA, type JobData, type JobKind } from './queues'

/** A job that is not done yet, or was given up, as its administrator sees it. */
export interface JobSeen<K extends JobKind = JobKind> {
  data: JobData[K]
  state: 'created' | 'retry' | 'active' | 'failed'
  tries: number
  /** When it is tried next; of what was given up, when that was. */
  at: Date
  /** What went wrong last; null: nothing did. */
  said: string | null
}

/** Names of jobs are made ids in here, so that one of a name is there once. */
const NAMES = '7d1f1a62-6f0e-4b57-9f0e-5a5d6c6c2a11'

/** So often it is looked for jobs that a server left, ms. */
const LEFT_EVERY = 30_000

/** Jobs seen at most. */
const MOST = 50

/** Work that may wait, fail and be tried again, kept in PostgreSQL: what was sent is done, whatever stops meanwhile. */
@Injectable()
export class Jobs implements OnModuleDestroy {
  private readonly log = new Logger('jobs')
  private boss: PgBoss | null = null
  private readonly held: HeldJobs
  private readonly timers: NodeJS.Timeout[] = []

  constructor(private readonly databaseUrl: string) {
    this.held = new HeldJobs(databaseUrl, (error) => this.log.warn(error.message))
  }

  /**
   * Takes jobs of a kind from now on, one at a time of a kitchen. A handler that throws is tried again; so is what a server
   * that stopped left half done.
   * @param onGivenUp told of what stopped its server as often as it may be tried
   */
  async work<K extends JobKind>(
    kind: K,
    handler: (data: JobData[K]) => Promise<void>,
    onGivenUp: (data: JobData[K]) => Promise<void> = async () => {},
  ): Promise<void> {
    const boss = await this.started()
    const takeUp = async () => {
      for (const data of await this.held.freeLeft(boss, kind)) await onGivenUp(data)
    }
    await takeUp()
    await boss.work<JobData[K]>(kind, { batchSize: 1, pollingIntervalSeconds: 2 }, async (jobs) => {
      for (const { id, data } of jobs) await this.held.during(id, () => handler(data))
    })
    const timer = setInterval(() => void takeUp().catch((error) => this.log.warn(String(error))), LEFT_EVERY)
    this.timers.push(timer)
  }

  /**
   * Sends a job by its name. One of that name that waits, runs or was given up stays as it is; one that is done is done again:
   * whoever asks knows that it is to be.
   */
  async send<K extends JobKind>(kind: K, data: JobData[K]): Promise<void> {
    const id = uuidOf(`${kind} ${data.kitchen} ${data.name}`, NAMES)
    const boss = await this.started()
    await boss
      .getDb()
      .executeSql(`delete from ${JOBS_SCHEMA}.job where name = $1 and id = $2 and state = 'completed'`, [kind, id])
    await boss.send(kind, data, { id, singletonKey: data.kitchen })
  }

  /** What of a kitchen waits, runs or was given up, the next first. */
  async seen<K extends JobKind>(kind: K, kitchen: Id): Promise<JobSeen<K>[]> {
    const boss = await this.started()
    const answer = await boss.getDb().executeSql(
      `select data, state::text, retry_count as tries, output ->> 'message' as said,
          case when state = 'failed' then coalesce(completed_on, created_on) else start_after end as at
        from ${JOBS_SCHEMA}.job where name = $1 and data ->> 'kitchen' = $2 and state in ('created', 'retry', 'active', 'failed')
        order by at desc limit ${MOST}`,
      [kind, kitchen],
    )
    const rows: unknown[] = answer.rows
    return rows as JobSeen<K>[]
  }

  async onModuleDestroy(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer)
    await this.boss?.stop({ graceful: true, timeout: 3000, wait: true })
    await this.held.close()
  }

  private async started(): Promise<PgBoss> {
    if (this.boss) return this.boss
    const boss = new PgBoss({
      connectionString: this.databaseUrl,
      application_name: 'logged-thermal jobs',
      schema: JOBS_SCHEMA,
      migrate: false,
      schedule: false,
      max: 2,
    })
    boss.on('error', (error) => this.log.warn(error.message))
    this.boss = boss
    await boss.start()
    return boss
  }
}
