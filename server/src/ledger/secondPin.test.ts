import { MINUTE, type LimitsState } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers, PostResult } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { verify } from '../verify/verify'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

it('takes the PIN of somebody else beside the lead’s, as theirs, and the records can be gone through again', async () => {
  const [lead, cook] = [kitchen.person('ilse'), kitchen.person('mina')]
  const signed = { signer: lead.id, pin: lead.pin }
  const { limits } = (await kitchen.get('/api/line')).body as { limits: LimitsState }
  const last = limits.versions.at(-1)!
  const set = { ...last, version: last.version + 1, from: clock.now(), practice: { ...last.practice, secondPin: true } }
  await kitchen.post([kitchen.claim('limits-set', limits.id, { set }, { by: lead.id })], signed)
  const now = clock.now()
  const start = { ...kitchen.start('second-1'), at: now - 90 * MINUTE, madeAt: now - 90 * MINUTE }
  const late = kitchen.reading(start.about.id, 60, { by: lead.id, at: now - 60 * MINUTE })
  await kitchen.post([start, late], signed)
  const entries = [{ type: 'batch' as const, id: start.about.id, entry: late.id }]
  const accept = () =>
    kitchen.claim('entries-accepted', kitchen.kitchenId, { entries, reason: 'on paper' }, { by: lead.id })
  const result = async (more: object): Promise<PostResult | undefined> =>
    ((await kitchen.post([accept()], { ...signed, ...more })).body as Answers['Posted']).results[0]

  expect(await result({})).toMatchObject({ outcome: 'refused', code: 'second needed', field: 'second' })
  const wrong = await kitchen.post([accept()], { ...signed, second: cook.id, secondPin: '9999' })
  expect(wrong.body).toMatchObject({ status: 403, field: 'secondPin' })
  // A name without its PIN is nobody.
  expect(await result({ second: cook.id })).toMatchObject({ code: 'second needed' })
  const taken = await result({ second: cook.id, secondPin: cook.pin })
  expect(taken).toMatchObject({ outcome: 'accepted', seal: { signedBy: lead.id, secondedBy: cook.id } })
  const { faults } = await verify(kitchen.scope, kitchen.kitchenId, { seals: null, role: 'lt_app' })
  // The test itself let the clock go back.
  expect(faults.filter(({ code }) => code !== 'recorded earlier')).toEqual([])
})
