import { v7 as uuid } from 'uuid'
import request from 'supertest'
import type { BatchState } from '@logged-thermal/core'
import type { LineAnswer } from '../http/answers'
import { KitchenScope } from '../database/kitchenScope'
import { asOwner, openKitchen, type TestKitchen } from '../test/kitchen'
import { clock } from '../clock/clock'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const line = async () => (await kitchen.get('/api/line')).body as LineAnswer

describe('the Line as it is sent', () => {
  it('is as new as the last entry, whoever asks while others enter', async () => {
    const batch = uuid()
    await kitchen.post([kitchen.start('k-1', batch)])
    for (let i = 0; i < 10; i++) {
      const posted = await kitchen.post([kitchen.reading(batch, 40 + i)])
      const { seq } = (posted.body as { results: { seal: { seq: number } }[] }).results[0]!.seal
      const [first, ...others] = await Promise.all([line(), line(), line(), kitchen.post([kitchen.reading(batch, 90)])])
      expect(first.seq).toBeGreaterThanOrEqual(seq)
      expect(others).toHaveLength(3)
    }
    const { batches } = await line()
    expect(batches.find(({ id }) => id === batch)!.facts['reading-taken']).toHaveLength(20)
  })

  it('follows what no entry says: a name, the scale of the kitchen', async () => {
    const before = await line()
    const sql = `update person set job = 'ice' where kitchen_id = ? and id = ?`
    await asOwner((owner) =>
      new KitchenScope(owner.em.fork()).inKitchen(kitchen.kitchenId, (em) =>
        em.execute(sql, [kitchen.kitchenId, before.people[0]!.id]),
      ),
    )
    const after = await line()
    expect(after.seq).toBe(before.seq)
    expect(after.people[0]).toEqual({ ...before.people[0], job: 'ice' })
  })

  it('leaves out the long beginning of a trace, and hands it out by its hash for as long as somebody may ask', async () => {
    const batch = uuid()
    await kitchen.post([kitchen.start('k-2', batch)])
    const first = clock.now()
    for (let i = 0; i < 3; i++)
      await kitchen.post(
        Array.from({ length: 400 }, (_, n) => kitchen.reading(batch, 60 + n / 100, { at: first + i * 400 + n })),
      )
    const { batches, traces } = await line()
    const [apart] = traces
    expect(traces).toEqual([{ batch, pieces: [expect.any(String), expect.any(String)] }])
    const last = batches.find(({ id }) => id === batch)!.facts['reading-taken']
    expect(last).toHaveLength(200)
    const pieces = await Promise.all(apart!.pieces.map((hash) => kitchen.get(`/api/line/traces/${hash}`)))
    expect(pieces[0]!.headers['cache-control']).toContain('immutable')
    const { batch: whole } = (await kitchen.get(`/api/batches/${batch}`)).body as { batch: BatchState }
    expect([...pieces.flatMap(({ body }) => body as object[]), ...last]).toEqual(whole.facts['reading-taken'])
    // One more reading changes the end alone.
    await kitchen.post([kitchen.reading(batch, 61)])
    expect((await line()).traces).toEqual(traces)
    expect((await kitchen.get(`/api/line/traces/${'0'.repeat(64)}`)).status).toBe(404)
  })

  it('comes packed or plain, with the clock in its header and out of what is kept', async () => {
    const cookie = await kitchen.cookieOf('mina')
    const get = (encoding: string) =>
      request(kitchen.app.getHttpServer()).get('/api/line').set('Cookie', cookie).set('Accept-Encoding', encoding)
    const [packed, plain] = [await get('gzip'), await get('identity')]
    expect(packed.headers['content-encoding']).toBe('gzip')
    expect(plain.headers['content-encoding']).toBeUndefined()
    expect(plain.body).toEqual(packed.body)
    expect(plain.body).not.toHaveProperty('now')
    expect(Math.abs(Number(plain.headers['lt-now']) - clock.now())).toBeLessThan(60_000)
  })
})
