import { defineConfig, type Options } from '@mikro-orm/postgresql'
import { Migrator } from '@mikro-orm/migrations'
import { Kitchen } from './people/kitchen.entity'
import { Person } from './people/person.entity'
import { USUAL_POOL, type Pool } from './config'
import { migrations } from './database/migrations/migrations'

/** A kitchen's posts come one transaction after the other: few connections serve many kitchens. */
export const WRITING_POOL: Pool = { most: 4, statementMs: 20_000, acquireMs: 10_000 }

/** Who waits longer for a lock that another holds is told that the logbook is busy, ms. */
const LOCK_MS = 4_000
/** A transaction in which nothing happens any more is ended, ms: whoever began it is gone. */
const IDLE_MS = 30_000

/** The ORM for one database role. Schema changes are migrations in plain SQL, never a schema sync. */
export function ormConfig(clientUrl: string, pool: Pool = USUAL_POOL): Options {
  return defineConfig({
    clientUrl,
    entities: [Kitchen, Person],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true, tableName: 'migration' },
    discovery: { warnWhenNoEntities: false },
    // A database that is not there is told, not made.
    ensureDatabase: false,
    pool: { min: 1, max: pool.most, acquireTimeoutMillis: pool.acquireMs },
    driverOptions: {
      connection: {
        application_name: 'logged-thermal',
        statement_timeout: pool.statementMs,
        lock_timeout: LOCK_MS,
        idle_in_transaction_session_timeout: IDLE_MS,
      },
    },
  })
}
