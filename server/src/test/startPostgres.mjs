import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openCluster } from '../../../scripts/postgres.mjs'

/** A PostgreSQL of the tests' own, never the user's; the same two roles as in a kitchen. */
export default async function startPostgres() {
  const cluster = await openCluster(mkdtempSync(join(tmpdir(), 'lt-test-')))
  globalThis.testCluster = cluster
  process.env.TEST_DATABASE_URL = cluster.appUrl
  process.env.TEST_OWNER_URL = cluster.ownerUrl
  const empty = cluster.another('empty')
  process.env.TEST_EMPTY_URL = empty.appUrl
  process.env.TEST_EMPTY_OWNER_URL = empty.ownerUrl
  const another = cluster.another('another')
  process.env.TEST_ANOTHER_URL = another.appUrl
  process.env.TEST_ANOTHER_OWNER_URL = another.ownerUrl
  process.once('exit', () => cluster.destroy())
}
