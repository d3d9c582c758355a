import { traceOf, traceResult, tracesDue } from '../advice/traces'
import { addDays, dayOf } from '../ground/zone'
import { MINUTE } from '../ground/instant'
import type { TraceEnded } from '../ledger/traceTry'
import { inheritedOf } from '../state/newItem'
import { itemLeft } from '../state/item'
import { COOK, FREEZER, idOf, KitchenStory } from '../test/kitchenStory'
import { at } from '../test/traces'

const TUB = idOf('tub')

class Traces extends KitchenStory {
  readonly tub = this.post('item-found', TUB, 0, {
    code: '300-1a',
    name: 'Tub of custard',
    measure: { value: 1000, unit: 'g' },
    unit: null,
    shelf: null,
  })
  starts(minutes: number, of = { type: 'item' as const, id: TUB }, how = {}) {
    const { posted } = this.post('trace-begun', this.kitchen.id, minutes, { of, name: 'no', code: 'no' }, how)
    return { posted, entry: this.kitchen.read('kitchen', this.kitchen.id)?.traceTries.at(-1)?.entry ?? idOf('none') }
  }
  end(minutes: number, begun: string, more: Partial<TraceEnded> = {}, how = {}) {
    const body = { begun, found: [TUB], missing: [], counted: this.counted(1000), note: '', balance: null, ...more }
    return this.post('trace-ended', this.kitchen.id, minutes, body, how).posted
  }
  counted(value: number): TraceEnded['counted'] {
    return { item: TUB, left: { value, unit: 'g' } }
  }
  state() {
    return this.kitchen.read('kitchen', this.kitchen.id)!
  }
  result() {
    return traceResult(this.state().traceTries.at(-1)!)
  }
}

describe('a trace that is tried', () => {
  it('passes where all is found within an hour and the amounts meet; what went by the records counts', () => {
    const story = new Traces()
    const { entry } = story.starts(10)
    expect(story.state().traceTries[0]).toMatchObject({ name: 'Tub of custard', code: '300-1a', by: COOK })
    story.enter('item-used', TUB, 20, { measure: { value: 300, unit: 'g' }, then: 'tasted', happened: true })
    story.end(40, entry, { counted: story.counted(680) })
    expect(story.result()).toEqual({ minutes: 30, share: 0.98, passed: true })
    expect(tracesDue(story.state().traceTries, at(50)).map(({ of }) => of)).toEqual(['lot'])
    expect(tracesDue(story.state().traceTries, at(50) + 184 * 86_400_000).map(({ of }) => of)).toEqual(['lot', 'item'])
  })

  it.each([
    ['something is missing', { missing: [idOf('other')] }, 40],
    ['nothing was looked for', { found: [] }, 40],
    ['nothing was counted', { counted: null }, 40],
    ['a tenth is gone', { counted: { item: TUB, left: { value: 900, unit: 'g' as const } } }, 40],
    ['there is more than there was', { counted: { item: TUB, left: { value: 1100, unit: 'g' as const } } }, 40],
    ['it took longer', {}, 71],
  ])('does not pass where %s', (_, more, minutes) => {
    const story = new Traces()
    const { entry } = story.starts(10)
    story.end(minutes, entry, more)
    expect(story.result()!.passed).toBe(false)
    expect(tracesDue(story.state().traceTries, at(100))).toHaveLength(2)
  })

  it('takes as long as until the logbook knows of its end, whatever time is said', () => {
    const story = new Traces()
    const { entry } = story.starts(10)
    story.end(20, entry, {}, { after: 90 })
    expect(story.result()!.minutes).toBe(100)
  })

  it('takes its balance from what is recorded, not from what is sent', () => {
    const story = new Traces()
    const { entry } = story.starts(10)
    story.end(20, entry, { counted: story.counted(100), balance: { all: 1, gone: 0, counted: 1, unit: 'g' } })
    expect(story.state().traceTries[0]!.ended!.balance).toEqual({ all: 1000, gone: 0, counted: 100, unit: 'g' })
  })

  it('is refused of what is not there, twice, before it began, and by a count of something else', () => {
    const story = new Traces()
    expect(story.starts(5, { type: 'item', id: idOf('nothing') }).posted).toMatchObject({
      ok: false,
      code: 'not there',
    })
    const { entry } = story.starts(10)
    expect(story.end(5, entry)).toMatchObject({ ok: false })
    expect(story.end(20, idOf('never'))).toMatchObject({ ok: false, code: 'not there', field: 'body.begun' })
    const other = { item: idOf('nothing'), left: { value: 1, unit: 'g' as const } }
    expect(story.end(20, entry, { counted: other })).toMatchObject({ ok: false, field: 'body.counted' })
    expect(story.end(20, entry, { found: [TUB], missing: [TUB] })).toMatchObject({ ok: false, field: 'body.missing' })
    expect(traceOf(story.state().traceTries, TUB, at(25))!.entry).toBe(entry)
    expect(story.end(30, entry)).toMatchObject({ ok: true })
    expect(story.end(31, entry)).toMatchObject({ ok: false, code: 'already there' })
    expect(traceOf(story.state().traceTries, TUB, at(35))).toBeNull()
  })

  it('names everything that it was made of and that became of it', () => {
    const story = new Traces()
    const half = idOf('half')
    const body = { into: half, code: '300-1b', measure: { value: 400, unit: 'g' as const } }
    const { entry } = story.starts(10)
    story.enter('item-split', TUB, 12, { ...body, as: inheritedOf(story.kitchen.read('item', TUB)!, 0.4) })
    expect(story.end(20, entry, { counted: story.counted(600) })).toMatchObject({
      code: 'trace incomplete',
      field: 'body.found',
    })
    expect(story.end(20, entry, { counted: story.counted(600), missing: [half] })).toMatchObject({ ok: true })
    expect(story.result()).toMatchObject({ share: 1, passed: false })
  })

  it('is left where nobody ends it within a day', () => {
    const story = new Traces()
    story.starts(10)
    expect(traceOf(story.state().traceTries, TUB, at(10) + 23 * 60 * MINUTE)).not.toBeNull()
    expect(traceOf(story.state().traceTries, TUB, at(10) + 25 * 60 * MINUTE)).toBeNull()
  })
})

describe('a sample that is kept', () => {
  const take = (story: Traces, grams: number, more = {}) =>
    story.post('item-used', TUB, 10, {
      measure: { value: grams, unit: 'g' },
      then: 'sample',
      sample: { name: 'x', place: 'freezer, box 1', until: '2020-01-01' },
      ...more,
    }).posted

  it('is kept as the rule set says after the last day on which it may be served, whatever day is sent', () => {
    const story = new Traces({ ruleSet: 'fr-2009' })
    expect(take(story, 80)).toMatchObject({ ok: true })
    const [sample] = story.state().samples
    expect(sample).toMatchObject({ item: TUB, name: 'Tub of custard 300-1a', place: 'freezer, box 1', ended: null })
    expect(sample!.until >= addDays(dayOf(at(10), 'UTC'), 5)).toBe(true)
    expect(itemLeft(story.kitchen.read('item', TUB)!)).toEqual({ value: 920, unit: 'g' })
  })

  it('is kept for a year of what is frozen: its last day is not known yet', () => {
    const story = new KitchenStory()
    const item = story.putAway(story.made(), 250)
    story.enter('item-moved', item, 270, { how: 'freeze', unit: FREEZER, shelf: 1 })
    const { unit } = story.kitchen.read('item', item)!.measure
    const sample = { name: 'x', place: 'freezer, box 1', until: '2020-01-01' }
    story.enter('item-used', item, 280, { measure: { value: 1, unit }, then: 'sample', sample })
    expect(story.kitchen.read('kitchen', story.kitchen.id)!.samples[0]!.until).toBe(addDays(dayOf(at(280), 'UTC'), 365))
  })

  it('is no more than there is, is not taken back, and names its place', () => {
    const story = new Traces({ ruleSet: 'fr-2009' })
    expect(take(story, 1001)).toMatchObject({ ok: false, code: 'item shut' })
    expect(take(story, 80, { sample: undefined })).toMatchObject({ ok: false, code: 'bad field' })
    expect(take(story, 80, { then: 'sold' })).toMatchObject({ ok: false, code: 'bad field' })
    take(story, 80)
    const { entry } = story.state().samples[0]!
    expect(story.post('taken-back', TUB, 11, { target: entry, also: [] }).posted).toMatchObject({
      ok: false,
      code: 'not taken back',
    })
  })

  it('ends after its day, or before it with where it went, and once', () => {
    const story = new Traces({ ruleSet: 'fr-2009' })
    take(story, 80)
    take(story, 60)
    const [first, second] = story.state().samples.map(({ entry }) => entry) as [string, string]
    const end = (minutes: number, sample: string, note: string) =>
      story.post('sample-ended', story.kitchen.id, minutes, { sample, note }).posted
    expect(end(20, first, '')).toMatchObject({ ok: false, code: 'still kept' })
    expect(end(20, first, 'to the authority')).toMatchObject({ ok: true })
    expect(end(21, first, 'again')).toMatchObject({ ok: false, code: 'not there' })
    expect(end(60 * 24 * 30, second, '')).toMatchObject({ ok: true })
    expect(end(60 * 24 * 30, idOf('none'), '')).toMatchObject({ ok: false, code: 'not there' })
  })
})

it('a complaint says when it was eaten, before now and before anybody fell ill, and nothing else says so', () => {
  const story = new Traces()
  const told = (more: object) =>
    story.post('incident-told', idOf(`told ${JSON.stringify(more)}`), 100, {
      what: 'complaint',
      note: 'two of table 4',
      items: [TUB],
      batches: [],
      complaint: { eaten: Math.round(at(50)), onset: null, people: 2 },
      ...more,
    }).posted
  const complaint = (eaten: number, onset: number | null, people = 2) => ({
    complaint: { eaten: Math.round(at(eaten)), onset: onset && Math.round(at(onset)), people },
  })
  expect(told({ complaint: undefined })).toMatchObject({ ok: false, code: 'bad field' })
  expect(told({ what: 'glass' })).toMatchObject({ ok: false, code: 'bad field' })
  expect(told(complaint(200, null))).toMatchObject({ ok: false, field: 'body.complaint.eaten' })
  expect(told(complaint(50, 200))).toMatchObject({ ok: false, field: 'body.complaint.onset' })
  expect(told(complaint(50, 40))).toMatchObject({ ok: false, code: 'bad field' })
  expect(told(complaint(50, 60, 0))).toMatchObject({ ok: false, code: 'bad field' })
  expect(told(complaint(50, 60))).toMatchObject({ ok: true })
  expect(story.kitchen.item(TUB, at(101)).usable).toBe(false)
})
