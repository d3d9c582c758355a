import { defineConfig, type Options } from '@mikro-orm/postgresql'
import { Migrator } from '@mikro-orm/migrations'
import { Kitchen } from './people/kitchen.entity'
import { Person } from './people/person.entity'
import { USUAL_POOL, type Pool } from './config'
import { migrations } from './database/migrations/migrations'

/** The ORM for one database role. Schema changes are migrations in plain SQL, never a schema sync. */
export function ormConfig(clientUrl: string, pool: Pool = USUAL_POOL): Options {
  return defineConfig({
    clientUrl,
    entities: [Kitchen, Person],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true, tableName: 'migration' },
    discovery: { warnWhenNoEntities: false },
    pool: { min: 1, max: pool.most, acquireTimeoutMillis: pool.acquireMs },
    driverOptions: {
      connection: { application_name: 'logged-thermal', statement_timeout: pool.statementMs },
    },
  })
}
