/** @jest-environment jsdom */
import '../test/browser'
import { KitchenStory, lineOf } from '../test/tablet'
import { api } from './api'
import { takeEntry } from './heard'
import { listen } from './live'
import { makeStore } from './store'

/** A stream that says what the test says, and how often one was asked for. */
class Stream {
  static all: Stream[] = []
  static readonly CLOSED = 2
  readyState = 0
  private readonly on = new Map<string, (event: { data: string }) => void>()
  constructor(readonly url: string) {
    Stream.all.push(this)
  }
  addEventListener(name: string, heard: (event: { data: string }) => void) {
    this.on.set(name, heard)
  }
  close() {
    this.readyState = Stream.CLOSED
  }
  tells(name: string, data: object = {}) {
    this.on.get(name)?.({ data: JSON.stringify(data) })
  }
}

const last = () => Stream.all.at(-1)!
const passes = (seconds: number) => jest.advanceTimersByTimeAsync(seconds * 1000)
let asked: string[] = []
let there = true

async function listening() {
  jest.useFakeTimers()
  Object.assign(globalThis, { EventSource: Stream })
  Stream.all = []
  asked = []
  there = true
  const story = new KitchenStory()
  const { kitchen } = story
  const store = makeStore()
  await store.dispatch(api.util.upsertQueryData('line', undefined, lineOf(story)))
  jest.spyOn(globalThis, 'fetch').mockImplementation((request) => {
    const { url } = request as Request
    asked.push(url)
    if (!there) return Promise.reject(new TypeError('away'))
    const after = Number(/after=(\d+)/.exec(url)?.[1] ?? 0)
    const body = { now: Date.now(), entries: kitchen.entries().filter(({ seal }) => seal.seq > after), more: false }
    const text = () => Promise.resolve(JSON.stringify(body))
    const answer = { ok: true, status: 200, headers: new Map([['content-type', 'application/json']]), text }
    return Promise.resolve({ ...answer, clone: () => answer } as unknown as Response)
  })
  const stop = listen(store)
  return { story, store, stop, connection: () => store.getState().connection, seq: () => store.getState().line!.seq }
}
afterEach(() => {
  jest.restoreAllMocks()
  jest.useRealTimers()
})

it('goes on from the entry that it heard last once the stream ends, and takes what it missed', async () => {
  const { story, seq, stop, connection } = await listening()
  const before = seq()
  last().tells('open')
  last().tells('beat', { now: Date.now() })
  story.read(story.begin('pot'), 1, 60)
  last().tells('error')
  await passes(0)
  expect(seq()).toBe(before + 2)
  expect(connection().there).toBe(true)
  await passes(2)
  expect(last().url).toBe(`/api/live?after=${before + 2}`)
  stop()
})

it('says that the server is away where it does not answer either, and comes back by itself', async () => {
  const { connection, stop } = await listening()
  last().tells('open')
  last().tells('beat', { now: Date.now() })
  there = false
  last().tells('error')
  await passes(0)
  expect(connection().there).toBe(false)
  await passes(30)
  there = true
  await passes(5)
  last().tells('beat', { now: Date.now() })
  expect(connection().there).toBe(true)
  stop()
})

it('takes a stream that is silent for dead, whatever the browser says', async () => {
  const { stop } = await listening()
  last().tells('open')
  last().tells('beat', { now: Date.now() })
  await passes(39)
  expect(Stream.all).toHaveLength(1)
  await passes(4)
  expect(Stream.all).toHaveLength(2)
  stop()
})

it('asks instead of a stream that something between holds up, and for the stream again later', async () => {
  const { story, seq, stop } = await listening()
  last().tells('open')
  await passes(9)
  const before = seq()
  story.begin('pot')
  await passes(5)
  expect(seq()).toBe(before + 1)
  expect(Stream.all).toHaveLength(1)
  await passes(260)
  expect(Stream.all).toHaveLength(2)
  stop()
  const count = asked.length
  await passes(60)
  expect(asked).toHaveLength(count)
})

it('loses nothing that the stream tells while the whole Line is on its way', async () => {
  jest.useFakeTimers()
  const story = new KitchenStory()
  const pot = story.cooked()
  const store = makeStore()
  const old = { ...lineOf(story), traces: [] }
  await store.dispatch(api.util.upsertQueryData('line', undefined, lineOf(story)))
  let answers: (answer: Response) => void = () => undefined
  jest.spyOn(globalThis, 'fetch').mockReturnValue(new Promise((answer) => (answers = answer)))
  const asked = store.dispatch(api.endpoints.line.initiate(undefined, { forceRefetch: true, subscribe: false }))
  await passes(1)
  story.read(pot, 70, 30)
  store.dispatch(takeEntry(story.kitchen.entries().at(-1)!))
  expect(store.getState().line!.seq).toBe(old.seq + 1)
  const text = () => Promise.resolve(JSON.stringify(old))
  const answer = { ok: true, status: 200, headers: new Map([['content-type', 'application/json']]), text }
  answers({ ...answer, clone: () => answer } as unknown as Response)
  expect(await asked).toMatchObject({ isSuccess: true })
  expect(store.getState().line!.seq).toBe(old.seq + 1)
  expect(store.getState().line!.batches[0]!.facts['reading-taken'].at(-1)!.value.typed.value).toBe(30)
})
