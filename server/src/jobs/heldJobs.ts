import { Client } from 'pg'
import type PgBoss from 'pg-boss'
import { JOBS_SCHEMA, type JobData, type JobKind } from './queues'

/** Apart from other locks of the database. */
const LOCKS = 0x4a4f4253
/** A job is taken a moment before its lock is. */
const JUST_TAKEN = '15 seconds'

/**
 * Which jobs this server is doing, as locks of the database: they go with the server, however it ends. So the next start, or
 * another server, sees at once which jobs nobody does any more, and need not wait until their time is up.
 */
export class HeldJobs {
  private readonly held = new Set<string>()
  private client: Promise<Client> | null = null

  constructor(
    private readonly databaseUrl: string,
    private readonly onError: (error: Error) => void,
  ) {}

  /** Holds the job while it is done. */
  async during(id: string, done: () => Promise<void>): Promise<void> {
    this.held.add(id)
    try {
      await (await this.connected()).query('select pg_advisory_lock($1, hashtext($2))', [LOCKS, id])
      await done()
    } finally {
      this.held.delete(id)
      const client = await this.client?.catch(() => null)
      await client?.query('select pg_advisory_unlock($1, hashtext($2))', [LOCKS, id]).catch(() => undefined)
    }
  }

  /**
   * Lets jobs of a kind that their server left be taken anew.
   * @returns what was left so often that it is given up
   */
  async freeLeft<K extends JobKind>(boss: PgBoss, kind: K): Promise<JobData[K][]> {
    const running = await boss.getDb().executeSql(
      `select id from ${JOBS_SCHEMA}.job
        where name = $1 and state = 'active' and started_on < now() - interval '${JUST_TAKEN}'`,
      [kind],
    )
    const given: JobData[K][] = []
    for (const { id } of running.rows as { id: string }[]) {
      if (this.held.has(id) || !(await this.isLeft(id))) continue
      const freed = await boss.getDb().executeSql(
        `update ${JOBS_SCHEMA}.job set start_after = now(),
            state = case when retry_count < retry_limit then 'retry' else 'failed' end::${JOBS_SCHEMA}.job_state
          where name = $1 and id = $2 and state = 'active' returning state::text, data`,
        [kind, id],
      )
      const [row] = freed.rows as { state: string; data: JobData[K] }[]
      if (row?.state === 'failed') given.push(row.data)
    }
    return given
  }

  async close(): Promise<void> {
    const client = await this.client?.catch(() => null)
    this.client = null
    await client?.end()
  }

  private async isLeft(id: string): Promise<boolean> {
    const { rows } = await (
      await this.connected()
    ).query<{ free: boolean }>(
      `select case when pg_try_advisory_lock($1, hashtext($2)) then pg_advisory_unlock($1, hashtext($2)) else false end as free`,
      [LOCKS, id],
    )
    return rows[0]!.free
  }

  /** One connection for all locks. Where the database went away, the next asks for a new one and takes them again. */
  private connected(): Promise<Client> {
    this.client ??= this.connect().catch((error: Error) => {
      this.client = null
      throw error
    })
    return this.client
  }

  private async connect(): Promise<Client> {
    const client = new Client({ connectionString: this.databaseUrl, application_name: 'logged-thermal held jobs' })
    client.on('error', (error) => {
      this.client = null
      this.onError(error)
    })
    await client.connect()
    for (const id of this.held) await client.query('select pg_advisory_lock($1, hashtext($2))', [LOCKS, id])
    return client
  }
}
