import type { Bodies } from '../ledger/entry'
import { isSettled } from '../judgement/log/settled'
import { standingForGood } from '../judgement/log/standing'
import { judgeBatch } from '../judgement/batch/judgeBatch'
import { standingsOf } from '../judgement/batch/disposition'
import { DAY } from '../ground/instant'
import { COOK, custard, FRIDGE, idOf, KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { at } from '../test/traces'

const WORDS = { action: 'moved all of it', why: 'door left open', prevents: 'a bell on the door' }
const GLASS = { what: 'glass', note: 'a jar broke', items: [], batches: [] } as const

function closing(
  of: Bodies['matter-closed']['of'],
  type: 'unit' | 'instrument' | 'batch' | 'item' | 'kitchen',
  id: string,
) {
  return { of, subject: { type, id }, since: at(0), ...WORDS }
}

describe('an incident', () => {
  it('holds what it happened to, and what is made of it, until the lead has decided', () => {
    const story = new KitchenStory()
    story.air(0, 3)
    const pot = story.made('pot')
    const tub = story.putAway(pot, 300, {}, custard)
    const { kitchen } = story
    expect(kitchen.item(tub, at(310)).usable).toBe(true)
    const told = idOf('incident')
    story.enter('incident-told', told, 320, { ...GLASS, items: [], batches: [pot] })
    expect(kitchen.item(tub, at(330)).usable).toBe(false)
    const close = (minutes: number) =>
      story.post('matter-closed', told, minutes, closing('incident', 'kitchen', kitchen.id), { by: LEAD }).posted
    expect(close(330)).toMatchObject({ ok: false, code: 'matter open' })
    const findings = standingsOf(kitchen.findings(pot, at(340)))
    story.enter(
      'disposed',
      pot,
      340,
      { decision: 'release', reason: 'sieved, nothing was found by two', findings, core: '1' },
      { by: LEAD },
    )
    expect(kitchen.item(tub, at(350)).usable).toBe(true)
    expect(close(350)).toMatchObject({ ok: true })
    // Told again, it is another one, and holds again.
    story.enter('incident-told', idOf('second'), 360, { ...GLASS, items: [tub], batches: [pot] })
    expect(kitchen.item(tub, at(370)).usable).toBe(false)
  })

  it('is told once under one id, and of what is there', () => {
    const story = new KitchenStory()
    story.enter('incident-told', idOf('one'), 0, { ...GLASS, items: [], batches: [] })
    const again = story.post('incident-told', idOf('one'), 1, { ...GLASS, items: [], batches: [] }).posted
    expect(again).toMatchObject({ ok: false, code: 'already there' })
    const nothing = story.post('incident-told', idOf('two'), 1, {
      ...GLASS,
      items: [idOf('no tub')],
      batches: [],
    }).posted
    expect(nothing).toMatchObject({ ok: false, code: 'not there' })
  })
})

describe('a matter', () => {
  it('of a unit is not closed while it is warm, nor of an instrument while it fails, nor by a cook', () => {
    const story = new KitchenStory()
    story.air(0, 9)
    const close = (of: 'unit' | 'instrument', id: string, minutes: number, by = LEAD, after = 0) =>
      story.post('matter-closed', idOf(`cause of ${of}`), minutes, closing(of, of, id), { by, after }).posted
    expect(close('unit', FRIDGE, 10)).toMatchObject({ ok: false, code: 'matter open' })
    story.air(20, 3)
    expect(close('unit', FRIDGE, 30, COOK)).toMatchObject({ ok: false })
    expect(close('unit', FRIDGE, 30)).toMatchObject({ ok: true })
    const found = { reference: 0, error: 0, passed: true, since: null, doubted: [] }
    const checked = (minutes: number, celsius: number, after = 0) => {
      const shown = [celsius, celsius, celsius].map((value) => ({ value, unit: 'C' as const }))
      story.enter('instrument-checked', PROBE, minutes, { against: { kind: 'ice' }, shown, found }, { after })
    }
    checked(40, 2.4)
    expect(close('instrument', PROBE, 45)).toMatchObject({ ok: false, code: 'matter open' })
    // Nor into the time before it failed, nor by a pass that is said to have been then.
    expect(close('instrument', PROBE, 35, LEAD, 10)).toMatchObject({ ok: false, code: 'matter open' })
    checked(30, 0, 17)
    expect(close('instrument', PROBE, 48)).toMatchObject({ ok: false, code: 'matter open' })
    checked(50, 0)
    expect(close('instrument', PROBE, 55)).toMatchObject({ ok: true })
  })
})

describe('a signature over a day', () => {
  it('is of what core finds, is refused over what waits, and nothing of a day to come', () => {
    const story = new KitchenStory()
    const pot = story.made('pot')
    const { kitchen } = story
    const sign = (minutes: number, batches: Bodies['day-signed']['batches'], day = '2027-03-03') =>
      story.post('day-signed', kitchen.id, minutes, { day, batches, core: 'x' }, { by: LEAD }).posted
    expect(sign(10, [], '2027-03-04')).toMatchObject({ ok: false, code: 'day not over' })
    expect(sign(300, [{ id: pot, standing: 'missed' }])).toMatchObject({ ok: true })
    expect(kitchen.read('kitchen', kitchen.id)!.signedDays).toMatchObject([{ day: '2027-03-03', by: LEAD }])
    story.enter('incident-told', idOf('glass'), 310, { ...GLASS, items: [], batches: [pot] })
    expect(sign(320, [{ id: pot, standing: 'proven' }])).toMatchObject({ ok: false, code: 'matter open' })
    // Nor by leaving out what waits.
    expect(sign(330, [])).toMatchObject({ ok: false, code: 'matter open' })
  })

  it('is of every batch that began on it, shown or not, and given within a month', () => {
    const story = new KitchenStory()
    const pot = story.made('pot')
    const day = '2027-03-03'
    const sign = (minutes: number) =>
      story.post('day-signed', story.kitchen.id, minutes, { day, batches: [], core: 'x' }, { by: LEAD }).posted
    expect(sign(60 * 24 * 33)).toMatchObject({ ok: false, code: 'day long over' })
    expect(sign(300)).toMatchObject({ ok: true })
    const { claim, seal } = story.kitchen.entries().findLast(({ claim: { kind } }) => kind === 'day-signed')!
    expect(claim.body).toMatchObject({ batches: [] })
    expect(seal?.resolved).toMatchObject({ body: { batches: [{ id: pot, standing: 'proven' }] } })
  })
})

describe('a batch that is all put away', () => {
  it('stands as it was made: that its day is over by now is its items’ to say', () => {
    const story = new KitchenStory()
    story.air(0, 3)
    const pot = story.made('pot')
    const { kitchen } = story
    const stands = () => {
      const batch = kitchen.read('batch', pot)!
      const then = at(300) + 30 * DAY
      const findings = judgeBatch(batch, { zone: 'UTC' }, then)
      return [standingForGood(batch, findings), isSettled(batch, findings)]
    }
    expect(stands()).toEqual(['missed', false])
    story.putAway(pot, 300, { last: true }, custard)
    expect(stands()).toEqual(['proven', true])
  })
})
