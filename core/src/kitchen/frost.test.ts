import type { Method } from '../recipe/method/method'
import { NO_INSTRUCTION } from '../recipe/method/newMethod'
import { follows } from '../admission/reached'
import { standingsOf } from '../judgement/batch/disposition'
import type { AnyClaim, Bodies } from '../ledger/entry'
import { itemWalls } from '../judgement/dates/walls'
import { itemStanding } from '../judgement/keeping/itemStanding'
import { storeOf } from '../admission/guard/storeOf'
import { COOK, custard, FREEZER, FRIDGE, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { frozenOf } from '../state/item'
import { at } from '../test/traces'

const DAY = 24 * 60
const churned: Method = {
  ...custard,
  id: idOf('churned'),
  family: 'churned-base',
  steps: [
    ...custard.steps.slice(0, -1),
    { key: 'age', kind: 'set', measures: 'mixture' },
    { key: 'churn', kind: 'churn', measures: 'mixture' },
    { key: 'harden', kind: 'freeze', measures: 'mixture' },
    custard.steps.at(-1)!,
  ],
  instructions: {
    age: { ...NO_INSTRUCTION, passiveMinutes: { least: 240, most: 1440 } },
    harden: { ...NO_INSTRUCTION, passiveMinutes: { least: 180, most: 1440 } },
  },
}

function kitchen(): KitchenStory {
  return new KitchenStory({}, [custard, churned])
}

/** Cooked, cold at 14:00, aged over night and churned the next morning at 8. */
function churnedIn(story: KitchenStory) {
  const batch = story.begin('62-1', 0, churned)
  story.mark(batch, 5, 'temper', 'combined')
  story.read(batch, 10, 80)
  story.mark(batch, 12, 'cook', 'done')
  story.read(batch, 20, 57)
  story.read(batch, 100, 20)
  story.read(batch, 240, 4.5)
  expect(story.mark(batch, 1320, 'age', 'done').posted.ok).toBe(true)
  expect(story.mark(batch, 1340, 'churn', 'done').posted.ok).toBe(true)
  return batch
}

const frozen = { unit: FREEZER, frozen: true as const, last: true }
const standing = (story: KitchenStory, item: string, minutes: number) => {
  const state = story.kitchen.read('item', item)!
  return itemStanding(
    state,
    storeOf(state, story.kitchen.read, { zone: 'UTC', limits: story.kitchen.limits }, at(minutes))!.store,
    at(minutes),
  )
}
const lastDay = (story: KitchenStory, item: string) => itemWalls(story.kitchen.read('item', item)!, 'UTC')[0]

it('goes from the churn into the frost, hardens, and its date clock stands still until it thaws', () => {
  const story = kitchen()
  const batch = churnedIn(story)
  const item = story.putAway(batch, 1345, frozen, churned)
  expect(lastDay(story, item)).toMatchObject({ lastDay: null, daysLeft: 1 })
  expect(standing(story, item, 1350).asks).toBe('not ready')
  expect(standing(story, item, 1345 + 181).asks).toBe('frozen')
  expect(standing(story, item, 20 * DAY).asks).toBe('frozen')
  story.enter('item-moved', item, 20 * DAY, { how: 'thaw', unit: FRIDGE, shelf: 1 })
  // Of three days of the house's two were gone: one is left, that of thawing.
  expect(lastDay(story, item)?.lastDay).toBe('2027-03-23')
})

it('is served frozen, and goes into nothing before it thaws: its date would stay behind', () => {
  const story = kitchen()
  const item = story.putAway(churnedIn(story), 1345, frozen, churned)
  const trifle = story.begin('trifle', 1350)
  const part = () => story.part(item, trifle, 1360, 'hold', -8)
  // Hardening or hard.
  for (const minutes of [1360, 1345 + 200])
    expect(story.post('part-used', item, minutes, part()).posted).toMatchObject({ ok: false, why: 'frozen' })
  story.enter('item-used', item, 1370, { measure: { value: 300, unit: 'g' }, then: 'sold' })
  // In already, it has the days that it would have had thawed that day.
  story.enter('part-used', item, 1380, { ...part(), happened: true })
  const [used] = story.kitchen.read('batch', trifle)!.facts['part-used']
  expect(used!.value.part.lastDay).toBe('2027-03-05')
})

it('says why it is cut short, or it is not taken', () => {
  const story = kitchen()
  const batch = story.begin('62-1', 0, churned)
  story.mark(batch, 5, 'temper', 'combined')
  story.read(batch, 10, 80)
  story.mark(batch, 12, 'cook', 'done')
  story.read(batch, 100, 20)
  story.read(batch, 240, 4.5)
  const end = (reason: string | null) =>
    story.post('step-marked', batch, 300, { step: 'age', edge: 'done', reason }).posted
  expect(end(null)).toMatchObject({ code: 'out of order' })
  expect(end('the guests are here')).toMatchObject({ ok: true })
})

describe('what the frost must not stop', () => {
  it('takes nothing that is not proven cold', () => {
    const story = kitchen()
    const warm = story.cooked('warm')
    const tried = (last: boolean) => () => story.putAway(warm, 30, { ...frozen, last })
    expect(tried(true)).toThrow('not proven to leave')
    expect(tried(false)).toThrow('not proven to leave body.frozen')
  })

  it('takes no tablet’s word that what the lead released is cold', () => {
    const story = kitchen()
    const batch = story.cooked('released')
    story.read(batch, 100, 20)
    const at600 = standingsOf(story.kitchen.findings(batch, at(600)))
    const reason = 'The probe broke; nobody read it again before the night.'
    story.enter('disposed', batch, 600, { decision: 'release', reason, findings: at600, core: '1' }, { by: LEAD })
    const item = story.putAway(batch, 605, { unit: FREEZER })
    const honest = story.kitchen.entries().at(-1)!.claim.body as Bodies['portioned']
    expect(story.kitchen.read('item', item)!.coldAt).toBeNull()
    const lie = { ...honest, code: 'lie', frozen: true as const, coldAt: at(300) }
    for (const said of [lie, { ...lie, coldAt: null, facts: { ...honest.facts, needsCold: false } }])
      expect(story.post('portioned', idOf('lie'), 606, said).posted).toMatchObject({ code: 'not proven to leave' })
  })

  it('is of no batch that is not there', () => {
    const story = kitchen()
    story.putAway(story.made('pot'), 250)
    const body = { ...(story.kitchen.entries().at(-1)!.claim.body as Bodies['portioned']), batch: idOf('gone') }
    const { claim, posted } = story.post('portioned', idOf('of none'), 251, body)
    expect(posted).toMatchObject({ code: 'not there', field: 'body.batch' })
    // Nor does what else is to be read for it fail.
    const world = { zone: 'UTC', limits: story.kitchen.limits, now: at(251) }
    expect(() => follows(claim as AnyClaim, story.kitchen.read, world)).not.toThrow()
  })

  it('is no freezer because somebody says so', () => {
    const story = kitchen()
    const batch = story.made('pot')
    expect(() => story.putAway(batch, 250, { unit: FRIDGE, frozen: true })).toThrow('move shut')
    expect(() => story.putAway(batch, 250, { unit: null, frozen: true })).toThrow('move shut')
    // Put into one unsaid, its days go on.
    const item = story.putAway(batch, 250, { unit: FREEZER })
    expect(lastDay(story, item)?.lastDay).not.toBeNull()
  })

  it('does not begin before anybody knew of it, unless the lead lets it', () => {
    const story = kitchen()
    const batch = story.made('pot')
    const item = story.putAway(batch, 250, { unit: null })
    const freeze = { how: 'freeze' as const, unit: FREEZER, shelf: 1 }
    const known = 5 * DAY
    const late = story.enter('item-moved', item, 251, freeze, { by: COOK, after: known })
    // Known after its last day it saves nothing.
    expect(lastDay(story, item)?.lastDay).toBe('2027-03-05')
    expect(standing(story, item, known + 252).asks).toBe('discard')
    const accepted = { entries: [{ type: 'item' as const, id: item, entry: late }], reason: 'the freezer log says so' }
    story.enter('entries-accepted', story.kitchen.id, known + 260, accepted, { by: LEAD })
    expect(lastDay(story, item)?.lastDay).toBeNull()
  })

  it('ends with the thawing also where its beginning was told late', () => {
    const story = kitchen()
    const item = story.putAway(story.made('pot'), 250, { unit: FREEZER, frozen: true })
    const state = story.kitchen.read('item', item)!
    const put = state.moves.at(-1)!
    const late = { ...put, late: true, knownAt: at(5 * DAY) }
    const thawed = { ...put, at: at(DAY), value: { ...put.value, how: 'thaw' as const } }
    expect(frozenOf({ ...state, moves: [late] })).toEqual([{ from: at(5 * DAY) }])
    expect(frozenOf({ ...state, moves: [late, thawed] })).toEqual([{ from: at(DAY), to: at(DAY) }])
  })
})
