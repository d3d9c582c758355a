import { listsOn } from '../advice/round/dailyLists'
import { mattersOf } from '../advice/matters/mattersOf'
import { dayOf } from '../ground/zone'
import type { DailyList } from '../ledger/dailyList'
import type { Fact } from '../state/fact'
import type { MatterClosed } from '../ledger/matter'
import { limitsFrom } from '../test/story'
import { CHEF, COOK, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { at } from '../test/traces'

const DAY = dayOf(at(0), 'UTC')
const MINUTES = 24 * 60
/** Due at noon: two hours after ten, and missed two hours after that. */
const OPENING: DailyList = {
  key: 'opening',
  name: 'Opening',
  days: [0, 1, 2, 3, 4, 5, 6],
  by: '12:00',
  lines: [
    { key: 'basin', text: 'Hand basin: soap' },
    { key: 'traps', text: 'No trace of pests' },
  ],
}

class Lists extends KitchenStory {
  set(minutes: number, ...lists: DailyList[]) {
    return this.setLate(minutes, 0, lists)
  }
  setLate(minutes: number, after: number, lists: DailyList[]) {
    return this.post('lists-set', this.kitchen.id, minutes, { lists }, { by: LEAD, after }).posted
  }
  done(minutes: number, faults: { line: string; note: string }[] = [], how = {}, day = DAY) {
    return this.post('list-done', this.kitchen.id, minutes, { list: 'opening', day, faults }, how).posted
  }
  state(minutes: number, day = DAY) {
    return listsOn(this.kitchen.read('kitchen', this.kitchen.id)!, day, 'UTC', at(minutes)).map(({ state }) => state)
  }
  matters(minutes: number, closings: Fact<MatterClosed>[] = [], of = this.kitchen.id) {
    const unresolved = {
      kitchen: this.kitchen.id,
      begun: 0,
      batches: [],
      items: [],
      units: [],
      instruments: [],
      matters: [{ id: of, incident: null, closings }],
      lists: this.kitchen.read('kitchen', this.kitchen.id)!,
      limits: limitsFrom('us-food-code-2022'),
      zone: 'UTC',
    }
    return mattersOf(unresolved, at(minutes)).map(({ cause }) => cause)
  }
}

const opened = () => {
  const story = new Lists()
  story.set(-10, OPENING)
  return story
}

describe('a list of the house', () => {
  it('is asked for before its time, done with one tap, and missed two hours after it', () => {
    const story = opened()
    expect(story.state(-70)).toEqual(['ahead'])
    expect(story.state(0)).toEqual(['due'])
    expect(story.state(4 * 60)).toEqual(['due'])
    expect(story.state(4 * 60 + 1)).toEqual(['missed'])
    expect(story.done(30)).toMatchObject({ ok: true })
    expect(story.state(4 * 60 + 1)).toEqual(['done'])
    // Of the next day nothing is done.
    expect(story.state(MINUTES, dayOf(at(MINUTES), 'UTC'))).toEqual(['due'])
  })

  it('stays missed when it is told afterwards, or as if it had been in time, and when the lead asks otherwise', () => {
    const story = opened()
    expect(story.done(250)).toMatchObject({ ok: true })
    expect(story.state(260)).toEqual(['missed'])
    expect(story.done(60, [], { after: 300 })).toMatchObject({ ok: true })
    expect(story.state(400)).toEqual(['missed'])
    story.set(410, { ...OPENING, by: '20:00' })
    // Both: what was due at noon, and what is asked for tonight.
    expect(story.state(420)).toEqual(['missed', 'due'])
    story.set(430)
    expect(story.state(440)).toEqual(['missed'])

    expect(story.matters(440)).toEqual([{ of: 'list', names: ['Opening'] }])
  })

  it('stays missed when it is taken away as if that had been before it was due', () => {
    const story = opened()
    expect(story.state(250)).toEqual(['missed'])
    expect(story.setLate(60, 200, [])).toMatchObject({ ok: true })
    expect(story.state(270)).toEqual(['missed'])
  })

  it('is gone through on its own day, as it is asked for, and set by the lead alone', () => {
    const story = opened()
    const yesterday = dayOf(at(-MINUTES), 'UTC')
    for (const refused of [
      story.done(10, [], {}, yesterday),
      story.done(10, [{ line: 'none of it', note: 'x' }]),
      story.post('list-done', story.kitchen.id, 10, { list: 'closing', day: DAY, faults: [] }).posted,
    ])
      expect(refused).toMatchObject({ ok: false, code: 'not there' })
    expect(story.post('lists-set', story.kitchen.id, 10, { lists: [] }, { by: COOK }).posted.ok).toBe(false)
    const wrong: Partial<DailyList>[] = [{ days: [] }, { lines: [] }, { by: '25:00' }, { days: [7] }]
    for (const part of wrong) expect(story.set(10, { ...OPENING, ...part }).ok).toBe(false)
    expect(story.set(10, OPENING, OPENING).ok).toBe(false)
    expect(story.set(10, { ...OPENING, lines: [OPENING.lines[0]!, OPENING.lines[0]!] }).ok).toBe(false)
  })

  it('opens a matter with what is not right, which a second walk that finds nothing does not close', () => {
    const story = opened()
    story.done(20, [{ line: 'traps', note: 'droppings by the flour' }])
    story.done(30)
    const fault = {
      of: 'fault',
      list: 'Opening',
      faults: [{ text: 'No trace of pests', note: 'droppings by the flour' }],
    }
    expect(story.matters(40)).toMatchObject([fault])
    // Nor does the lead who asks for another list then.
    story.set(45, { ...OPENING, lines: [OPENING.lines[0]!] })
    expect(story.matters(25 * MINUTES).filter(({ of }) => of === 'fault')).toHaveLength(1)
    const { entry } = story.kitchen.read('kitchen', story.kitchen.id)!.listsDone[0]!
    const closing = { at: at(50), value: { of: 'fault', subject: {} } } as unknown as Fact<MatterClosed>
    expect(story.matters(60, [closing], entry)).toEqual([])
  })

  it('raises what is said to have been found weeks ago', () => {
    const story = opened()
    const weeks = 35 * MINUTES
    const told = story.done(20, [{ line: 'traps', note: 'a mouse' }], { after: weeks })
    expect(told).toMatchObject({ ok: true })
    expect(story.matters(weeks + 30).map(({ of }) => of)).toContain('fault')
  })

  it('of which two are missed at one time are one matter', () => {
    const story = new Lists()
    story.set(-10, OPENING, { ...OPENING, key: 'weekly', name: 'Weekly' })
    expect(story.matters(300)).toEqual([{ of: 'list', names: ['Opening', 'Weekly'] }])
  })
})

describe('a list that was tapped by mistake', () => {
  const back = (story: Lists, minutes: number, how = {}) => {
    const target = story.kitchen.read('kitchen', story.kitchen.id)!.listsDone.at(-1)?.entry ?? idOf('none')
    return story.post('list-taken-back', story.kitchen.id, minutes, { target }, how).posted
  }

  it('is asked for again, and what was not right of it is asked for no more', () => {
    const story = opened()
    const before = story.state(0)
    expect(story.done(1, [{ line: 'basin', note: 'no soap' }]).ok).toBe(true)
    expect(story.matters(2)).toHaveLength(1)
    expect(back(story, 3).ok).toBe(true)
    expect(story.state(4)).toEqual(before)
    expect(story.matters(4)).toEqual([])
    expect(back(story, 5)).toMatchObject({ code: 'not there' })
  })

  it('is taken back by who tapped it, within ten minutes of telling it', () => {
    const story = opened()
    story.done(1)
    expect(back(story, 3, { by: CHEF })).toMatchObject({ code: 'not taken back' })
    expect(back(story, 11).ok).toBe(true)
    story.done(20)
    expect(back(story, 31)).toMatchObject({ code: 'not taken back' })
    // Told for an earlier time, it is as old as its telling, and no older.
    story.done(10, [], { after: 25 })
    expect(back(story, 40).ok).toBe(true)
  })

  it('leaves a list missed that is taken back when its time is over', () => {
    const story = opened()
    expect(story.done(235).ok).toBe(true)
    expect(story.state(241)).toEqual(['done'])
    expect(back(story, 243).ok).toBe(true)
    expect(story.state(244)).toEqual(['missed'])
  })
})
