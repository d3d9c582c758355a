/** @jest-environment jsdom */
import '../test/browser'
import { fireEvent, screen, within } from '@testing-library/react'
import { KitchenStory, LEAD, onTablet, settled, tapped as tap } from '../test/tablet'
import { SettingsView } from './SettingsView'

afterEach(() => jest.useRealTimers())

const show = () => onTablet(<SettingsView />, { story: new KitchenStory(), now: 0, by: LEAD })
const sheet = () => within(screen.getByRole('dialog'))

it('says how the kitchen is set, and leads to where the rest is', async () => {
  await show()
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Test kitchen. How it is set.')
  expect(screen.getByRole('region', { name: 'This kitchen' })).toHaveTextContent('Addressnot saidDegrees°C')
  expect(screen.getByRole('link', { name: /Rules, clock/ })).toHaveTextContent('Food Code 2022, 24 h clock')
  expect(screen.getByRole('link', { name: /People and tablets/ })).toHaveTextContent('4 people log here')
  expect(screen.getByRole('link', { name: /Rounds and lists/ })).toHaveTextContent('none asked for')
})

it('asks for a name, says what a change changes, and then for the lead', async () => {
  await show()
  await tap(screen.getByRole('button', { name: 'Change' }))
  expect(sheet().getByText(/nothing is judged otherwise/)).toBeInTheDocument()
  await settled(() => fireEvent.change(sheet().getByLabelText('Name'), { target: { value: ' ' } }))
  await tap(sheet().getByRole('button', { name: 'Save from now on' }))
  expect(sheet().getByText(/Give the kitchen its name/)).toBeInTheDocument()
  await settled(() => fireEvent.change(sheet().getByLabelText('Name'), { target: { value: 'Fennimore Row' } }))
  await tap(sheet().getByRole('button', { name: 'Save from now on' }))
  expect(screen.getByRole('dialog')).toHaveTextContent('The lead signs')
})
