/** @jest-environment jsdom */
import '../test/browser'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { CHECK_READINGS, type Bodies, type Claim } from '@logged-thermal/core'
import { idOf, PROBE } from '../../../core/src/test/kitchenStory'
import { KitchenStory, LEAD, onTablet, settled, tapped as tap } from '../test/tablet'
import { Certificate } from './Certificate'
import { CheckView } from './CheckView'
import { InstrumentPage } from './InstrumentPage'
import { InstrumentsView } from './InstrumentsView'
import { asksForCheck, lanesOf } from './lanes'

afterEach(() => jest.useRealTimers())

const WEEKLY = { everyDays: 7, overdue: 'counts' as const }
const ID = { p4: PROBE, p5: idOf('p5'), ph: idOf('ph') }
const DAY = 24 * 60

const kitchen = () =>
  new KitchenStory({
    instruments: [
      { id: ID.p4, code: 'P4', kind: 'probe', checks: WEEKLY },
      { id: ID.p5, code: 'P5', kind: 'probe', checks: WEEKLY },
      { id: ID.ph, code: 'pH1', kind: 'ph', checks: WEEKLY },
    ],
  })

const inIce = (celsius: number): Bodies['instrument-checked'] => ({
  against: { kind: 'ice' },
  shown: Array.from({ length: CHECK_READINGS }, () => ({ value: celsius, unit: 'C' as const })),
  found: { reference: 0, error: 0, passed: true, since: null, doubted: [] },
})

const key = (name: string | RegExp) => screen.getByRole('button', { name })
const heading = () => screen.getByRole('heading', { level: 1 })
const passes = (seconds: number) => act(() => jest.advanceTimersByTimeAsync(seconds * 1000))

it('lists what failed first, then what proves nothing, then by when each is due', () => {
  const story = kitchen()
  story.enter('instrument-checked', ID.p4, -40, inIce(0.2))
  const at = (minutes: number) =>
    lanesOf(
      [ID.p4, ID.p5].map((id) => story.kitchen.read('instrument', id)!),
      story.kitchen.read('instrument', ID.p4)!.history[0]!.at + minutes * 60_000,
    )
  expect(at(10).map(({ instrument }) => instrument.code)).toEqual(['P5', 'P4'])
  expect(at(10).filter(asksForCheck)).toHaveLength(1)
  expect(at(8 * DAY).map(({ standing }) => standing.backing)).toEqual(['unchecked', 'overdue'])
  expect(at(15 * DAY).map(({ standing }) => standing.backing)).toEqual(['lapsed', 'unchecked'])
})

it('says what needs hands, and how far what is checked was out', async () => {
  const story = kitchen()
  story.enter('instrument-checked', ID.p4, -40, inIce(0.7))
  await onTablet(<InstrumentsView />, { story, now: 0, by: LEAD })
  expect(heading()).toHaveTextContent('2 need a check.')
  const row = (name: string) => within(screen.getByRole('region', { name }))
  expect(row('P4, Core probe').getByText(/reads 0.7° high/)).toBeInTheDocument()
  expect(row('P5, Core probe').getByText('it proves nothing until then')).toBeInTheDocument()
})

it('adds one with its code, what it is held to and how often it is checked; the lead signs', async () => {
  await onTablet(<InstrumentsView />, { story: kitchen(), now: 0, by: LEAD })
  await tap(key('Add an instrument'))
  const sheet = () => within(screen.getByRole('dialog'))
  await tap(sheet().getByRole('button', { name: 'Register it' }))
  expect(sheet().getByText('Enter the code written on it, such as P3.')).toBeInTheDocument()
  await settled(() => fireEvent.change(sheet().getByLabelText('Code written on it'), { target: { value: 'P4' } }))
  expect(sheet().getByText('P4 is registered already.')).toBeInTheDocument()
  await tap(sheet().getByRole('button', { name: 'pH meter' }))
  expect(sheet().getByRole('button', { name: '0.05' })).toHaveAttribute('aria-pressed', 'false')
  await settled(() => fireEvent.change(sheet().getByLabelText('Code written on it'), { target: { value: 'pH2' } }))
  await tap(sheet().getByRole('button', { name: 'Register it' }))
  expect(screen.getByRole('dialog')).toHaveTextContent('pH2: the lead signs')
})

const check = (story: KitchenStory, id: string) =>
  onTablet(<CheckView />, {
    story,
    now: 0,
    by: LEAD,
    path: `/instruments/${id}/check`,
    route: '/instruments/:id/check',
  })

it('asks about a tap that comes too soon, and takes off the middle of three', async () => {
  const { store } = await check(kitchen(), ID.p5)
  await tap(key('It is ready'))
  await tap(key('0.4'))
  expect(screen.getByRole('alert')).toHaveTextContent('Wait 30 s more')
  await tap(key('I’ll wait'))
  await passes(31)
  await tap(key('0.4'))
  await tap(key('0.5'))
  expect(screen.getByRole('alert')).toHaveTextContent('Three taps in a row are one reading, not three.')
  await tap(key('It was stirred: count it'))
  await passes(21)
  await tap(key('0.5'))
  expect(screen.getByText('P5 passes: +0.5° out')).toBeInTheDocument()
  await tap(key('Log the check'))
  const claim = store.getState().outbox[0]!.claim as Claim<'instrument-checked'>
  expect(claim.kind).toBe('instrument-checked')
  expect(claim.body.found).toMatchObject({ error: 0.5, passed: true })
})

it('takes a number that is off the board, and says beforehand what failing will mean', async () => {
  const story = kitchen()
  story.enter('instrument-checked', ID.p4, -40, inIce(0))
  await check(story, ID.p4)
  expect(screen.getByText(/What P4 read since .* stands in doubt/)).toBeInTheDocument()
  await tap(key('It is ready'))
  await passes(31)
  for (let i = 0; i < 3; i++) {
    await tap(key('Another number'))
    const sheet = within(screen.getByRole('dialog'))
    const field = sheet.getByLabelText('P4 shows, °C')
    await settled(() => fireEvent.change(field, { target: { value: 'warm' } }))
    await tap(sheet.getByRole('button', { name: 'Enter it' }))
    expect(sheet.getByText(/warm is no temperature/)).toBeInTheDocument()
    await settled(() => fireEvent.change(field, { target: { value: '−2,4' } }))
    await tap(sheet.getByRole('button', { name: 'Enter it' }))
    await passes(21)
  }
  expect(screen.getByText('P4 fails: −2.4° out')).toBeInTheDocument()
  expect(screen.getByText(/Take it off the bench/)).toBeInTheDocument()
})

it('lays the board around boiling water as high as the kitchen lies, and asks for an altitude that there is', async () => {
  await check(kitchen(), ID.p5)
  await tap(key('In boiling water'))
  await settled(() => fireEvent.change(screen.getByLabelText('Altitude, m'), { target: { value: '1500' } }))
  expect(screen.getByText(/Here water boils at 95/)).toBeInTheDocument()
  await settled(() => fireEvent.change(screen.getByLabelText('Altitude, m'), { target: { value: 'high' } }))
  expect(screen.getAllByText(/Enter the altitude in metres/)).not.toHaveLength(0)
  await settled(() => fireEvent.change(screen.getByLabelText('Altitude, m'), { target: { value: '1500' } }))
  await tap(key('It is ready'))
  expect(key('95.0')).toBeInTheDocument()
})

it('checks a pH meter in two buffers', async () => {
  const { store } = await check(kitchen(), ID.ph)
  const [seven, four] = [/pH 7/, /pH 4/].map((name) => screen.getByLabelText(name))
  await settled(() => fireEvent.change(seven!, { target: { value: '7.04' } }))
  await tap(key('Log the check'))
  expect(screen.getByText('Enter what it shows, from 0 to 14.')).toBeInTheDocument()
  await settled(() => fireEvent.change(four!, { target: { value: '4,2' } }))
  await tap(key('Log the check'))
  const claim = store.getState().outbox[0]!.claim as Claim<'instrument-checked'>
  expect(claim.body.found).toMatchObject({ reference: 4, error: 0.2, passed: false })
})

it('keeps every check, and is due at once after a fall', async () => {
  const story = kitchen()
  story.enter('instrument-checked', ID.p4, -40, inIce(0.7))
  const asked = { story, now: 0, by: LEAD, path: `/instruments/${ID.p4}`, route: '/instruments/:id' }
  await onTablet(<InstrumentPage />, asked)
  expect(heading()).toHaveTextContent('P4, Core probe. It is checked.')
  expect(screen.getByRole('cell', { name: '+0.7°' })).toBeInTheDocument()
  await tap(key('It fell'))
  await passes(2)
  expect(heading()).toHaveTextContent('readings count, and are marked')
  await tap(key('Out of use'))
  const sheet = within(screen.getByRole('dialog'))
  await tap(sheet.getByRole('button', { name: 'Save from now on' }))
  expect(sheet.getByText('Say why: it stands in the record.')).toBeInTheDocument()
})

it('prints a check on one page, with its day and what it is not', async () => {
  const story = kitchen()
  const entry = story.enter('instrument-checked', ID.p4, -40, inIce(0.7))
  await onTablet(<Certificate />, {
    story,
    now: 0,
    by: LEAD,
    path: `/instruments/${ID.p4}/certificate/${entry}`,
    route: '/instruments/:id/certificate/:entry',
  })
  expect(screen.getByRole('article')).toHaveTextContent(/Held to ±1.0°.*Ice water.*0.7°, 0.7°, 0.7°.*Passed/)
})

describe('a pass against what failed since', () => {
  const WORDS = 'Passed, but P5 was found wrong: counts for nothing'
  const told = () => {
    const story = kitchen()
    story.enter('instrument-checked', ID.p5, -60, inIce(0))
    const against = { kind: 'instrument' as const, id: ID.p5, shown: { value: 0, unit: 'C' as const } }
    const entry = story.enter('instrument-checked', ID.p4, -40, { ...inIce(0.2), against })
    story.enter('instrument-checked', ID.p5, -20, inIce(2))
    return { entry, shown: { story, now: 0, by: LEAD } }
  }

  it('counts for nothing on the page of its instrument', async () => {
    const { shown } = told()
    await onTablet(<InstrumentPage />, { ...shown, path: `/instruments/${ID.p4}`, route: '/instruments/:id' })
    expect(screen.getByText(/It was never checked: its readings prove nothing yet./)).toBeVisible()
    expect(screen.getByRole('cell', { name: WORDS })).toBeVisible()
  })

  it('says so where it is printed', async () => {
    const { entry, shown } = told()
    await onTablet(<Certificate />, {
      ...shown,
      path: `/instruments/${ID.p4}/certificate/${entry}`,
      route: '/instruments/:id/certificate/:entry',
    })
    expect(screen.getByRole('article')).toHaveTextContent(WORDS)
    expect(screen.getByRole('article')).not.toHaveTextContent('Taken off')
  })
})
