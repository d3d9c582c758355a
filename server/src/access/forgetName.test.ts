import { v7 as uuid } from 'uuid'
import { DAY } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { verify } from '../verify/verify'
import { forgetName } from './forgetName'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const YEARS = 366 * DAY
const forgotten = (name: string, now = clock.now()) => forgetName(kitchen.scope, kitchen.kitchenId, name, now)

it('puts a code in the place of a name once nobody may ask for it any more, and changes nothing that is proven', async () => {
  const teo = kitchen.person('teo')
  const batch = uuid()
  await kitchen.post([kitchen.start('f-1', batch)])
  await kitchen.post([kitchen.reading(batch, 70, { by: teo.id })])
  await expect(forgotten('Teo Brandt', clock.now() + 3 * YEARS)).rejects.toThrow('works here')
  const { id, pin } = kitchen.person('ilse')
  const left = await kitchen.send(`/api/people/${teo.id}/role`).send({ role: null, signer: id, pin })
  expect(left.body).toEqual({ changed: true })
  await expect(forgotten('Teo Brandt')).rejects.toThrow(/Names stay 24 months with what they made: until \d{4}-/)
  expect(await forgotten('Nobody')).toBeNull()
  // As long as the house says, where that is longer.
  const { limits } = (await kitchen.get('/api/line')).body as Answers['Line']
  const last = limits!.versions.at(-1)!
  const longer = {
    ...last,
    version: last.version + 1,
    from: clock.now(),
    practice: { ...last.practice, monthsKept: 60 },
  }
  const posted = await kitchen.post([kitchen.claim('limits-set', limits!.id, { set: longer }, { by: id })], {
    signer: id,
    pin,
  })
  expect(posted.body).toMatchObject({ results: [{ outcome: 'accepted' }] })
  await expect(forgotten('Teo Brandt', clock.now() + 3 * YEARS)).rejects.toThrow('Names stay 60 months')

  const found = await forgotten('teo brandt', clock.now() + 6 * YEARS)
  expect(found).toMatchObject({ code: `Person ${teo.id.slice(-6)}` })
  const { faults } = await verify(kitchen.scope, kitchen.kitchenId, { seals: null, role: 'lt_app' })
  expect(faults.filter(({ code }) => code !== 'recorded earlier')).toEqual([])
  const entries = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<object[]>(`select 1 from entry where canon like '%Teo%'`),
  )
  expect(entries).toEqual([])
  const names = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ name: string }[]>('select name from person order by name'),
  )
  expect(names.map(({ name }) => name)).toEqual(['Ilse Varrow', 'Mina Osk', 'Noor Hallet', found!.code])
})
