/** @jest-environment jsdom */
import '../test/browser'
import { screen } from '@testing-library/react'
import { COOK, KitchenStory, LEAD, onTablet, tapped } from '../test/tablet'
import { ListsView } from './ListsView'

afterEach(() => jest.useRealTimers())

const opened = () => {
  const story = new KitchenStory()
  const lines = [{ key: 'basin', text: 'Hand basin: soap' }]
  const opening = { key: 'opening', name: 'Opening', days: [0, 1, 2, 3, 4, 5, 6], by: '12:00', lines }
  story.enter('lists-set', story.kitchen.id, -10, { lists: [opening] }, { by: LEAD })
  return story
}

const done = (by: string, minutes: number) => {
  const story = opened()
  story.enter('list-done', story.kitchen.id, minutes, { list: 'opening', day: '2027-03-03', faults: [] }, { by })
  return story
}

const back = () => screen.queryByRole('button', { name: 'Take it back: Opening' })

it('says which list waits, and is done with one tap', async () => {
  const { store } = await onTablet(<ListsView />, { story: opened(), now: 0 })
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('One list waits today.')
  await tapped(screen.getByRole('button', { name: 'All of it is right' }))
  expect(store.getState().outbox[0]?.claim).toMatchObject({ kind: 'list-done', body: { list: 'opening', faults: [] } })
})

it('is taken back within ten minutes by who tapped it, and by nobody else', async () => {
  const { store } = await onTablet(<ListsView />, { story: done(COOK, 1), now: 3 })
  const target = store.getState().outbox.length
  await tapped(back()!)
  expect(store.getState().outbox).toHaveLength(target + 1)
  expect(store.getState().outbox.at(-1)?.claim.kind).toBe('list-taken-back')
})

it('offers nobody to take back what another did, or what is long done', async () => {
  await onTablet(<ListsView />, { story: done(LEAD, 1), now: 3 })
  expect(back()).toBeNull()
  await onTablet(<ListsView />, { story: done(COOK, 1), now: 30 })
  expect(back()).toBeNull()
})
