/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { ItemPage } from '../store/ItemPage'
import { KitchenStory, onTablet, settled, tapped as tap } from '../test/tablet'
import { TracesView } from './TracesView'

afterEach(() => jest.useRealTimers())

const TUB = '7d1f1a62-6f0e-7b57-9f0e-5a5d6c6c2a11'
const MINUTES_A_DAY = 24 * 60
const key = (name: string | RegExp) => screen.getByRole('button', { name })

/** A tub of something in a kitchen under a rule set. */
function withTub(ruleSet: string): KitchenStory {
  const story = new KitchenStory({ ruleSet })
  const measure = { value: 1000, unit: 'g' as const }
  story.enter('item-found', TUB, 0, { code: '300-1a', name: 'Tub of custard', measure, unit: null, shelf: null })
  return story
}

function withSample(): KitchenStory {
  const story = withTub('fr-2009')
  const sample = { name: 'x', place: 'freezer, box 1', until: '2020-01-01' }
  story.enter('item-used', TUB, 5, { measure: { value: 80, unit: 'g' }, then: 'sample', sample })
  return story
}

describe('samples', () => {
  it('are kept of each thing where the rule set asks for them: how much, and where', async () => {
    const at = { now: 10, path: `/store/item/${TUB}`, route: '/store/item/:id' }
    await onTablet(<ItemPage />, { story: withTub('us-food-code-2022'), ...at })
    expect(screen.queryByRole('button', { name: 'Keep a sample' })).toBeNull()
    await onTablet(<ItemPage />, { story: withTub('fr-2009'), ...at })
    await tap(key('Keep a sample'))
    const sheet = screen.getByRole('dialog')
    expect(sheet).toHaveTextContent('Say where it is kept first.')
    await settled(() =>
      fireEvent.change(within(sheet).getByLabelText('Where it is kept'), { target: { value: 'freezer, box 2' } }),
    )
    expect(sheet).not.toHaveTextContent('Say where it is kept first.')
    for (const digit of '80') await tap(within(sheet).getByRole('button', { name: digit }))
    await tap(within(sheet).getByRole('button', { name: 'Keep it' }))
    expect(screen.queryByRole('dialog')).toBeNull()
    expect(screen.getAllByText(/920 g/).length).toBeGreaterThan(0)
  })

  it('are listed with their day and source; before that day they go only to somebody, and then with one tap', async () => {
    await onTablet(<TracesView />, { story: withSample(), now: 10 })
    const samples = screen.getByRole('region', { name: 'Samples kept' })
    expect(samples).toHaveTextContent('80 g of Tub of custard 300-1a')
    expect(samples).toHaveTextContent(/kept through .*, freezer, box 1/)
    expect(samples).toHaveTextContent('Arrêté of 21 December 2009')
    await tap(key('Handed over'))
    const sheet = screen.getByRole('dialog')
    expect(within(sheet).getByRole('button', { name: 'Handed over' })).toBeDisabled()
    await settled(() =>
      fireEvent.change(within(sheet).getByLabelText('To whom, and why'), { target: { value: 'the authority' } }),
    )
    await tap(within(sheet).getByRole('button', { name: 'Handed over' }))
    expect(samples).toHaveTextContent('None is kept.')
  })

  it('may go once their day is over', async () => {
    await onTablet(<TracesView />, { story: withSample(), now: 40 * MINUTES_A_DAY })
    await tap(key('Thrown away'))
    expect(screen.getByRole('region', { name: 'Samples kept' })).toHaveTextContent('None is kept.')
  })
})

it('says which traces are due, and of each what may be taken', async () => {
  await onTablet(<TracesView />, { story: withTub('us-food-code-2022'), now: 10 })
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('2 traces are due.')
  expect(screen.getByRole('link', { name: /Tub of custard/ })).toHaveAttribute('href', `/store/lineage/item/${TUB}`)
  expect(screen.queryByRole('region', { name: 'Samples kept' })).toBeNull()
})
