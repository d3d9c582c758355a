/** @jest-environment jsdom */
import '../test/browser'
import { cleanup, screen, within } from '@testing-library/react'
import { standingsOf } from '@logged-thermal/core'
import { at, KitchenStory, LEAD, onTablet } from '../test/tablet'
import { LineView } from './LineView'

afterEach(() => jest.useRealTimers())

/** One pot on the heat, one that cools, one proven. */
function kitchen(): { story: KitchenStory; pot: string } {
  const story = new KitchenStory()
  const pot = story.begin('pot', 60)
  story.mark(pot, 65, 'temper', 'combined')
  story.read(pot, 66, 60)
  const cold = story.begin('cold')
  story.mark(cold, 5, 'temper', 'combined')
  story.read(cold, 10, 80)
  story.mark(cold, 12, 'cook', 'done')
  story.read(cold, 20, 57)
  story.read(cold, 64, 41)
  return { story, pot }
}
const rows = () => screen.queryAllByRole('region').filter((row) => row.dataset.batch)

it('shows what needs hands first, says so in its title, and names each key by what it is about', async () => {
  await onTablet(<LineView />, { story: kitchen().story, now: 68 })
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent(/rescue|see to now/)
  expect(rows()).toHaveLength(2)
  expect(document.title).toBe('Line – Logged Thermal')
})

it('marks a hold beside what has to be done, and goes on asking for the reading of the pot on the heat', async () => {
  const { story, pot: onHeat } = kitchen()
  const findings = standingsOf(story.kitchen.findings(onHeat, at(67)))
  story.enter('disposed', onHeat, 67, { decision: 'hold', reason: 'a doubt', findings, core: '1' }, { by: LEAD })
  await onTablet(<LineView />, { story, now: 68, by: LEAD })
  const pot = rows().find((row) => row.textContent?.includes('On hold'))!
  expect(within(pot).getByRole('button')).toHaveTextContent(/Read/)
  expect(screen.getByRole('heading', { level: 1 })).not.toHaveTextContent('Nothing needs hands')
})

describe('with more batches than a screen holds', () => {
  beforeAll(() => {
    jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(700)
    jest.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(90)
  })
  afterAll(() => jest.restoreAllMocks())

  it('draws those in sight and some beside, the most urgent first, and again after another view', async () => {
    const story = new KitchenStory()
    for (let i = 0; i < 40; i++) story.begin(`pot ${i}`, i)
    await onTablet(<LineView />, { story, now: 68 })
    expect(rows().length).toBeGreaterThan(6)
    expect(rows().length).toBeLessThan(30)
    expect(rows()[0]).toHaveAttribute('data-index', '0')
    cleanup()
    await onTablet(<LineView />, { story, now: 68 })
    expect(rows().length).toBeGreaterThan(6)
  })
})

it('says what the Line is where nothing runs', async () => {
  await onTablet(<LineView />, { story: new KitchenStory(), now: 0 })
  expect(screen.getByText(/Start a batch: it appears here/)).toBeInTheDocument()
  expect(rows()).toHaveLength(0)
})

it('leads a new kitchen to what its first batch needs, and marks what is there', async () => {
  const story = new KitchenStory()
  await onTablet(<LineView />, { story, now: 0 })
  const steps = await screen.findByRole('region', { name: 'First steps' })
  const says = (step: string) => within(steps).getByRole('link', { name: new RegExp(step) })
  expect(says('A probe')).toHaveAttribute('href', '/instruments')
  expect(says('A method in force')).toHaveTextContent('It is there.')
  expect(says('Pots, trays and tubs')).not.toHaveTextContent('It is there.')
})
