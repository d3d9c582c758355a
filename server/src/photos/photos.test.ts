import { createHash } from 'node:crypto'
import { v7 as uuid } from 'uuid'
import type { Bodies } from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { pictureIn } from './jpeg'

const segment = (marker: number, data: string) => {
  const length = Buffer.alloc(2)
  length.writeUInt16BE(data.length + 2)
  return Buffer.concat([Buffer.from([0xff, marker]), length, Buffer.from(data, 'latin1')])
}
/** A JPEG by its segments, 8 by 8: tables, a frame, a scan with an escaped byte and a restart in it, its end. */
const GREY = Buffer.concat([
  Buffer.from('ffd8', 'hex'),
  segment(0xe0, 'JFIF\0\x01\x01'),
  segment(0xdb, '\0'.repeat(65)),
  segment(0xc0, '\x08\0\x08\0\x08\x01\x01\x11\0'),
  segment(0xda, '\x01\x01\0\0\x3f\0'),
  Buffer.from('a1ff00b2ffd0c3', 'hex'),
  Buffer.from('ffd9', 'hex'),
])
const withSegments = (...more: Buffer[]) => Buffer.concat([GREY.subarray(0, 2), ...more, GREY.subarray(2)])
const base64 = (bytes: Buffer) => bytes.toString('base64')

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const keep = (jpeg: unknown) => kitchen.send('/api/photos').send({ jpeg })

describe('a picture', () => {
  it('is nothing but the picture: where and with what it was taken is gone, also from behind its end', () => {
    const exif = segment(0xe1, 'Exif\0\0 GPS 48.1 N 11.5 E')
    const told = Buffer.concat([
      withSegments(exif, segment(0xfe, 'by Mina'), segment(0xed, 'place')),
      Buffer.from('GPS'),
    ])
    const picture = pictureIn(told)!
    expect(picture).toMatchObject({ width: 8, height: 8 })
    expect(picture.bytes.equals(pictureIn(GREY)!.bytes)).toBe(true)
    expect(picture.bytes.toString('latin1')).not.toMatch(/GPS|Mina|place/)
  })

  it('is told from what is none, what breaks off, and what only begins as one', () => {
    for (const wrong of [
      Buffer.alloc(0),
      Buffer.from('<svg onload="alert(1)"/>'),
      Buffer.from('89504e470d0a1a0a', 'hex'),
      GREY.subarray(0, 40),
      GREY.subarray(0, GREY.length - 2),
      Buffer.concat([GREY.subarray(0, 2), Buffer.from('ffe1ffff', 'hex')]),
      Buffer.from('ffd8ffd9', 'hex'),
      Buffer.concat([GREY.subarray(0, 2), Buffer.from('<script>alert(1)</script>')]),
    ])
      expect(pictureIn(wrong)).toBeNull()
  })
})

it('is kept once under its hash, and shown to its own kitchen alone', async () => {
  const { hash } = (await keep(base64(withSegments(segment(0xe1, 'GPS')))).expect(200)).body as { hash: string }
  expect(((await keep(base64(GREY)).expect(200)).body as { hash: string }).hash).toBe(hash)
  const shown = await kitchen.get(`/api/photos/${hash}`).expect(200)
  expect(shown.headers['content-type']).toBe('image/jpeg')
  expect(
    createHash('sha256')
      .update(shown.body as Buffer)
      .digest('hex'),
  ).toBe(hash)
  const incident = { what: 'glass' as const, note: 'a jar', items: [], batches: [], photo: hash }
  const told = await kitchen.post([kitchen.claim('incident-told', uuid(), incident)])
  expect(told.body).toMatchObject({ results: [{ outcome: 'accepted' }] })
  const other = await openKitchen()
  await other.get(`/api/photos/${hash}`).expect(404)
  await other.app.close()
  await kitchen.get('/api/photos/nonsense').expect(404)
})

it('has to be kept before an entry names it: a sheet that nobody has a picture of is none', async () => {
  const { hash } = (await keep(base64(GREY)).expect(200)).body as { hash: string }
  const batch = uuid()
  await kitchen.post([kitchen.start('p-1', batch)])
  const { id: second, pin: secondPin } = kitchen.person('teo')
  const copied = async (paper: string) => {
    const reading = kitchen.reading(batch, 61)
    const sheet = { ...reading, body: { ...(reading.body as Bodies['reading-taken']), paper } }
    const { body } = (await kitchen.post([sheet], { second, secondPin })) as { body: { results: unknown[] } }
    return body.results
  }
  const unkept = '0'.repeat(64)
  expect(await copied(unkept)).toMatchObject([{ outcome: 'refused', code: 'not there', field: 'body.paper' }])
  expect(await copied(hash)).toMatchObject([{ outcome: 'accepted' }])
  const incident = { what: 'glass' as const, note: 'a jar', items: [], batches: [], photo: unkept }
  const told = await kitchen.post([kitchen.claim('incident-told', uuid(), incident)])
  expect(told.body).toMatchObject({ results: [{ code: 'not there', sentence: 'This kitchen has no such picture.' }] })
})

it('takes nothing that is none, is too large, or names a photo otherwise than by its hash', async () => {
  const huge = Buffer.from(pictureIn(GREY)!.bytes)
  const frame = huge.indexOf(Buffer.from('ffc0', 'hex'))
  huge.writeUInt16BE(5000, frame + 5)
  for (const wrong of [base64(Buffer.from('no picture')), 'not base64!', 5, base64(huge), 'A'.repeat(620_000)]) {
    const answer = await keep(wrong)
    expect([400, 413, 422]).toContain(answer.status)
    expect((answer.body as { detail: string }).detail).toMatch(/\.$/)
  }
  const incident = { what: 'glass' as const, note: 'a jar', items: [], batches: [], photo: '../../etc/passwd' }
  const told = await kitchen.post([kitchen.claim('incident-told', uuid(), incident)])
  expect(told.body).toMatchObject({ results: [{ outcome: 'refused', code: 'bad field' }] })
})
