import PgBoss from 'pg-boss'
import type { MikroORM } from '@mikro-orm/postgresql'
import { JOBS_SCHEMA, QUEUES, type JobKind } from './queues'

/** Makes the tables of the job queue as the owner of the database, and lets the serving role use their rows. */
export async function prepareJobs(ownerUrl: string, appRole: string, orm: MikroORM): Promise<void> {
  const boss = new PgBoss({
    connectionString: ownerUrl,
    schema: JOBS_SCHEMA,
    schedule: false,
    supervise: false,
    max: 1,
  })
  boss.on('error', () => undefined)
  await boss.start()
  try {
    for (const name of Object.keys(QUEUES) as JobKind[]) {
      // One at a time: 'singleton' counts those that run, by their key.
      const options = { ...QUEUES[name], name, policy: 'singleton' as const, retryBackoff: true }
      await boss.createQueue(name, options)
      await boss.updateQueue(name, options)
    }
  } finally {
    await boss.stop({ graceful: false, wait: true })
  }
  const app = `"${appRole.replaceAll('"', '""')}"`
  for (const statement of [
    `grant usage on schema ${JOBS_SCHEMA} to ${app}`,
    `grant select, insert, update, delete on all tables in schema ${JOBS_SCHEMA} to ${app}`,
  ])
    await orm.em.fork().execute(statement)
}
