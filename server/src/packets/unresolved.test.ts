import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { strFromU8, unzipSync } from 'fflate'
import request from 'supertest'
import { dayOf, HOUR, type Standing } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen } from '../test/kitchen'
import { ON_COVER } from './pdf/cover'
import { unresolvedOf } from './pdf/unresolved'

const summed = fc.record({
  code: fc.string(),
  name: fc.constant('Bay-leaf custard'),
  day: fc.constantFrom('2027-03-02', '2027-03-03'),
  standing: fc.constantFrom<Standing>('open', 'proven', 'unproven', 'missed'),
  open: fc.option(fc.constant('Nobody read it in time.')),
  file: fc.constant('days/2027-03-03.pdf'),
})

it('lists every batch that waits for the lead and no other, missed before not proven, each in its order', () => {
  fc.assert(
    fc.property(fc.array(summed), (all) => {
      const found = unresolvedOf(all)
      const waits = all.filter(({ open }) => open !== null)
      expect(new Set(found)).toEqual(new Set(waits))
      expect(found).toHaveLength(waits.length)
      const missed = ({ standing }: { standing: Standing }) => standing === 'missed'
      expect(found.filter(missed)).toEqual(waits.filter(missed))
      const lastMissed = found.findLastIndex(missed)
      expect(found.slice(0, lastMissed + 1).every(missed)).toBe(true)
    }),
  )
})

it('has a file of its own where the cover does not hold it, with the file of each record', async () => {
  const kitchen = await openKitchen({ folder: mkdtempSync(join(tmpdir(), 'lt-unresolved-')), packets: true })
  const day = dayOf(clock.now(), 'UTC')
  const codes = Array.from({ length: ON_COVER + 2 }, (_, i) => `u-${i}`)
  const posted = await kitchen.post(codes.map((code) => kitchen.start(code)))
  expect(posted.status).toBe(200)
  clock.set(clock.now() + 8 * HOUR)
  const lead = await kitchen.cookieOf('ilse')
  const http = () => request(kitchen.app.getHttpServer())
  await http().post('/api/packets').set('Cookie', lead).send({ from: day, to: day, scale: 'C' }).expect(202)
  let [packet] = [] as Answers['Packets']['packets']
  do {
    await new Promise((done) => setTimeout(done, 200))
    packet = ((await http().get('/api/packets').set('Cookie', lead)).body as Answers['Packets']).packets[0]!
  } while (packet.state === 'waits' || packet.state === 'made')
  expect(packet).toMatchObject({ state: 'ready' })
  const answer = await http()
    .get(`/api/packets/${packet.id}/file`)
    .set('Cookie', lead)
    .buffer(true)
    .parse((response, done) => {
      const pieces: Buffer[] = []
      response.on('data', (piece: Buffer) => pieces.push(piece))
      response.on('end', () => done(null, Buffer.concat(pieces)))
    })
  const files = unzipSync(answer.body as Buffer)
  expect(Object.keys(files).slice(0, 2)).toEqual(['cover.pdf', 'unresolved.pdf'])
  expect(Object.keys(files).filter((name) => name.startsWith('days/'))).toEqual([
    `days/${day}.pdf`,
    `days/${day}-2.pdf`,
    `days/${day}-3.pdf`,
    `days/${day}-4.pdf`,
  ])
  expect(strFromU8(files['batches.csv']!).trimEnd().split('\n')).toHaveLength(1 + codes.length)
  await kitchen.app.close()
})
