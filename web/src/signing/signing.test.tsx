/** @jest-environment jsdom */
import '../test/browser'
import { screen, within } from '@testing-library/react'
import { standingsOf, type OpenDay } from '@logged-thermal/core'
import { at, CHEF, COOK, KitchenStory, LEAD, onTablet, tapped as tap } from '../test/tablet'
import { LineView } from '../line/LineView'
import { PeopleView } from '../people/PeopleView'
import { HoursView } from './HoursView'

afterEach(() => jest.useRealTimers())

/** Open from six to ten in the evening: the lead until three, the chef from half past five. */
const DAY: OpenDay = {
  opens: '06:00',
  closes: '22:00',
  signs: [
    { person: LEAD, from: '06:00', until: '15:00' },
    { person: CHEF, from: '17:30', until: '22:00' },
  ],
}
const open = (day: OpenDay = DAY) => {
  const story = new KitchenStory()
  story.enter('week-set', story.kitchen.id, -60, { week: Array.from({ length: 7 }, () => day) }, { by: LEAD })
  return story
}
/** Minutes after ten at some o'clock. */
const oclock = (hours: number) => (hours - 10) * 60
const key = (name: string | RegExp) => screen.getByRole('button', { name })
const heading = () => screen.getByRole('heading', { level: 1 })

describe('who can sign', () => {
  it('says from when nobody can, who can in the other hours, and has a deputy named for just those', async () => {
    await onTablet(<PeopleView />, { story: open(), now: oclock(14), by: LEAD })
    expect(heading()).toHaveTextContent('From 15:00 nobody can sign. Name a deputy.')
    const day = screen.getByRole('region', { name: /^Who can sign/ })
    expect(
      within(day)
        .getAllByRole('listitem')
        .map((row) => row.textContent),
    ).toEqual(['06:00 to 15:00 Ilse Varrow', '15:00 to 17:30 nobody', '17:30 to 22:00 Noor Hallet'])
    await tap(key('Name a deputy'))
    await tap(within(screen.getByRole('dialog')).getByRole('button', { name: /Noor Hallet/ }))
    expect(screen.getByRole('dialog')).toHaveTextContent('From 15:00 until 17:30 on')
  })

  it('says until when nobody can once it is so, and nothing of it where somebody always can', async () => {
    await onTablet(<PeopleView />, { story: open(), now: oclock(16), by: LEAD })
    expect(heading()).toHaveTextContent('Until 17:30 nobody can sign.')
  })

  it('asks for the hours where nobody ever said them', async () => {
    await onTablet(<PeopleView />, { story: new KitchenStory(), now: oclock(16), by: LEAD })
    expect(screen.getByRole('region', { name: 'Opening hours' })).toHaveTextContent(
      'Nobody has said when the kitchen is open.',
    )
  })
})

describe('on the Line', () => {
  const held = (now: number, by: string) => {
    const story = open()
    const batch = story.begin('b')
    const findings = standingsOf(story.kitchen.findings(batch, at(60)))
    const body = { decision: 'hold' as const, reason: 'smells of the fridge', findings, core: '1' }
    story.enter('disposed', batch, 60, body, { by: LEAD })
    return onTablet(<LineView />, { story, now, by })
  }
  it('what needs a lead stays held, and says until when, to whoever cannot sign', async () => {
    await held(oclock(16), COOK)
    expect(screen.getByRole('region', { name: 'Nobody can sign' })).toHaveTextContent(
      'One batch needs a decision. Nobody can sign until 17:30: it stays held.',
    )
  })
  it('nothing is said of it while somebody can', async () => {
    await held(oclock(12), COOK)
    expect(screen.queryByRole('region', { name: 'Nobody can sign' })).toBeNull()
  })
})

describe('opening hours', () => {
  it('counts the open hours and those without anybody, and lets a day be changed only as core takes it', async () => {
    await onTablet(<HoursView />, { story: open(), now: oclock(12), by: LEAD })
    expect(heading()).toHaveTextContent('Open 112 h a week. Nobody can sign for 17 h 30 min of them.')
    expect(screen.queryByRole('button', { name: 'Save from now on' })).toBeNull()
    await tap(key('Change Sun'))
    const sheet = () => within(screen.getByRole('dialog'))
    await tap(sheet().getByRole('button', { name: 'Closed' }))
    await tap(sheet().getByRole('button', { name: 'Done' }))
    expect(heading()).toHaveTextContent('Open 96 h a week. Nobody can sign for 15 h of them.')
    await tap(key('Change Mon'))
    await tap(sheet().getByRole('button', { name: 'Remove Noor Hallet' }))
    await tap(sheet().getByRole('button', { name: 'The same every day' }))
    expect(heading()).toHaveTextContent('Open 112 h a week. Nobody can sign for 49 h of them.')
    await tap(key('Save from now on'))
    expect(screen.getByRole('dialog')).toHaveTextContent('The lead signs')
  })
})
