/** @jest-environment jsdom */
import '../../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { readRecipe, type Method } from '@logged-thermal/core'
import { useState } from 'react'
import type { PutRight } from '../../app/begun'
import { KitchenStory, onTablet, settled, tapped as tap } from '../../test/tablet'
import { Understood } from './Understood'

afterEach(() => jest.useRealTimers())

const TEXT = `Bay custard
500 ml whole milk
100 g fine sugar
6 egg yolks
2 tbsp moon dust

1. Heat the milk to 80 °C.
2. Whisk the yolks with the sugar, pour the hot milk over.
3. Cook, stirring, until thick.
Keeps three weeks.`
const reader = { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null } as const

async function show(text = TEXT) {
  const drafts: Method[] = []
  let kept: PutRight | null = null
  const read = readRecipe(text, 'metric')
  function Pasted() {
    const [right, setRight] = useState(kept)
    kept = right
    const asked = { read, of: text, right, measures: 'metric', reader } as const
    return <Understood {...asked} onRight={setRight} onDraft={(method) => drafts.push(method)} />
  }
  await onTablet(<Pasted />, {
    story: new KitchenStory(),
    now: 0,
  })
  return drafts
}
const rows = () => within(screen.getAllByRole('list')[0]!).getAllByRole('listitem')
const draft = () => screen.getByRole('button', { name: /Make a draft of it/ })
const choose = async (typed: string, name: string) => {
  const field = screen.getByRole('combobox', { name: /ingredient it is|most like/ })
  await settled(() => fireEvent.focus(field))
  await settled(() => fireEvent.change(field, { target: { value: typed } }))
  await tap(screen.getByRole('option', { name }))
}

it('marks each line as understood, guessed or not read, beside the words that were written', async () => {
  await show()
  expect(rows().map((row) => row.querySelector('i')?.textContent)).toEqual([
    'Understood',
    'Look at it',
    'Understood',
    'Not recognised',
  ])
  expect(rows()[0]).toHaveTextContent('Whole milk“500 ml whole milk”515 g')
  expect(rows()[1]).toHaveTextContent('“100 g fine sugar”')
})

it('names what is missing, and takes over no keeping time', async () => {
  await show()
  const said = screen.getAllByRole('note').map(({ textContent }) => textContent)
  expect(said).toEqual([
    '“moon dust” is not on the list. Say what it is, or leave it out.',
    '“Cook, stirring, until thick.” gives no temperature. The rules decide what it has to reach.',
    '“Keeps three weeks” does not count. The rules decide how long it keeps.',
  ])
})

it('makes no draft before every line is settled; then one with what was confirmed and the words of its amounts', async () => {
  const drafts = await show()
  expect(draft()).toHaveAttribute('aria-disabled', 'true')
  expect(draft()).toHaveAccessibleDescription('One line is not recognised: tap it, or leave it out.')
  await tap(within(rows()[3]!).getByRole('button', { name: /moon dust/ }))
  await tap(screen.getByRole('button', { name: 'Leave it out' }))
  await tap(draft())
  const [method] = drafts
  expect(method).toMatchObject({ name: 'Bay custard', family: 'poured-custard', own: [] })
  expect(method!.amounts.map(({ ingredient, grams, said }) => [ingredient, grams, said])).toEqual([
    ['milk', 515, '500 ml'],
    [expect.anything(), 100, undefined],
    ['yolk', 102, '6'],
  ])
})

it('puts a line right, and makes an ingredient of the house’s own of what is on no list', async () => {
  const drafts = await show()
  await tap(within(rows()[1]!).getByRole('button'))
  await choose('sugar', 'Sugar')
  await tap(screen.getByRole('button', { name: 'That is it' }))
  expect(rows()[1]!.querySelector('i')).toHaveTextContent('Understood')

  await tap(within(rows()[3]!).getByRole('button', { name: /moon dust/ }))
  await tap(screen.getByRole('button', { name: 'Not on the list' }))
  expect(screen.getByRole('button', { name: /Make it an ingredient/ })).toHaveAttribute('aria-disabled', 'true')
  await choose('icing sugar', 'Icing sugar')
  await tap(screen.getByRole('button', { name: 'Make it an ingredient' }))
  await tap(screen.getByRole('button', { name: 'That is it' }))
  await tap(draft())
  const { own, amounts } = drafts[0]!
  expect(own).toMatchObject([{ name: 'moon dust', unchecked: true, allergens: [] }])
  expect(amounts.map(({ ingredient }) => ingredient)).toEqual(['milk', 'sugar', 'yolk', own[0]!.key])
  expect(amounts[3]).toMatchObject({ said: '2 tbsp', grams: 15 })
})
