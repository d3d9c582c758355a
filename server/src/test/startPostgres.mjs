import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openCluster } from '../../../scripts/postgres.mjs'

/** A PostgreSQL of the tests' own, never the user's, with a database for each that runs; the same two roles as in a kitchen. */
export default async function startPostgres({ maxWorkers }) {
  // For every project with a database: one after the other.
  if (globalThis.testCluster) return
  const cluster = await openCluster(mkdtempSync(join(tmpdir(), 'lt-test-')), { forgetful: true })
  globalThis.testCluster = cluster
  const names = [...Array.from({ length: maxWorkers }, (_, i) => `worker_${i + 1}`), 'empty', 'another']
  process.env.TEST_DATABASES = JSON.stringify(Object.fromEntries(names.map((name) => [name, cluster.another(name)])))
  process.once('exit', () => cluster.destroy())
}
