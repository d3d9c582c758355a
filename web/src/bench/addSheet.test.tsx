/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { KitchenStory, onTablet, settled, tapped as tap } from '../test/tablet'
import { AddSheet } from './AddSheet'

afterEach(() => jest.useRealTimers())

async function show() {
  const story = new KitchenStory()
  const id = story.begin('pot')
  const batch = story.kitchen.read('batch', id)!
  const sheet = <AddSheet batch={batch} step="cook" open onClose={() => undefined} />
  const { store } = await onTablet(sheet, { story, now: 7 })
  return () => store.getState().outbox.at(-1)?.claim
}
const key = (name: string | RegExp) => within(screen.getByRole('dialog')).getByRole('button', { name })
const write = (label: string | RegExp, value: string) =>
  settled(() => fireEvent.change(screen.getByLabelText(label), { target: { value } }))

it('puts in what no list has, as what it is most like: like raw egg it opens the floor again', async () => {
  const entered = await show()
  await write('Find an ingredient', 'farm mix')
  await tap(key('Not on the list'))
  expect(screen.getByLabelText('Name')).toHaveValue('farm mix')
  const like = screen.getByRole('combobox', { name: 'What it is most like' })
  await settled(() => fireEvent.focus(like))
  await settled(() => fireEvent.change(like, { target: { value: 'whole egg' } }))
  await tap(screen.getByRole('option', { name: 'Whole egg' }))
  await tap(key('Make it an ingredient'))
  expect(key('farm mix')).toHaveAttribute('aria-pressed', 'true')
  expect(screen.getByRole('dialog')).toHaveTextContent(/raw egg/i)
  await tap(key('In, not weighed'))
  expect(entered()).toMatchObject({
    kind: 'added',
    body: { own: { name: 'farm mix', egg: 'whole', unchecked: true }, grams: null, state: 'as it is' },
  })
})

it('takes frozen fruit as frozen until somebody says that it was treated', async () => {
  const entered = await show()
  await write('Find an ingredient', 'frozen cherries')
  await tap(key('Frozen cherries'))
  expect(key('frozen')).toHaveAttribute('aria-pressed', 'true')
  await tap(key('In, not weighed'))
  expect(entered()).toMatchObject({ body: { ingredient: 'frozen-cherries', state: 'frozen' } })
  expect(entered()).not.toHaveProperty('body.own')
})
