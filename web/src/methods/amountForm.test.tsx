/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { newMethod, type MeasureSystem, type Method } from '@logged-thermal/core'
import { KitchenStory, onTablet, settled, tapped as tap } from '../test/tablet'
import { AmountForm } from './AmountForm'
import type { Edit } from './editing'

afterEach(() => jest.useRealTimers())

const PLAIN = newMethod({ id: 'm', vesselId: 'v', name: 'Bay custard', family: 'poured-custard' })
const reader = { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null } as const

async function show(measures: MeasureSystem, amountKey: string | null = null, method: Method = PLAIN) {
  const edits: Edit[] = []
  const form = { method, others: [], amountKey, measures, reader }
  await onTablet(
    <AmountForm {...form} onEdit={(edit) => edits.push(edit)} onNext={() => undefined} onClose={() => undefined} />,
    {
      story: new KitchenStory(),
      now: 0,
    },
  )
  return edits
}
const choose = async (typed: string, name: string) => {
  const field = screen.getByLabelText('What, by any of its names')
  await settled(() => fireEvent.focus(field))
  await settled(() => fireEvent.change(field, { target: { value: typed } }))
  const options = within(screen.getByRole('listbox')).getAllByRole('option')
  const named = options.map((option) => option.textContent)
  await tap(options[named.indexOf(name)]!)
  return named
}
const type = (text: string) =>
  settled(() => fireEvent.change(screen.getByLabelText('How much'), { target: { value: text } }))
const put = () => tap(screen.getByRole('button', { name: 'Put it in' }))

it('offers the very thing that was typed first, and the rest after it', async () => {
  await show('metric')
  const offered = await choose('butter', 'Butter')
  expect(offered[0]).toBe('Butter')
  expect(offered).toContain('Brown butter')
})

it('says what an amount comes to and what that takes for granted, and keeps the words', async () => {
  const edits = await show('US')
  await choose('milk', 'Whole milk')
  await type('2 cups')
  expect(screen.getByText('487 g: a US cup of 236.59 ml, 1.03 g a millilitre')).toBeInTheDocument()
  await put()
  expect(edits).toMatchObject([{ amount: { ingredient: 'milk', grams: 487.4, count: null, said: '2 cups' } }])
})

it('asks which of two is meant before it takes either', async () => {
  const edits = await show('US')
  await choose('heavy cream', 'Whipping cream 36 %')
  await type('8 oz')
  expect(screen.getByRole('button', { name: /Put it in/ })).toHaveAttribute('aria-disabled', 'true')
  await tap(screen.getByRole('button', { name: '8 fl oz (US) = 234 g' }))
  await put()
  expect(edits).toMatchObject([{ amount: { grams: 234.2, said: '8 oz' } }])
})

it('counts eggs, weighs grams without keeping words, and says what it cannot read beside the field', async () => {
  const edits = await show('metric')
  await choose('eggs', 'Whole egg')
  await type('6 handfuls')
  expect(screen.getByText(/“handfuls” is not a measure we know/)).toBeInTheDocument()
  expect(screen.getByRole('button', { name: /Put it in/ })).toHaveAttribute('aria-disabled', 'true')
  await type('6 large')
  await put()
  await type('300 g')
  await put()
  expect(edits).toMatchObject([
    { amount: { grams: 366, count: 6, said: '6 large' } },
    { amount: { grams: 300, count: null } },
  ])
  expect(edits[1]).not.toHaveProperty('amount.said')
})

it('leaves an amount as it was saved when nothing of it is changed', async () => {
  // Six eggs of another size than is usual here.
  const eggs = {
    key: 'a',
    ingredient: 'egg',
    grams: 300,
    count: 6,
    step: PLAIN.steps[0]!.key,
    state: 'as it is',
  } as const
  const edits = await show('metric', 'a', { ...PLAIN, amounts: [eggs] })
  expect(screen.getByLabelText('How much')).toHaveValue('6')
  await tap(screen.getByRole('button', { name: 'Change it' }))
  expect(edits).toMatchObject([{ amount: { grams: 300, count: 6 } }])
})
