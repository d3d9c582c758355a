/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent } from '@testing-library/react'
import { PRACTICE } from '@logged-thermal/core'
import { at, KitchenStory, LEAD, onTablet, settled } from '../test/tablet'
import { serverAnswers, type Sent } from '../test/server'
import { clockTold } from './clock'
import { useIdleLock } from './useIdleLock'

const MINUTE = 60_000
let sent: Sent[] = []
beforeEach(() => {
  ;({ sent } = serverAnswers())
})
afterEach(() => {
  jest.restoreAllMocks()
  jest.useRealTimers()
})

function Locking() {
  useIdleLock()
  return null
}
const passes = (minutes: number) => act(() => jest.advanceTimersByTimeAsync(minutes * MINUTE))
const locks = () => sent.filter(({ path }) => path === 'shift/lock').length

/** A kitchen whose shifts lock after a quarter of an hour. */
async function show(story: KitchenStory) {
  const last = story.kitchen.read('limits', story.kitchen.limits)!.versions.at(-1)!
  const set = { ...last, version: last.version + 1, from: at(-1), practice: { ...PRACTICE, idleMinutes: 15 } }
  story.enter('limits-set', story.kitchen.limits, -1, { set }, { by: LEAD })
  return onTablet(<Locking />, { story, now: 2 })
}

it('locks a tablet that nobody touches; a touch lets it go on and is told to the server', async () => {
  await show(new KitchenStory())
  await passes(14)
  fireEvent.pointerDown(document.body)
  await passes(14)
  expect(sent.filter(({ path }) => path === 'shift/touched')).toHaveLength(1)
  expect(locks()).toBe(0)
  await passes(2)
  expect(locks()).toBeGreaterThan(0)
})

it('waits for half an hour while a pot is on the heat', async () => {
  const story = new KitchenStory()
  story.read(story.begin('pot'), 1, 60)
  await show(story)
  await passes(29)
  expect(locks()).toBe(0)
  await passes(2)
  expect(locks()).toBeGreaterThan(0)
})

it('does not begin anew because the clock of the kitchen was set', async () => {
  const { store } = await show(new KitchenStory())
  await passes(10)
  act(() => void store.dispatch(clockTold({ askedAt: at(12), serverNow: at(12) + 500, heardAt: at(12) })))
  await settled(() => fireEvent.keyDown(document.body, { key: 'a' }))
  await passes(0.01)
  expect(sent.filter(({ path }) => path === 'shift/touched')).toHaveLength(1)
  await passes(16)
  expect(locks()).toBeGreaterThan(0)
})

it('does not take a tablet whose own clock is hours off for one that nobody touched', async () => {
  const { store } = await show(new KitchenStory())
  const heard = { askedAt: at(2), heardAt: at(2), serverNow: at(2) + 3 * 60 * MINUTE }
  act(() => void store.dispatch(clockTold(heard)))
  await passes(14)
  expect(locks()).toBe(0)
})

it('tells that hands are here also on a tablet whose own clock is ahead of the kitchen’s', async () => {
  const { store } = await show(new KitchenStory())
  const heard = { askedAt: at(2), heardAt: at(2), serverNow: at(2) - 70 * MINUTE }
  act(() => void store.dispatch(clockTold(heard)))
  await settled(() => fireEvent.keyDown(document.body, { key: 'a' }))
  await passes(0.01)
  expect(sent.filter(({ path }) => path === 'shift/touched')).toHaveLength(1)
})
