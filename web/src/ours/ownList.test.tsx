/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { COOK, KitchenStory, LEAD, onTablet, settled, tapped as tap } from '../test/tablet'
import { useLine } from '../app/kitchen'
import { OwnList } from './OwnList'

afterEach(() => jest.useRealTimers())

const key = '00000000-0000-7000-8000-00000000c0de'

function Shown({ mayChange }: { mayChange: boolean }) {
  const line = useLine()
  return line && <OwnList line={line} mayChange={mayChange} onClose={() => undefined} />
}

async function show(mayChange = true) {
  const story = new KitchenStory()
  const crunch = { key, name: 'Farm crunch', like: 'butter', allergens: null }
  story.enter('ingredient-named', story.kitchen.id, 1, crunch, { by: COOK })
  return onTablet(<Shown mayChange={mayChange} />, { story, now: 2, by: LEAD })
}

const row = () => screen.getByText('Farm crunch').closest('li')!

it('the lead reads its allergens, says that it is another one, and that it is taken no longer', async () => {
  const { store } = await show()
  expect(row()).toHaveTextContent('like butter · allergens not known')
  await tap(screen.getByRole('button', { name: 'Put Farm crunch right' }))
  await tap(within(row()).getByRole('button', { name: 'Read from its package' }))
  await tap(within(row()).getByLabelText('sesame'))
  await tap(within(row()).getByRole('button', { name: 'Save' }))
  expect(row()).toHaveTextContent('like butter · sesame')

  await tap(screen.getByRole('button', { name: 'Put Farm crunch right' }))
  const same = within(row()).getByRole('combobox', { name: /The same as/ })
  await settled(() => fireEvent.focus(same))
  await settled(() => fireEvent.change(same, { target: { value: 'brown butter' } }))
  await tap(within(screen.getByRole('listbox')).getAllByRole('option')[0]!)
  await tap(within(row()).getByRole('button', { name: 'Save' }))
  expect(row()).toHaveTextContent('the same as Brown butter · sesame')

  await tap(within(row()).getByRole('button', { name: 'Not taken any more' }))
  expect(row()).toHaveTextContent('not taken any more')
  expect(store.getState().outbox.map(({ claim }) => claim.body)).toMatchObject([
    { key, allergens: ['sesame'], into: null, gone: false },
    { key, allergens: ['sesame'], into: 'brown-butter', gone: false },
    { key, into: 'brown-butter', gone: true },
  ])
})

it('anybody else reads it', async () => {
  await show(false)
  expect(row()).toHaveTextContent('Farm crunch')
  expect(screen.queryByRole('button', { name: /Put Farm crunch right/ })).toBeNull()
  expect(screen.getByText('Only the lead changes them.')).toBeInTheDocument()
})
