/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { KitchenStory, onTablet } from '../test/tablet'
import { Bench } from './Bench'

jest.mock('react-chartjs-2', () => ({ Chart: () => null, Line: () => null }))
afterEach(() => jest.useRealTimers())

const open = (story: KitchenStory, batch: string, now: number) =>
  onTablet(<Bench />, { story, now, path: `/bench/${batch}`, route: '/bench/:id' })
const board = () => screen.getByRole('region', { name: /Degree board/ })
const tap = (key: HTMLElement) => act(() => void fireEvent.click(key))

function onTheHeat(): [KitchenStory, string] {
  const story = new KitchenStory()
  const batch = story.begin('pot')
  story.mark(batch, 5, 'temper', 'combined')
  story.read(batch, 6, 60)
  return [story, batch]
}

it('logs a reading with two taps, and keeps its rows where they are', async () => {
  const [story, batch] = onTheHeat()
  const { store } = await open(story, batch, 7)
  const before = within(board())
    .getAllByRole('button')
    .map((key) => key.textContent)
  tap(within(board()).getByRole('button', { name: '66' }))
  tap(within(board()).getByRole('button', { name: '.4' }))
  expect(store.getState().outbox.at(-1)?.claim).toMatchObject({
    kind: 'reading-taken',
    body: { typed: { value: 66.4, unit: 'C' } },
  })
  expect(
    within(board())
      .getAllByRole('button')
      .map((key) => key.textContent),
  ).toEqual(before)
})

it('clears a half tapped value with one key', async () => {
  const [story, batch] = onTheHeat()
  await open(story, batch, 7)
  tap(within(board()).getByRole('button', { name: '66' }))
  expect(within(board()).getByRole('button', { name: '66' })).toHaveAttribute('aria-pressed', 'true')
  tap(within(board()).getByRole('button', { name: 'Clear' }))
  expect(within(board()).getByRole('button', { name: '66' })).toHaveAttribute('aria-pressed', 'false')
  expect(within(board()).getByRole('button', { name: 'Clear' })).toBeDisabled()
})

it('asks before a pot comes off the heat unproven, and enters nothing until somebody is sure', async () => {
  const [story, batch] = onTheHeat()
  const { store } = await open(story, batch, 7)
  tap(screen.getByRole('button', { name: 'Off the heat' }))
  const sheet = screen.getByRole('dialog', { name: /before it is proven/ })
  expect(store.getState().outbox).toHaveLength(0)
  tap(within(sheet).getByRole('button', { name: 'It is off the heat' }))
  expect(store.getState().outbox.at(-1)?.claim).toMatchObject({ kind: 'step-marked', body: { edge: 'done' } })
})

it('shows a hold beside what is to be done', async () => {
  const story = new KitchenStory()
  const batch = story.cooked()
  const { store } = await open(story, batch, 25)
  expect(store.getState().line?.batches).toHaveLength(1)
  expect(screen.queryByRole('region', { name: 'On hold' })).toBeNull()
  expect(screen.getByRole('region', { name: 'Why' })).toHaveTextContent('Food Code')
})
