/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent } from '@testing-library/react'
import { KitchenStory, onTablet } from '../test/tablet'
import { otherBuildServed } from './build'
import { outbox } from './outbox'
import { loadProgram } from './program'
import { useReload } from './reload'

// No page of a test can be loaded anew: only whether it would be is seen.
jest.mock('./program', () => ({ isProgramKept: () => false, loadProgram: jest.fn() }))

afterEach(() => {
  jest.mocked(loadProgram).mockClear()
  jest.useRealTimers()
})

function Reloads() {
  useReload()
  return null
}
const loads = () => jest.mocked(loadProgram).mock.calls.length
const passes = (seconds: number) => act(() => jest.advanceTimersByTimeAsync(seconds * 1000))

it('loads another program once nobody has touched the tablet for a moment, and what it has is sent', async () => {
  const story = new KitchenStory()
  const { store } = await onTablet(<Reloads />, { story, now: 30 })
  const claim = story.kitchen.entries().at(-1)!.claim
  act(() => void store.dispatch(outbox.actions.entered({ ...claim, id: 'unsent' })))
  act(() => void store.dispatch(otherBuildServed()))
  await passes(10)
  expect(loads()).toBe(0)
  const seal = { seq: 1 }
  act(() => void store.dispatch(outbox.actions.answered([{ id: 'unsent', outcome: 'accepted', seal } as never])))
  await passes(4)
  fireEvent.pointerDown(document.body)
  await passes(4)
  expect(loads()).toBe(0)
  await passes(2)
  expect(loads()).toBe(1)
})

it('never does by itself while a pot is on the heat', async () => {
  const story = new KitchenStory()
  story.read(story.begin('pot'), 1, 60)
  const { store } = await onTablet(<Reloads />, { story, now: 2 })
  act(() => void store.dispatch(otherBuildServed()))
  await passes(60)
  expect(loads()).toBe(0)
})
