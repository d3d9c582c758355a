/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { KitchenStory, onTablet, settled, tapped as tap } from '../test/tablet'
import { SetUp } from './SetUp'

afterEach(() => jest.useRealTimers())

const key = (name: string | RegExp) => screen.getByRole('button', { name })
const type = (label: string, value: string) =>
  settled(() => fireEvent.change(screen.getByLabelText(label), { target: { value } }))
async function choose(list: string, option: string): Promise<void> {
  await settled(() => fireEvent.mouseDown(screen.getByRole('combobox', { name: list })))
  await tap(screen.getByRole('option', { name: option }))
}
const show = () => onTablet(<SetUp />, { story: new KitchenStory(), now: 0 })

it('says beside each answer what is missing, and asks for no PIN before all are there', async () => {
  await show()
  await tap(key('Then a PIN'))
  for (const said of ['The set-up code has eight', 'Give the kitchen its name', 'Who is the food-safety lead?'])
    expect(screen.getByText(new RegExp(said))).toBeInTheDocument()
  await type('Set-up code', 'k7qm 2r9x')
  await type('Name of the kitchen', 'Fennimore Row pastry')
  await type('Food-safety lead', 'Ana Lind')
  await tap(key('Then a PIN'))
  expect(screen.getByRole('alert')).toHaveTextContent('Choose the rules that your inspector uses.')
  expect(screen.queryByRole('region', { name: 'PIN' })).toBeNull()
  await choose('Rules that your inspector uses', 'England 2013')
  await tap(key('Then a PIN'))
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Now the lead’s PIN. Fennimore Row pastry')
  // Back, nothing that was written is lost.
  await tap(key('Back'))
  expect(screen.getByLabelText('Name of the kitchen')).toHaveValue('Fennimore Row pastry')
  expect(screen.getByRole('combobox', { name: 'Rules that your inspector uses' })).toHaveTextContent('England 2013')
})

it('shows degrees as the rules print them, unless somebody says otherwise, and warns that the choice is theirs', async () => {
  await show()
  const degrees = () => within(screen.getByRole('group', { name: 'Degrees' }))
  await choose('Rules that your inspector uses', 'Food Code 2022')
  expect(degrees().getByRole('button', { name: '°F' })).toHaveAttribute('aria-pressed', 'true')
  expect(screen.getByText(/ask your inspector which edition is in force/)).toBeInTheDocument()
  await tap(degrees().getByRole('button', { name: '°C' }))
  await choose('Rules that your inspector uses', 'England 2013')
  await choose('Rules that your inspector uses', 'Food Code 2022')
  expect(degrees().getByRole('button', { name: '°C' })).toHaveAttribute('aria-pressed', 'true')
})

it('begins in the zone of the machine, whatever that is called', async () => {
  await show()
  expect(screen.getByRole('combobox', { name: 'Time zone' })).toHaveTextContent(
    Intl.DateTimeFormat().resolvedOptions().timeZone.replaceAll('_', ' '),
  )
})

it('tells what a rule set is unsure of and leaves open, and offers its stricter line to the house', async () => {
  await show()
  await choose('Rules that your inspector uses', 'Australia, Food Standards Code 3.2.2')
  expect(screen.getByText(/recalled with medium confidence/)).toBeInTheDocument()
  expect(screen.getByText(/It prints no number for: .*does not pass before the house sets a line/)).toBeInTheDocument()
  expect(screen.getByRole('checkbox', { name: /as a line of this house: .*75°/ })).not.toBeChecked()
  const clock = () => within(screen.getByRole('group', { name: 'Clock' }))
  expect(clock().getByRole('button', { name: '24 h' })).toHaveAttribute('aria-pressed', 'true')
  await choose('Rules that your inspector uses', 'Food Code 2022')
  expect(clock().getByRole('button', { name: '12 h' })).toHaveAttribute('aria-pressed', 'true')
})
