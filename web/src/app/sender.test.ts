/** @jest-environment jsdom */
import '../test/browser'
import type { AnyClaim, Seal } from '@logged-thermal/core'
import { outbox } from './outbox'
import { startSending } from './sender'
import { makeStore } from './store'

const claim = (id: string) => ({ id, kind: 'noted', by: 'mina', body: { text: id } }) as unknown as AnyClaim
type Reply = (status: number | null) => void

/** A server that answers when the test says so: with a status, or, for null, not at all. */
function opened() {
  const posts: { ids: string[]; reply: Reply }[] = []
  const { signal } = new AbortController()
  jest.spyOn(globalThis, 'fetch').mockImplementation((_, init) => {
    const { entries } = JSON.parse(init?.body as string) as { entries: { id: string }[] }
    const ids = entries.map(({ id }) => id)
    return new Promise((resolve, reject) => {
      ;(init?.signal ?? signal).addEventListener('abort', () => reject(new Error('given up')))
      const results = ids.map((id, i) => ({ id, outcome: 'accepted', seal: { seq: i + 1 } as Seal }))
      posts.push({
        ids,
        reply: (status) =>
          status === null
            ? reject(new TypeError('away'))
            : resolve({
                status,
                ok: status < 400,
                headers: new Map(),
                json: () => Promise.resolve({ now: Date.now(), results }),
              } as unknown as Response),
      })
    })
  })
  const store = makeStore()
  const stop = startSending(store)
  const enter = (id: string) => store.dispatch(outbox.actions.entered(claim(id)))
  const settle = () => jest.advanceTimersByTimeAsync(0)
  return { store, stop, enter, settle, posts, ids: () => posts.map((post) => post.ids.join(' ')) }
}

beforeEach(() => jest.useFakeTimers())
afterEach(() => {
  jest.restoreAllMocks()
  jest.useRealTimers()
})

it('sends what is entered while an answer comes in, without another tap', async () => {
  const { enter, settle, posts, ids, stop } = opened()
  enter('a')
  posts[0]!.reply(200)
  enter('b')
  expect(document.documentElement.hasAttribute('data-unsent')).toBe(true)
  await settle()
  expect(ids()).toEqual(['a', 'b'])
  posts[1]!.reply(200)
  await settle()
  expect(document.documentElement.hasAttribute('data-unsent')).toBe(false)
  stop()
})

it('has one post on its way at a time, in the order of entering', async () => {
  const { enter, settle, posts, ids, stop } = opened()
  for (const id of ['a', 'b', 'c']) enter(id)
  await settle()
  expect(ids()).toEqual(['a'])
  posts[0]!.reply(200)
  await settle()
  expect(ids()).toEqual(['a', 'b c'])
  stop()
})

it('tries again while the server is away, slower and slower, and gives up a post without an answer', async () => {
  const { store, enter, settle, posts, ids, stop } = opened()
  enter('a')
  posts[0]!.reply(null)
  await settle()
  expect(store.getState().connection.there).toBe(false)
  enter('b')
  await jest.advanceTimersByTimeAsync(499)
  expect(ids()).toEqual(['a'])
  await jest.advanceTimersByTimeAsync(1)
  expect(ids()).toEqual(['a', 'a b'])
  await jest.advanceTimersByTimeAsync(20_000 + 999)
  expect(ids()).toEqual(['a', 'a b'])
  await jest.advanceTimersByTimeAsync(1)
  expect(ids()).toEqual(['a', 'a b', 'a b'])
  stop()
  posts[2]!.reply(500)
  await jest.advanceTimersByTimeAsync(60_000)
  expect(posts).toHaveLength(3)
})
