import { get, type IncomingMessage } from 'node:http'
import type { AddressInfo } from 'node:net'
import { v7 as uuid } from 'uuid'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'

let kitchen: TestKitchen
let cookie: string
beforeAll(async () => {
  kitchen = await openKitchen()
  const { id: person, pin } = kitchen.person('teo')
  const address = (kitchen.app.getHttpServer() as { address(): AddressInfo }).address()
  const opened = await fetch(`http://127.0.0.1:${address.port}/api/shift`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ kitchen: kitchen.kitchenId, person, pin, device: uuid() }),
  })
  cookie = opened.headers.get('set-cookie')!.split(';')[0]!
})
afterAll(() => kitchen.app.close())

/** A tablet that listens: the numbers of the entries it was told, in the order they came. */
async function listen(path: string, headers: Record<string, string> = {}) {
  const { port } = (kitchen.app.getHttpServer() as { address(): AddressInfo }).address()
  const seqs: number[] = []
  const response = await new Promise<IncomingMessage>((done, failed) => {
    get({ port, host: '127.0.0.1', path, headers: { cookie, ...headers } }, done).on('error', failed)
  })
  let told = ''
  const beats: number[] = []
  response.on('data', (chunk: Buffer) => {
    told += chunk.toString()
    const events = told.split('\n\n')
    told = events.pop()!
    for (const event of events) {
      const [, id] = /^id: (\d+)$/m.exec(event) ?? []
      if (id !== undefined) (event.includes('event: beat') ? beats : seqs).push(Number(id))
    }
  })
  const until = async (count: number) => {
    for (let tries = 0; seqs.length < count && tries < 200; tries++) await new Promise((done) => setTimeout(done, 25))
    return seqs
  }
  return { seqs, beats, until, status: response.statusCode, close: () => response.destroy() }
}

const head = async () => ((await kitchen.get('/api/line')).body as { seq: number }).seq

describe('live entries', () => {
  it('reach every tablet in order and without a gap, however they were posted', async () => {
    const batch = uuid()
    await kitchen.post([kitchen.start('l-1', batch)])
    const from = await head()
    const [one, two] = [await listen(`/api/live?after=${from}`), await listen(`/api/live?after=${from}`)]
    await Promise.all(
      Array.from({ length: 30 }, (_, i) => kitchen.post([kitchen.reading(batch, 30 + i), kitchen.reading(batch, 60)])),
    )
    const expected = Array.from({ length: 60 }, (_, i) => from + i + 1)
    expect(await one.until(60)).toEqual(expected)
    expect(await two.until(60)).toEqual(expected)
    one.close()
    two.close()
  })

  it('come with the clock that they are stamped by, for whoever asks', async () => {
    const before = clock.now()
    const { now } = (await kitchen.get('/api/live/now')).body as { now: number }
    expect(now).toBeGreaterThanOrEqual(before)
    expect(now).toBeLessThanOrEqual(clock.now())
  })

  it('go on from the entry that a tablet had last', async () => {
    const now = await head()
    const tablet = await listen('/api/live?after=0', { 'last-event-id': String(now - 3) })
    expect(await tablet.until(3)).toEqual([now - 2, now - 1, now])
    // A beat comes at once, and is no entry: whoever comes back after it has heard nothing more.
    expect(tablet.beats).toEqual([now - 3])
    tablet.close()
  })

  it('are told to who asks, where the stream does not come through', async () => {
    const now = await head()
    const answer = await kitchen.get(`/api/live/since?after=${now - 2}`).expect(200)
    const { entries, more } = answer.body as Answers['Since']
    expect(entries.map(({ seal }) => seal.seq)).toEqual([now - 1, now])
    expect(more).toBe(false)
    expect((await kitchen.get(`/api/live/since?after=${now}`)).body).toMatchObject({ entries: [] })
    await kitchen.get('/api/live/since?after=x').expect(400)
  })

  it('are not for who has no shift', async () => {
    const stranger = await listen('/api/live?after=0', { cookie: '' })
    expect([stranger.status, stranger.seqs]).toEqual([401, []])
    const guesser = await listen('/api/live?after=0', { cookie: `lt_shift=${kitchen.kitchenId}.guess` })
    expect(guesser.status).toBe(401)
  })
})
