import { existsSync, mkdtempSync, readdirSync, symlinkSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Ajv from 'ajv'
import { strFromU8, unzipSync } from 'fflate'
import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { checkProof } from '@logged-thermal/checker'
import { addDays, DAY, dayOf, judgeBatch, standingsOf, type BatchState, type Id } from '@logged-thermal/core'
import type { BatchRecord, ListLine } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import type { RecordsAsked } from '../records/records.work'
import { readPdf } from '../test/readPdf'
import { PacketFile } from './packetFile'
import { Packets } from './packets.service'
import { listsOfPacket } from './packets.work'

const folder = mkdtempSync(join(tmpdir(), 'lt-packets-'))
let kitchen: TestKitchen
let lead: string[]
let cook: string[]
const batch = uuid()

beforeAll(async () => {
  kitchen = await openKitchen({ folder, packets: true })
  lead = await kitchen.cookieOf('ilse')
  cook = await kitchen.cookieOf('mina')
  await kitchen.post([kitchen.start('=1+1', batch), kitchen.start('1-2')])
  await kitchen.post([kitchen.reading(batch, 61.2), kitchen.reading(batch, 74)])
  const { id: by, pin } = kitchen.person('ilse')
  const { body } = (await kitchen.get(`/api/batches/${batch}`)) as { body: { batch: BatchState } }
  const at = clock.now()
  const findings = standingsOf(judgeBatch(body.batch, { zone: 'UTC' }, at))
  const discard = { decision: 'discard' as const, reason: '=HYPERLINK("x")', findings, core: 'tablet' }
  const posted = await kitchen.post([kitchen.claim('disposed', batch, discard, { by, at })], { signer: by, pin })
  expect(posted.body).toMatchObject({ results: [{ outcome: 'accepted' }] })
})
afterAll(() => kitchen.app.close())

const http = () => request(kitchen.app.getHttpServer())
const today = () => dayOf(clock.now(), 'UTC')
const ask = (from: string, to: string, cookie = lead) =>
  http().post('/api/packets').set('Cookie', cookie).send({ from, to, scale: 'C', language: 'en-US' })
const list = async () => ((await http().get('/api/packets').set('Cookie', lead)).body as Answers['Packets']).packets
const file = (id: Id) => http().get(`/api/packets/${id}/file`).set('Cookie', lead).buffer(true).parse(bytes)

function bytes(response: NodeJS.EventEmitter, done: (error: Error | null, body: Buffer) => void): void {
  const pieces: Buffer[] = []
  response.on('data', (piece: Buffer) => pieces.push(piece))
  response.on('end', () => done(null, Buffer.concat(pieces)))
}

async function ended(id: Id) {
  for (;;) {
    const packet = (await list()).find((each) => each.id === id)!
    if (packet.state !== 'waits' && packet.state !== 'made') return packet
    await new Promise((done) => setTimeout(done, 200))
  }
}

async function made(from = today(), to = today()): Promise<Id> {
  const answer = await ask(from, to)
  expect(answer.status).toBe(202)
  return (answer.body as { id: Id }).id
}

describe('the packet of a period', () => {
  let packed: Buffer
  let id: Id
  let files: Record<string, Uint8Array>
  beforeAll(async () => {
    id = await made(addDays(today(), -1))
    expect(await ended(id)).toMatchObject({ state: 'ready', said: null, language: 'en-US' })
    packed = (await file(id)).body as Buffer
    files = unzipSync(packed)
  })

  it('holds a cover, a sheet a day, tables, records and the entries they rest on; its parts are gone', () => {
    expect(Object.keys(files)).toEqual([
      'cover.pdf',
      'equipment.pdf',
      'plans.pdf',
      'lots.pdf',
      'matters.pdf',
      'labels.pdf',
      'batches.csv',
      'readings.csv',
      'records.ndjson',
      `days/${addDays(today(), -1)}.pdf`,
      `days/${today()}.pdf`,
      'checks.csv',
      'air.csv',
      'lots.csv',
      'labels.csv',
      'matters.csv',
      'lists.ndjson',
      'logbook.proof',
      'record.schema.json',
      'list.schema.json',
    ])
    for (const name of ['cover.pdf', 'equipment.pdf', `days/${today()}.pdf`])
      expect(strFromU8(files[name]!.slice(0, 5))).toBe('%PDF-')
    expect(readdirSync(join(folder, 'packets'))).toEqual([`${id}.zip`])
  })

  it('numbers what follows of a long list, and goes on in the same tables', async () => {
    const line = (seq: number): ListLine => ({
      seq,
      hash: '',
      at: clock.now(),
      by: 'Mina Osk',
      takenBack: false,
      list: 'labels',
      of: `Bay-leaf 330-${seq}`,
      copies: 2,
    })
    const asked: RecordsAsked = {
      kitchen: 'Test kitchen',
      reader: { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null },
      now: clock.now(),
      people: {},
      instruments: {},
      signedDays: [],
      proved: null,
      maker: 'Ilse Varrow',
    }
    const nothing = { checks: [], air: [], lots: [], labels: [], matters: [] }
    const [first, second] = [
      await listsOfPacket({ ...asked, lists: { ...nothing, labels: [line(1)] }, part: 0 }),
      await listsOfPacket({ ...asked, lists: { ...nothing, labels: [line(2)] }, part: 1 }),
    ]
    expect(first.documents.map(({ name }) => name)).toEqual(['equipment.pdf', 'lots.pdf', 'labels.pdf', 'matters.pdf'])
    expect(second.documents.map(({ name }) => name)).toEqual(['labels-2.pdf'])
    const table = [first, second].flatMap(({ tables }) => tables.find(({ name }) => name === 'labels.csv')!.text)
    expect(
      table
        .join('')
        .split('\n')
        .map((row) => row.split(',')[0]),
    ).toEqual(['entry', '1', '2', ''])
  })

  it('holds a day as it is handed out by itself, which a file of its own proves', async () => {
    const { bookmarks, tags } = await readPdf(kitchen, `/api/records/day/${today()}.pdf`)
    expect([bookmarks, tags]).toEqual([3, true])
    const { text } = await kitchen.get(`/api/proof/day/${today()}`).buffer(true).expect(200)
    const bytes = Buffer.from(text)
    async function* whole() {
      yield await Promise.resolve(bytes)
    }
    expect(await checkProof(whole(), { size: bytes.length })).toMatchObject({ faults: [], cautions: [], judged: 1 })
    expect((await kitchen.get('/api/records/day/2027-02-30.pdf')).status).toBe(422)
    expect((await kitchen.get('/api/proof/day/never')).status).toBe(422)
  })

  it('holds each written plan as it is handed out by itself', async () => {
    const { methods } = (await kitchen.get('/api/line')).body as Answers['Line']
    const { tags, document } = await readPdf(kitchen, `/api/records/plan/${methods[0]!.id}.pdf`)
    expect([tags, document.getPageCount()]).toEqual([true, expect.any(Number)])
    expect((await kitchen.get(`/api/records/plan/${uuid()}.pdf`)).status).toBe(404)
  })

  it('proves itself as it was handed out', async () => {
    async function* whole() {
      yield await Promise.resolve(packed)
    }
    const found = await checkProof(whole(), { size: packed.length })
    expect(found).toMatchObject({ faults: [], cautions: [], judged: 1 })
    const standings = found.batches.map(({ code, standing }) => `${code} ${standing}`)
    expect(standings.sort()).toEqual(['1-2 open', '=1+1 open'])
  })

  it('tells the same in its tables and its records, and nothing in them is a formula', () => {
    const records = strFromU8(files['records.ndjson']!).trimEnd().split('\n')
    const read = records.map((line) => JSON.parse(line) as BatchRecord)
    expect(read.map(({ code, standing }) => [code, standing])).toEqual([
      ['=1+1', 'open'],
      ['1-2', 'open'],
    ])
    const fits = new Ajv().compile(JSON.parse(strFromU8(files['record.schema.json']!)) as object)
    for (const record of read) expect([fits(record), fits.errors]).toEqual([true, null])
    expect(read[0]!.readings.map(({ value, by }) => [value, by])).toEqual([
      ['61.2°C', 'Mina Osk'],
      ['74.0°C', 'Mina Osk'],
    ])
    const [head, first] = strFromU8(files['batches.csv']!).split('\n')
    expect(head).toMatch(/^day,batch,method,version,standing/)
    expect(first).toContain(`,'=1+1,`)
    expect(strFromU8(files['readings.csv']!).split('\n')[1]).toMatch(/^'=1\+1,.*61\.2°C/)
  })

  it('goes on where a download broke off', async () => {
    const half = Math.floor(packed.length / 2)
    const rest = await file(id).set('Range', `bytes=${half}-`)
    expect(rest.status).toBe(206)
    expect(rest.headers['content-range']).toBe(`bytes ${half}-${packed.length - 1}/${packed.length}`)
    expect(packed.subarray(half).equals(rest.body as Buffer)).toBe(true)
  })
})

it('is the lead’s to ask for, of days that there are, a year at a time', async () => {
  expect((await ask(today(), today(), cook)).body).toMatchObject({ status: 403 })
  expect((await http().get('/api/packets').set('Cookie', cook)).status).toBe(403)
  expect((await ask('2026-02-31', '2026-03-01')).body).toMatchObject({
    detail: '2026-02-31 is no day of the calendar.',
  })
  expect((await ask('2026-03-02', '2026-03-01')).body).toMatchObject({ detail: 'The period ends before it begins.' })
  expect((await ask('1900-01-01', '2100-01-01')).body).toMatchObject({
    detail: 'That is 73050 days. A packet holds a year: ask for the years one by one.',
  })
  expect((await ask('last week', 'now')).body).toMatchObject({ status: 400 })
  const written = await http()
    .post('/api/packets')
    .set('Cookie', lead)
    .send({ from: today(), to: today(), scale: 'C', language: 'en-XA' })
  expect(written.status).toBe(400)
})

it('waits for the one before it, and can be cancelled; what was cancelled is not there', async () => {
  const [first, second] = [await made(addDays(today(), -300)), await made()]
  await http().post(`/api/packets/${second}/cancel`).set('Cookie', lead).expect(200)
  expect(await ended(second)).toMatchObject({ state: 'cancelled' })
  expect((await file(second)).status).toBe(404)
  expect(await ended(first)).toMatchObject({ state: 'ready' })
  expect(await ended(second)).toMatchObject({ state: 'cancelled' })
})

it('leaves nothing behind where the disk is full, and says so', async () => {
  const path = join(folder, 'packets', 'full.zip')
  const part = await PacketFile.begin(path)
  symlinkSync('/dev/full', `${path}.parts/readings.csv`)
  await expect(part.append('readings.csv', 'a,b')).rejects.toMatchObject({ code: 'ENOSPC' })
  await part.dropped()
  expect(existsSync(`${path}.parts`)).toBe(false)

  const full = jest
    .spyOn(PacketFile.prototype, 'packed')
    .mockRejectedValue(Object.assign(new Error(), { code: 'ENOSPC' }))
  const id = await made()
  expect(await ended(id)).toMatchObject({ state: 'failed', said: 'The disk is full. Make room, then ask again.' })
  full.mockRestore()
  expect(readdirSync(join(folder, 'packets')).filter((name) => name.startsWith(id))).toEqual([])
})

it('is thrown away after a week', async () => {
  const id = await made()
  await ended(id)
  clock.set(clock.now() + 8 * DAY)
  await kitchen.app.get(Packets).sweep()
  expect((await kitchen.app.get(Packets).list(kitchen.kitchenId)).find((each) => each.id === id)).toMatchObject({
    state: 'gone',
  })
  expect(existsSync(join(folder, 'packets', `${id}.zip`))).toBe(false)
})
