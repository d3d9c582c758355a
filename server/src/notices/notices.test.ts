import { v7 as uuid } from 'uuid'
import { dayOf, HOUR, timeOn } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { Jobs } from '../jobs/jobs.service'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { MailStandIn } from './mailStandIn'
import { Noticing } from './noticing.service'

const NAME = 'Kitchen of the notices'
const TO = 'lead@kitchen.example'
let kitchen: TestKitchen
let server: MailStandIn
beforeAll(async () => {
  server = new MailStandIn()
  kitchen = await openKitchen({ name: NAME, mail: await server.listen() })
})
afterAll(async () => {
  await kitchen.app.close()
  await server.close()
})

const lead = () => ({ signer: kitchen.person('ilse').id, pin: kitchen.person('ilse').pin })
const ON = { on: true, to: TO, urgent: true, digest: true }
const set = (more: object) => kitchen.send('/api/notices').send({ ...lead(), ...ON, ...more })
const look = () => kitchen.app.get(Noticing).look(kitchen.kitchenId)
const asLead = async () => {
  const cookie = await kitchen.cookieOf('ilse')
  return (await kitchen.get('/api/notices').set('Cookie', cookie)).body as Answers['Notices']
}
const tellOf = (note: string) =>
  kitchen.post([
    kitchen.claim('incident-told', uuid(), { what: 'glass', note, items: [], batches: [] }, { id: uuid() }),
  ])

/** Letters about something, once so many of them came: the queue is looked through every two seconds. */
async function letters(about: string, count: number) {
  const of = () => server.received.filter(({ subject, text }) => `${subject}\n${text}`.includes(about))
  for (let i = 0; i < 300 && of().length < count; i++) await new Promise((done) => setTimeout(done, 100))
  return of()
}
/** Long enough for what should not come. */
const aWhile = () => new Promise((done) => setTimeout(done, 4000))

it('is off until somebody who may sets an address, and refuses what is none', async () => {
  await tellOf('a jar before anybody asked')
  await look()
  const { id: signer, pin } = kitchen.person('mina')
  expect((await kitchen.send('/api/notices').send({ ...ON, signer, pin })).status).toBe(403)
  for (const wrong of [
    { to: 'nobody' },
    { to: 'a@b.example\r\nBcc: c@d.example' },
    { urgent: false, digest: false },
    { quietFrom: '22:00' },
    { quietFrom: '25:00', quietUntil: '06:00' },
    { urgent: 'yes' },
  ]) {
    const answer = await set(wrong)
    expect([400, 422]).toContain(answer.status)
    expect((answer.body as { detail: string }).detail).toMatch(/\.$/)
  }
  expect((await asLead()).wish).toBeNull()
  await set({}).expect(200)
  expect(await asLead()).toMatchObject({ canSend: true, on: true, wish: { to: TO }, sent: [] })
  // A cook sees that it is on, and not to whom.
  expect((await kitchen.get('/api/notices')).body).toMatchObject({ on: true, wish: null })
})

it('tells at once of what is urgent, once, with what to do and the link; of nothing from before', async () => {
  await tellOf('a jar broke over the pass')
  const [letter, ...more] = await letters('a jar broke over the pass', 1)
  expect(more).toEqual([])
  expect(letter).toMatchObject({ to: [TO], subject: `${NAME}: Glass: a jar broke over the pass` })
  expect(letter!.text).toContain('Do now: say what was done, why it came about and what stops it next time.')
  expect(letter!.text).toMatch(/Open it: https?:\/\/\S+\/log\/review/)
  await look()
  await look()
  await aWhile()
  expect(await letters('a jar broke over the pass', 1)).toHaveLength(1)
  expect(await letters('before anybody asked', 0)).toEqual([])
  expect((await asLead()).sent.map(({ name }) => name)).toEqual([expect.stringMatching(/^urgent /)])
})

it('tries again what the mail server did not take, and its administrator sees why', async () => {
  server.refuses = 1
  await tellOf('a lamp broke')
  let seen = await asLead()
  for (let i = 0; i < 100 && !seen.jobs[0]?.said; i++) {
    await new Promise((done) => setTimeout(done, 200))
    seen = await asLead()
  }
  expect(seen.jobs[0]).toMatchObject({ state: 'retry', said: expect.stringContaining('Try again later') as string })
  expect(seen.jobs[0]!.at).toBeGreaterThan(Date.now())
  expect(await letters('a lamp broke', 0)).toEqual([])
})

it('sends a trial letter, each time it is asked for', async () => {
  await kitchen.send('/api/notices/try').send(lead()).expect(200)
  expect((await letters('a trial letter', 1))[0]).toMatchObject({ to: [TO] })
})

it('sends after quiet hours what a job of before them could not, and what waits goes on when the wish changes', async () => {
  await set({ quietFrom: '14:00', quietUntil: '16:00' }).expect(200)
  await tellOf('a knife broke')
  const { matters } = (await kitchen.get('/api/matters')).body as Answers['Matters']
  const knife = matters.find(({ cause }) => cause.of === 'incident' && cause.incident.note === 'a knife broke')!
  // As one that was due before, and is tried again in them: it is done, and nothing went out.
  await kitchen.app.get(Jobs).send('notice', { kitchen: kitchen.kitchenId, name: `urgent ${knife.id}` })
  await aWhile()
  expect(await letters('a knife broke', 0)).toEqual([])
  await set({}).expect(200)
  await look()
  expect(await letters('a knife broke', 1)).toHaveLength(1)
})

it('sums up the day at closing, not in quiet hours, and is silent once it is off', async () => {
  const closing = timeOn(dayOf(clock.now(), 'UTC'), '22:00', 'UTC')
  await set({ urgent: false, quietFrom: '21:00', quietUntil: '23:00' }).expect(200)
  clock.set(closing + 10 * 60_000)
  await look()
  await aWhile()
  expect(await letters('things wait', 0)).toEqual([])
  clock.set(closing + HOUR)
  await look()
  const [digest] = await letters('things wait', 1)
  expect(digest!.subject).toMatch(new RegExp(`^${NAME}, .*: \\d+ things wait$`))
  expect(digest!.text).toContain('a jar broke over the pass')
  expect(digest!.text).toContain('before anybody asked')
  const cookie = await kitchen.cookieOf('ilse')
  await kitchen
    .send('/api/notices')
    .set('Cookie', cookie)
    .send({ ...lead(), on: false })
    .expect(200)
  clock.set(closing + 25 * HOUR)
  await look()
  await aWhile()
  expect(await letters('things wait', 1)).toHaveLength(1)
})
