/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { CHEF, COOK, KitchenStory, LEAD, OTHER, onTablet, settled, tapped as tap } from '../test/tablet'
import { PeopleView } from './PeopleView'

afterEach(() => jest.useRealTimers())

const key = (name: string | RegExp) => screen.getByRole('button', { name })
const sheet = () => screen.getByRole('dialog')
const type = (label: string, value: string) =>
  settled(() => fireEvent.change(within(sheet()).getByLabelText(label), { target: { value } }))
const pin = async (digits: string) => {
  for (const digit of digits) await tap(within(sheet()).getByRole('button', { name: digit }))
  await tap(within(sheet()).getByRole('button', { name: 'Done' }))
}
const show = (by = LEAD) => onTablet(<PeopleView />, { story: new KitchenStory(), now: 0, by })

it('names everybody with their job, and their role where the job does not say it', async () => {
  await show()
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('4 people work here.')
  const rows = within(screen.getByRole('region', { name: 'People' })).getAllByRole('listitem')
  const said = rows.map((row) => row.querySelector('small')?.textContent)
  expect(said).toEqual(['pastry cook', 'pastry cook', 'pastry chef', 'food-safety lead'])
})

it('asks who is new, says what their role may do, and takes a PIN only when it is typed twice alike', async () => {
  await show()
  await tap(key('Add a person'))
  await tap(key('Then a PIN'))
  expect(within(sheet()).getByText('Who is it?')).toBeInTheDocument()
  await tap(within(sheet()).getByRole('button', { name: 'Food-safety lead' }))
  expect(sheet()).toHaveTextContent('Signs with six digits or more.')
  await type('Name', 'Ana Lind')
  expect(within(sheet()).queryByText('Who is it?')).toBeNull()
  await tap(key('Then a PIN'))
  expect(sheet()).toHaveTextContent('Six digits or more.')
  for (const digit of '7352') await tap(within(sheet()).getByRole('button', { name: digit }))
  expect(key('Done')).toBeDisabled()
  await pin('16')
  expect(sheet()).toHaveTextContent('the new PIN once more')
  await pin('735217')
  expect(within(sheet()).getByRole('alert')).toHaveTextContent('Those were two different PINs.')
  await pin('735216')
  await pin('735216')
  // Then the lead's: what is typed so far is somebody else's.
  expect(sheet()).toHaveTextContent('Ana Lind: Food-safety lead. Ilse Varrow signs.')
})

it('says where it fails that the server is away, and keeps what was written', async () => {
  await show()
  await tap(key('Add a person'))
  await type('Name', 'Ana Lind')
  await tap(key('Then a PIN'))
  await pin('7352')
  await pin('7352')
  for (const digit of '407153') await tap(within(sheet()).getByRole('button', { name: digit }))
  expect(await within(sheet()).findByText(/server does not answer/)).toBeInTheDocument()
  expect(sheet()).toHaveTextContent('Ana Lind: Cook.')
})

it('asks for a signature only where a role changes, and says what leaving means', async () => {
  await show()
  await tap(key('Role of Teo Brandt'))
  expect(within(sheet()).getByRole('button', { name: 'Cook' })).toHaveAttribute('aria-pressed', 'true')
  expect(within(sheet()).queryByRole('region', { name: 'PIN' })).toBeNull()
  await tap(within(sheet()).getByRole('button', { name: 'Works here no more' }))
  expect(sheet()).toHaveTextContent('What they logged stays under their name.')
  expect(within(sheet()).getByRole('region', { name: 'PIN' })).toBeInTheDocument()
  await tap(within(sheet()).getByRole('button', { name: 'Cook' }))
  expect(within(sheet()).queryByRole('region', { name: 'PIN' })).toBeNull()
})

it('has whoever looks after people sign for cooks, and the lead for leads and for them', async () => {
  const story = new KitchenStory()
  const people = [COOK, OTHER, CHEF, LEAD].map((id) => ({
    id,
    role: id === LEAD ? ('lead' as const) : id === CHEF ? ('chef' as const) : ('cook' as const),
  }))
  story.enter('people-found', story.kitchen.id, -20, { people }, { by: story.kitchen.id })
  story.enter('role-given', story.kitchen.id, -10, { person: CHEF, role: 'chef', administers: true }, { by: LEAD })
  await onTablet(<PeopleView />, { story, now: 0, by: CHEF })
  expect(screen.getByText(/looks after people and tablets/)).toHaveTextContent('pastry chef')
  await tap(key('Role of Teo Brandt'))
  expect(within(sheet()).queryByRole('button', { name: 'Food-safety lead' })).toBeNull()
  expect(within(sheet()).queryByRole('checkbox')).toBeNull()
  await tap(within(sheet()).getByRole('button', { name: 'Auditor' }))
  expect(within(sheet()).getByRole('region', { name: 'PIN' })).toHaveTextContent('Noor Hallet')
  await tap(key('Not now'))
  await tap(key('Role of Noor Hallet'))
  const box = within(sheet()).getByRole('checkbox', { name: 'Looks after people and tablets too' })
  expect(box).toBeChecked()
  await tap(box)
  expect(within(sheet()).getByRole('region', { name: 'PIN' })).toHaveTextContent('Ilse Varrow')
})

it('has somebody change their own PIN with their own, and the lead anybody’s with the lead’s', async () => {
  await show()
  await tap(key('PIN of Teo Brandt'))
  expect(within(sheet()).getByRole('region', { name: 'PIN' })).toHaveTextContent('Ilse Varrow')
})
