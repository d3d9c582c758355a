/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent, screen, within } from '@testing-library/react'
import type { ReactNode } from 'react'
import { helpMessages } from '@logged-thermal/wording'
import { HandoverView } from '../handover/HandoverView'
import { LimitsView } from '../limits/LimitsView'
import { MethodEditor } from '../methods/MethodEditor'
import { MethodsView } from '../methods/MethodsView'
import { InstrumentsView } from '../instruments/InstrumentsView'
import { PeopleView } from '../people/PeopleView'
import { RoundView } from '../round/RoundView'
import { StartBatch } from '../start/StartBatch'
import { TemperView } from '../temper/TemperView'
import { KitchenStory, LEAD, onTablet } from '../test/tablet'
import { custard } from '../../../core/src/test/kitchenStory'
import { places, type PlaceKey } from '../app/places'
import { tablet } from '../app/tablet'
import { More } from './More'
import { NotFound } from './NotFound'
import { SettingsView } from '../settings/SettingsView'
import { Shell } from './Shell'

jest.mock('react-chartjs-2', () => ({ Chart: () => null, Line: () => null }))
afterEach(() => jest.useRealTimers())

const tap = (key: HTMLElement) => act(() => void fireEvent.click(key))
const press = (key: string) => act(() => void fireEvent.keyDown(document.body, { key }))
const heading = () => screen.getByRole('heading', { level: 1 })

function kitchen(): KitchenStory {
  const story = new KitchenStory()
  story.cooked()
  return story
}

describe('each place', () => {
  it.each<[PlaceKey, ReactNode, RegExp]>([
    ['start', <StartBatch key="v" />, /Start a batch/],
    ['round', <RoundView key="v" />, /round is done|No pan is due|pans? due/],
    ['handover', <HandoverView key="v" />, /one batch runs on/],
    ['methods', <MethodsView key="v" />, /One method/],
    ['method', <MethodEditor key="v" />, /Test custard/],
    ['limits', <LimitsView key="v" />, /Food Code 2022/],
    ['temper', <TemperView key="v" />, /How much at once/],
    ['instruments', <InstrumentsView key="v" />, /No check is due/],
    ['people', <PeopleView key="v" />, /people work here/],
    ['settings', <SettingsView key="v" />, /How it is set/],
    ['more', <More key="v" />, /Where to/],
    ['missing', <NotFound key="v" />, /nothing at this address/],
  ])('%s gives its answer as a title, names the page, and leads back', async (key, view, title) => {
    const at = key === 'method' ? { path: `/methods/${custard.id}`, route: '/methods/:id' } : {}
    await onTablet(view, { story: kitchen(), now: 30, by: LEAD, ...at })
    expect(heading()).toHaveTextContent(title)
    expect(document.title).toBe(`${places[key].name} – Logged Thermal`)
    const { under } = places[key]
    const back = screen.queryByRole('link', { name: /^Back to/ })
    expect(back?.getAttribute('href') ?? null).toBe(under ? places[under].path : null)
  })
})

it('hands over from now on, unless another time is set', async () => {
  const { store } = await onTablet(<HandoverView />, { story: kitchen(), now: 30, by: LEAD })
  tap(screen.getByRole('button', { name: 'Hand over' }))
  const { claim } = store.getState().outbox.at(-1)!
  expect(claim.kind === 'handed-over' && claim.body.from).toBe(Math.floor(claim.at / 60_000) * 60_000)
})

describe('the frame', () => {
  const show = () => onTablet(<Shell>{<More />}</Shell>, { story: kitchen(), now: 30, path: '/more' })

  it('has five places, and nothing that is not a place', async () => {
    await show()
    const bar = screen.getByRole('navigation', { name: 'Views' })
    expect(
      within(bar)
        .getAllByRole('link')
        .map(({ textContent }) => textContent),
    ).toEqual(['Line', 'Bench', 'Cold store', 'Log', 'More'])
    expect(within(bar).queryAllByRole('button')).toEqual([])
    expect(screen.getByRole('link', { name: 'Go to the content' })).toHaveAttribute('href', '#main')
  })

  it('finds a batch, a method and a person by a part of their name, from anywhere', async () => {
    await show()
    press('/')
    const sheet = await screen.findByRole('dialog', { name: 'Find' })
    const field = within(sheet).getByLabelText('A dish, a code, a lot, a name')
    const type = (value: string) => act(() => void fireEvent.change(field, { target: { value } }))
    type('custard')
    expect(within(sheet).getByRole('region', { name: 'Batches' })).toHaveTextContent('pot')
    expect(within(sheet).getByRole('region', { name: 'Methods' })).toHaveTextContent('Test custard')
    type('varrow')
    expect(within(sheet).getByRole('region', { name: 'People, and what they logged' })).toHaveTextContent('Ilse Varrow')
    type('aubergine')
    expect(within(sheet).getByRole('status')).toHaveTextContent('Nothing here is called “aubergine”.')
  })

  it('says on each view what it is for, in three sentences, and explains a word on tap', async () => {
    await show()
    press('?')
    const sheet = await screen.findByRole('dialog', { name: 'Help: More' })
    expect(sheet).toHaveTextContent(helpMessages.more)
    tap(within(sheet).getByRole('button', { name: 'Gate' }))
    expect(within(sheet).getByText(helpMessages.gateMeans)).toBeInTheDocument()
    for (const key of Object.keys(places) as PlaceKey[]) {
      const sentences = helpMessages[key].split(/(?<=[.?!])\s+/)
      expect([key, sentences.length >= 2 && sentences.length <= 4]).toEqual([key, true])
    }
  })

  it('leads through the first shift, can be left at any step, and is found again', async () => {
    const { store } = await show()
    act(() => void store.dispatch(tablet.actions.tourAsked()))
    expect(await screen.findByRole('dialog', { name: 'Your first shift' })).toHaveTextContent('Step 1 of 6')
    tap(screen.getByRole('button', { name: 'Next' }))
    expect(screen.getByRole('dialog', { name: 'Your first shift' })).toHaveTextContent('Step 2 of 6')
    tap(screen.getByRole('button', { name: 'Not now' }))
    expect(screen.queryByRole('dialog', { name: 'Your first shift' })).toBeNull()
    press('?')
    tap(screen.getByRole('button', { name: 'Show the tour' }))
    expect(await screen.findByRole('dialog', { name: 'Your first shift' })).toHaveTextContent('Step 1 of 6')
  })
})
