/** @jest-environment jsdom */
import '../test/browser'
import { act, screen } from '@testing-library/react'
import { KitchenStory, onTablet, tapped } from '../test/tablet'
import { Slept } from './Slept'

afterEach(() => jest.useRealTimers())

/** Cooling as it should: it is to be read again half an hour after the last reading. */
function cooling() {
  const story = new KitchenStory()
  const pot = story.begin('pot')
  story.mark(pot, 5, 'temper', 'combined')
  story.read(pot, 10, 80)
  story.mark(pot, 12, 'cook', 'done')
  story.read(pot, 20, 30)
  return story
}
const ticks = (seconds: number) => act(() => jest.advanceTimersByTimeAsync(seconds * 1000))
/** The tablet sleeps: no timer runs, and its clock goes on. */
const sleeps = async (minutes: number) => {
  act(() => jest.setSystemTime(Date.now() + minutes * 60_000))
  await ticks(2)
}

it('says what came to be due while the screen slept, until somebody has seen it', async () => {
  await onTablet(<Slept />, { story: cooling(), now: 23 })
  await ticks(5)
  expect(screen.queryByRole('alert')).toBeNull()
  await sleeps(95)
  expect(screen.getByRole('alert')).toHaveTextContent('This screen was dark from 10:23 to 11:58')
  expect(screen.getByRole('listitem')).toHaveTextContent('Test custard pot: Read now')
  await tapped(screen.getByRole('button', { name: 'Seen' }))
  expect(screen.queryByRole('alert')).toBeNull()
})

it('says nothing where it was seen all the time, or nothing came of it', async () => {
  await onTablet(<Slept />, { story: new KitchenStory(), now: 23 })
  await sleeps(60)
  expect(screen.queryByRole('alert')).toBeNull()
})
