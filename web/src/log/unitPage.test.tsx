/** @jest-environment jsdom */
import '../test/browser'
import { screen, within } from '@testing-library/react'
import { at, FRIDGE, KitchenStory, onTablet } from '../test/tablet'
import { UnitPage } from './UnitPage'

afterEach(() => jest.useRealTimers())

const open = (story: KitchenStory, now: number, unit = FRIDGE) =>
  onTablet(<UnitPage />, { story, now, path: `/store/unit/${unit}`, route: '/store/unit/:id' })
const air = (story: KitchenStory, minutes: number, value: number) =>
  story.enter('unit-read', FRIDGE, minutes, { typed: { value, unit: 'C' }, instrument: null, noted: null })

it('tells when a unit was too warm, for how long at most, and how often it was looked at', async () => {
  const story = new KitchenStory()
  for (const [minutes, value] of [
    [10, 3],
    [70, 9],
    [110, 8],
    [130, 3.5],
  ] as const)
    air(story, minutes, value)
  await open(story, 200)
  const outside = screen.getByRole('region', { name: /outside of what it has to keep/ })
  // From the last good look to the next one.
  expect(within(outside).getByRole('listitem')).toHaveTextContent('11:10: 2 h at most. Worst 9.0°.')
  expect(within(outside).getByRole('link')).toHaveAttribute('href', '/log/review')
  const own = story.kitchen.read('unit', FRIDGE)!.airs.filter((look) => look.at <= at(200)).length
  expect(screen.getByRole('region', { name: 'Its air' })).toHaveTextContent(`Looked at ${own} times`)
})

it('says that it was never outside, and that there is no such unit', async () => {
  const story = new KitchenStory()
  air(story, 10, 3)
  await open(story, 60)
  expect(screen.getByRole('region', { name: /outside/ })).toHaveTextContent(/Never in that time/)
  await open(story, 60, 'nowhere')
  expect(screen.getByText('There is no such unit here.')).toBeInTheDocument()
})
