import { v7 as uuid } from 'uuid'
import { Client } from 'pg'
import type { Id } from '@logged-thermal/core'
import { APP_URL, asOwner, migrated, OWNER_URL } from '../test/kitchen'
import { HeldJobs } from './heldJobs'
import { Jobs } from './jobs.service'
import { prepareJobs } from './prepareJobs'

let owner: Client
const opened: Jobs[] = []

beforeAll(async () => {
  await migrated()
  await asOwner((orm) => prepareJobs(OWNER_URL(), 'lt_app', orm))
  owner = new Client({ connectionString: OWNER_URL() })
  await owner.connect()
}, 30_000)
afterAll(() => owner.end())
afterEach(async () => {
  for (const jobs of opened.splice(0)) await jobs.onModuleDestroy()
  await owner.query(`delete from pgboss.job where name = 'packet'`)
})

/** A job that a server took a minute ago. */
async function taken(kitchen: Id, tries = 0): Promise<Id> {
  const id = uuid()
  await owner.query(
    `insert into pgboss.job (id, name, data, state, started_on, singleton_key, policy, retry_count, retry_limit, expire_in)
     values ($1, 'packet', $2, 'active', now() - interval '1 minute', $3, 'singleton', $4, 3, interval '1 hour')`,
    [id, { kitchen, name: id }, kitchen, tries],
  )
  return id
}

/** A server that does packets: what it did, and what it was told is given up. */
async function serving() {
  const jobs = new Jobs(APP_URL())
  opened.push(jobs)
  const [did, gaveUp]: [Id[], Id[]] = [[], []]
  const note = (list: Id[]) => (data: { name: Id }) => Promise.resolve(void list.push(data.name))
  await jobs.work('packet', note(did), note(gaveUp))
  return { did, gaveUp }
}

async function until(is: () => boolean): Promise<void> {
  for (let i = 0; i < 100 && !is(); i++) await new Promise((done) => setTimeout(done, 100))
}

const stateOf = async (id: Id) =>
  (await owner.query<{ state: string }>('select state::text from pgboss.job where id = $1', [id])).rows[0]?.state

it('does at its start what a server that stopped left half done, and not what another server is doing', async () => {
  const [left, doing] = [await taken(uuid()), await taken(uuid())]
  const other = new HeldJobs(APP_URL(), () => undefined)
  let end: (() => void) | null = null
  const done = other.during(doing, () => new Promise<void>((resolve) => (end = resolve)))
  await until(() => end !== null)
  const { did, gaveUp } = await serving()
  await until(() => did.length > 0)
  expect([did, gaveUp]).toEqual([[left], []])
  expect(await stateOf(doing)).toBe('active')
  // The other server ends in the middle of it.
  await other.close()
  const next = await serving()
  await until(() => next.did.length + did.length > 1)
  expect([...did, ...next.did]).toEqual([left, doing])
  end!()
  await done
}, 30_000)

it('gives up what stopped its server as often as it may be tried', async () => {
  const id = await taken(uuid(), 3)
  const { did, gaveUp } = await serving()
  expect([did, gaveUp]).toEqual([[], [id]])
  expect(await stateOf(id)).toBe('failed')
})
