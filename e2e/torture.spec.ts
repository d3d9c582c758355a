import { expect, test } from '@playwright/test'
import { PINS, RunningKitchen } from './kitchen'
import { torture } from './torture'

const SERVER = Number(process.env.LT_TORTURE_SERVER ?? 2)
const DATABASE = Number(process.env.LT_TORTURE_DATABASE ?? 1)

test('servers and databases are killed while ten tablets log over a bad network: all that was acknowledged is there, once', async ({
  request,
}) => {
  test.setTimeout((SERVER + DATABASE) * 60_000 + 300_000)
  const kitchen = await RunningKitchen.open()
  const { acknowledged, made, refused, repeated, cuts } = await torture(kitchen, {
    clients: 10,
    serverKills: SERVER,
    databaseKills: DATABASE,
  })
  console.log(`${made} entries of ten tablets, ${cuts} connections cut, ${repeated} sent once more`)
  expect(refused).toEqual([])
  expect(acknowledged).toHaveLength(made)
  expect(Math.min(cuts, repeated)).toBeGreaterThan(0)

  const [login] = (await (await request.get(`${kitchen.url}/api/login`)).json()) as {
    id: string
    people: { id: string; name: string }[]
  }[]
  const person = login!.people.find(({ name }) => name === 'Mina Osk')!.id
  const data = { kitchen: login!.id, person, pin: PINS['Mina Osk'], device: crypto.randomUUID() }
  await request.post(`${kitchen.url}/api/shift`, { data })
  const kept: string[] = []
  for (let after = 0, more = true; more;) {
    const answer = await request.get(`${kitchen.url}/api/live/since?after=${after}`)
    const told = (await answer.json()) as { entries: { claim: { id: string }; seal: { seq: number } }[]; more: boolean }
    kept.push(...told.entries.map(({ claim }) => claim.id))
    after = told.entries.at(-1)?.seal.seq ?? after
    more = told.more
  }
  expect(new Set(kept).size).toBe(kept.length)
  const there = new Set(kept)
  expect(acknowledged.filter((id) => !there.has(id))).toEqual([])
  // The chain, and every state that is folded beside it, made anew and compared.
  expect(kitchen.ledger('verify')).toContain('none altered, none missing')
  await kitchen.close()
})
