/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { FRIDGE, KitchenStory, onTablet, settled, tapped } from '../test/tablet'
import { idOf, PROBE } from '../../../core/src/test/kitchenStory'
import { check, kitchen } from '../../../core/src/test/probeStory'
import { UndoToast } from '../shell/UndoToast'
import { BinRound } from './BinRound'
import { ColdStore } from './ColdStore'
import { ReceiveView } from './ReceiveView'
import { StockList } from './StockList'
import { UnitRound } from './UnitRound'

afterEach(() => jest.useRealTimers())
const tap = (key: HTMLElement) => act(() => void fireEvent.click(key))

/** Made on the first day and put away; cold air in the fridge. */
function held(): KitchenStory {
  const story = new KitchenStory()
  const batch = story.made()
  story.putAway(batch, 245)
  story.air(246, 3.2)
  return story
}

it('shows what is held by door, with the one key that comes next', async () => {
  await onTablet(<ColdStore />, { story: held(), now: 260 })
  expect(screen.getByRole('button', { name: /Fridge/ })).toHaveTextContent('1 thing')
  expect(screen.getByRole('button', { name: /^Pull/ })).toBeEnabled()
})

it('takes a discard back with one tap, counted down', async () => {
  const both = (
    <>
      <BinRound />
      <UndoToast />
    </>
  )
  const { store } = await onTablet(both, { story: held(), now: 260 + 4 * 24 * 60 })
  tap(screen.getAllByRole('button', { name: /^Bin/ })[0]!)
  const [discarded] = store.getState().outbox
  expect(discarded?.claim.kind).toBe('item-discarded')
  const toast = screen.getByText(/: binned$/).closest<HTMLElement>('[role="status"]')!
  expect(toast).toHaveTextContent('10 s')
  tap(within(toast).getByRole('button', { name: 'Undo' }))
  expect(store.getState().outbox.at(-1)?.claim).toMatchObject({
    kind: 'taken-back',
    body: { target: discarded!.claim.id },
  })
  expect(screen.queryByText(/: binned$/)).toBeNull()
})

it('lists it as a table that is sorted and filtered', async () => {
  await onTablet(<StockList />, { story: held(), now: 260 })
  const table = screen.getByRole('table', { name: 'What is held' })
  expect(within(table).getByRole('columnheader', { name: /Last day/ })).toHaveAttribute('aria-sort', 'ascending')
  expect(within(table).getAllByRole('row')).toHaveLength(2)
  tap(screen.getByRole('button', { name: 'no egg' }))
  expect(within(table).getAllByRole('row')).toHaveLength(1)
})

it('leads through a round of the units', async () => {
  await onTablet(<UnitRound />, { story: held(), now: 260 })
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent(/Round|round/)
  expect(screen.getByRole('list', { name: 'Units' })).toHaveTextContent('Fridge')
})

it('says what a unit is read with: what read it last, or its own display', async () => {
  const story = held()
  const typed = { value: 3.4, unit: 'C' as const }
  story.enter('unit-read', FRIDGE, 200, { typed, instrument: PROBE, noted: null })
  const { store } = await onTablet(<UnitRound />, { story, now: 900 })
  const readWith = screen.getByRole('combobox', { name: 'Read with' })
  expect(readWith).toHaveTextContent('Its own display')
  fireEvent.mouseDown(readWith)
  await tapped(screen.getByRole('option', { name: /^P/ }))
  await tapped(screen.getByRole('button', { name: '3' }))
  await tapped(screen.getByRole('button', { name: '.2' }))
  const [entered] = store.getState().outbox
  expect(entered?.claim).toMatchObject({ kind: 'unit-read', body: { instrument: PROBE } })
})

it('keeps the name of a delivery as it was typed, and takes for its ingredient only what was tapped', async () => {
  await onTablet(<ReceiveView />, { story: held(), now: 260 })
  await tapped(screen.getByRole('button', { name: 'Anything else' }))
  const name = (value: string) =>
    settled(() => fireEvent.change(screen.getByLabelText('What it is'), { target: { value } }))
  const offered = () =>
    within(screen.getByRole('group', { name: 'Which of these it is' }))
      .getAllByRole('button')
      .map((key) => [key.textContent, key.getAttribute('aria-pressed')])
  await name('butter')
  expect(offered()[0]).toEqual(['Butter', 'true'])
  expect(offered().at(-1)).toEqual(['None of these', 'false'])
  // Of a name that only begins like some, none is taken.
  await name('Butterm')
  expect(offered().every(([, pressed]) => pressed === 'false')).toBe(true)
  tap(screen.getByRole('button', { name: 'Hold it for the lead' }))
  expect(await screen.findByText('Tap which of these it is, or “None of these”.')).toBeInTheDocument()
  await tapped(screen.getByRole('button', { name: 'None of these' }))
  expect(screen.getByText(/Not on the list: its allergens are not known/)).toBeInTheDocument()
  await name('moon dust')
  expect(screen.queryByRole('group', { name: 'Which of these it is' })).toBeNull()
  expect(screen.getByLabelText('What it is')).toHaveValue('moon dust')
})

it('holds a delivery apart that nobody measured, and says why', async () => {
  await onTablet(<ReceiveView />, { story: held(), now: 260 })
  expect(screen.getByText(/Hold it apart/)).toBeInTheDocument()
  tap(screen.getByRole('button', { name: 'Hold it for the lead' }))
  // Each fault below its field, and the first of them is written into next.
  const [lot, supplier] = await screen.findAllByRole('alert')
  expect(lot).toHaveTextContent('Which lot is it?')
  expect(supplier).toHaveTextContent('Who is it from?')
  expect(screen.getByLabelText('Lot, as written on it')).toHaveFocus()
})

it('asks the lead about a lot whose probe failed after it came in', async () => {
  const story = kitchen()
  const read = (celsius: number) => ({ typed: { value: celsius, unit: 'C' as const }, instrument: PROBE })
  check(story, -40, 0)
  const good = { condition: { good: true, why: null } }
  story.receive(idOf('warm milk'), -30, 'milk', null, { ...good, code: 'M-1', received: read(4.2) })
  story.receive(idOf('cold milk'), -29, 'milk', null, { ...good, code: 'M-2', received: read(1) })
  check(story, 10, 1.9)
  await onTablet(<ReceiveView />, { story, now: 12 })
  expect(screen.getByText(/One lot waits for the lead/)).toBeInTheDocument()
  expect(screen.getByText(/it may have come in too warm/)).toBeInTheDocument()
  expect(screen.queryByRole('button', { name: 'Accept, milk M-2' })).toBeNull()
  await tapped(screen.getByRole('button', { name: 'Accept, milk M-1' }))
  expect(screen.getByRole('dialog')).toHaveTextContent('Accept milk M-1?')
})
