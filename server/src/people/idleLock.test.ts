import { MINUTE, type LimitsState } from '@logged-thermal/core'
import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ rates: { strangers: 1e6, tablets: 1e6 } })
})
afterAll(() => kitchen.app.close())

const http = () => request(kitchen.app.getHttpServer())

describe('a shift that nobody touches', () => {
  const idle = async (minutes: number | undefined) => {
    const { limits } = (await kitchen.get('/api/line')).body as { limits: LimitsState }
    const last = limits.versions.at(-1)!
    const practice = { ...last.practice }
    delete practice.idleMinutes
    const set = {
      ...last,
      version: last.version + 1,
      from: clock.now(),
      practice: { ...practice, ...(minutes && { idleMinutes: minutes }) },
    }
    const { id, pin } = kitchen.person('ilse')
    const posted = await kitchen.post([kitchen.claim('limits-set', limits.id, { set }, { by: id })], {
      signer: id,
      pin,
    })
    expect(posted.body).toMatchObject({ results: [{ outcome: 'accepted' }] })
  }
  let begun = 0
  const wait = (minutes: number) => clock.set(begun + minutes * MINUTE)
  const shiftOf = async (cookie: string[]) =>
    ((await http().get('/api/shift').set('Cookie', cookie)).body as Answers['Shift']).shift
  beforeEach(() => void (begun = clock.now()))
  afterEach(() => clock.set(begun))

  it('locks after the house’s minutes, still shows the Line, and stays locked', async () => {
    await idle(15)
    const cookie = await kitchen.cookieOf('teo', uuid())
    wait(14)
    expect(await shiftOf(cookie)).toMatchObject({ open: true })
    // Hands: it counts from here.
    await http().post('/api/shift/touched').set('Cookie', cookie).expect(200)
    wait(28)
    expect(await shiftOf(cookie)).toMatchObject({ open: true })
    wait(30)
    expect(await shiftOf(cookie)).toMatchObject({ open: false })
    await http().get('/api/line').set('Cookie', cookie).expect(200)
    await http().post('/api/shift/touched').set('Cookie', cookie).expect(200)
    wait(1)
    expect(await shiftOf(cookie)).toMatchObject({ open: false })
  })

  it('stays open for 30 minutes while a pot is on the heat, and what was entered counts as hands', async () => {
    const cookie = await kitchen.cookieOf('teo', uuid())
    const batch = kitchen.start('idle-1')
    const reading = kitchen.reading(batch.about.id, 60)
    await kitchen.post([batch, reading])
    wait(29)
    expect(await shiftOf(cookie)).toMatchObject({ open: true })
    wait(31)
    expect(await shiftOf(cookie)).toMatchObject({ open: false })
  })

  it('never locks where the house said never', async () => {
    await idle(undefined)
    const cookie = await kitchen.cookieOf('teo', uuid())
    wait(13 * 60)
    expect(await shiftOf(cookie)).toMatchObject({ open: true })
  })
})
