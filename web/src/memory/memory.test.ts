import 'fake-indexeddb/auto'
import { deleteDB, openDB } from 'idb'
import type { AnyClaim, SealedEntry } from '@logged-thermal/core'
import { keepAnswer, keptAnswer } from './answers'
import { closeMemory, memory, openMemory } from './database'
import { keepHeard, keepLine, keptLine } from './line'
import { keepEntries, keepOutcomes, keepSettled, keptEntries } from './outbox'

const claim = (id: string) => ({ id, kind: 'noted', body: { text: id } }) as unknown as AnyClaim
const entry = (seq: number, id = `e${seq}`) => ({ claim: claim(id), seal: { seq } }) as SealedEntry
const ids = async () => (await keptEntries()).map((each) => each.claim.id)
/** The page is closed and opened again. */
const again = async () => {
  closeMemory()
  await openMemory()
}

beforeEach(async () => {
  globalThis.indexedDB = new IDBFactory()
  await openMemory()
})
afterEach(() => closeMemory())

it('keeps what was entered over a restart, in that order, until the kept Line has it', async () => {
  expect(await keepEntries([claim('a'), claim('b')])).toBe(true)
  expect(await keepEntries([claim('c')])).toBe(true)
  await keepOutcomes([{ id: 'a', seq: 7, refusal: null }])
  await again()
  expect(await keptEntries()).toEqual([
    { claim: claim('a'), seq: 7, refusal: null },
    { claim: claim('b'), seq: null, refusal: null },
    { claim: claim('c'), seq: null, refusal: null },
  ])
  // The server has it, and this tablet's Line does not yet: without the server it would be gone from the screen.
  await keepLine({ seq: 6 })
  expect(await ids()).toEqual(['a', 'b', 'c'])
  await keepHeard(entry(7, 'a'))
  expect(await ids()).toEqual(['b', 'c'])
  await keepOutcomes([{ id: 'b', seq: 8, refusal: null }])
  await keepLine({ seq: 8 })
  expect(await ids()).toEqual(['c'])
})

it('puts another entry in the very place of a refused one, or forgets that', async () => {
  await keepEntries([claim('a'), claim('b'), claim('c')])
  await keepOutcomes([{ id: 'b', seq: null, refusal: { code: 'code taken', sentence: 'Taken.' } }])
  await again()
  expect((await keptEntries())[1]!.refusal).toEqual({ code: 'code taken', sentence: 'Taken.' })
  await keepSettled('b', claim('b2'))
  expect((await keptEntries())[1]).toEqual({ claim: claim('b2'), seq: null, refusal: null })
  await keepSettled('b2', null)
  await keepSettled('none', claim('d'))
  expect(await ids()).toEqual(['a', 'c'])
})

it('takes an entry once, and all of several or none', async () => {
  await keepEntries([claim('a')])
  expect(await keepEntries([claim('b'), claim('a')])).toBe(false)
  expect(await ids()).toEqual(['a'])
})

it('knows the Line with what followed it, up to the first entry that it missed', async () => {
  expect(await keptLine()).toBeNull()
  await keepLine({ seq: 10 })
  for (const seq of [11, 12, 14]) await keepHeard(entry(seq))
  await again()
  expect(await keptLine()).toEqual({ line: { seq: 10 }, heard: [entry(11), entry(12)] })
  // Told anew, perhaps of another kitchen or from a backup: nothing of before is put on top of it.
  await keepLine({ seq: 3 })
  expect(await keptLine()).toEqual({ line: { seq: 3 }, heard: [] })
})

it('keeps an answer for so long and no longer', async () => {
  keepAnswer('shift', { open: true })
  expect(await keptAnswer('shift', 60_000)).toEqual({ open: true })
  expect(await keptAnswer('shift', -1)).toBeNull()
  expect(await keptAnswer('line', 60_000)).toBeNull()
})

it('says that an entry is not written down when the disk is full, or the browser keeps nothing', async () => {
  const full = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
    throw new DOMException('no room', 'QuotaExceededError')
  })
  expect(await keepEntries([claim('a')])).toBe(false)
  full.mockRestore()
  expect(await ids()).toEqual([])
  closeMemory()
  expect(keepEntries([claim('a')])).toBeNull()
  expect(await keptEntries()).toEqual([])
  jest.spyOn(indexedDB, 'open').mockImplementation(() => {
    throw new DOMException('private', 'InvalidStateError')
  })
  await openMemory()
  expect(memory()).toBeNull()
})

it('keeps nobody waiting for a disk that is busy, and writes once it is free', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] })
  let isBusy = true
  const { store, done } = memory()!.transaction('outbox', 'readwrite')
  const busy = async () => {
    while (isBusy) await store.count()
    await done
  }
  const ends = busy()
  const written = keepEntries([claim('a')])
  jest.advanceTimersByTime(10_000)
  expect(await written).toBe(false)
  isBusy = false
  await ends
  jest.useRealTimers()
  expect(await ids()).toEqual(['a'])
})

it('joins later where the disk is busy as the tablet starts: what was entered meanwhile is written down then', async () => {
  closeMemory()
  // Another page holds the database, which is to be deleted: whoever opens it now waits for both.
  const holder = await openDB('logged-thermal')
  const deleted = deleteDB('logged-thermal')
  const opening = openMemory()
  const kept = keepEntries([claim('a')])
  const answer = keptAnswer('shift', 60_000)
  await opening
  expect(memory()).toBeNull()
  expect(await kept).toBe(false)
  holder.close()
  await deleted
  expect(await answer).toBeNull()
  expect(memory()).not.toBeNull()
  expect(await ids()).toEqual(['a'])
})
