import { openKitchen, type TestKitchen } from '../test/kitchen'
import { KitchenScope } from '../database/kitchenScope'
import { WritingScope } from '../database/writingScope'
import { Append } from '../ledger/append.service'
import { Heads } from '../sealing/heads.service'
import { Readiness } from './readiness.service'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const lookAt = (folder: string) => {
  const { app } = kitchen
  return new Readiness(app.get(KitchenScope), app.get(WritingScope), app.get(Append), app.get(Heads), folder).look()
}

it('is not ready on a disk without room, and says how much is left', async () => {
  // The kernel's own file system has no blocks: a full disk on every machine.
  const answer = await lookAt('/proc')
  expect(answer.ready).toBe(false)
  expect(answer.parts.filter(({ ok }) => !ok)).toMatchObject([{ part: 'disk', why: '0 MB left on the disk' }])
})

it('blames the disk where its folder cannot be looked at', async () => {
  const answer = await lookAt('/nowhere')
  expect(answer.parts.filter(({ ok }) => !ok)).toMatchObject([{ part: 'disk' }])
})
