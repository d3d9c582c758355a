import fc from 'fast-check'
import { HOUR } from '../ground/instant'
import { airSpans } from '../judgement/warmth/air'
import { coldLevel } from '../recipe/checks/unitKind'
import type { Look } from '../state/unit'
import { limitsFrom } from '../test/story'
import { columnsOf } from './projection'
import { courseOf } from '../judgement/keeping/course'
import { lookBack } from '../judgement/batch/lookBack'
import { inheritedOf } from '../state/newItem'
import { at } from '../test/traces'
import { mayGoIn, waitsFor } from '../state/lot'
import { FRIDGE, idOf, type KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { DAY, OTHER_PROBE, kitchen, check, due, inIce, WEEKLY } from '../test/probeStory'

/** What a probe takes back when it fails. Minutes are after ten. */

describe('a probe that fails', () => {
  const failing = () => {
    const story = kitchen()
    check(story, -40, 0)
    const batch = story.made()
    expect(story.kitchen.standing(batch, at(250))).toBe('proven')
    return { story, batch }
  }

  it('takes back what it proved since its last pass, and nothing that another read', () => {
    const { story, batch } = failing()
    const other = story.begin('other', 245)
    const by = { instrument: OTHER_PROBE }
    story.mark(other, 246, 'temper', 'combined')
    story.read(other, 250, 80, by)
    story.mark(other, 252, 'cook', 'done')
    check(story, 260, 1.9)
    expect(story.kitchen.standing(batch, at(270))).not.toBe('proven')
    expect(story.check(batch, 'egg', 270)).toMatchObject({ standing: 'unproven', doubts: ['failed'] })
    expect(due(story, other, 270)).toBe('proven')
    // A pass after it does not bring them back.
    check(story, 275, 0)
    expect(due(story, batch, 280)).toBe('unproven')
  })

  it('takes it back also where it is told after two passes, and is refused where it can no longer reach all of it', () => {
    const { story, batch } = failing()
    // Found on a tablet that was out of sight; meanwhile others checked it twice.
    for (const minutes of [265, 266]) check(story, minutes, 0)
    story.enter('instrument-checked', PROBE, 260, inIce(1.9), { after: 10 })
    expect(due(story, batch, 280)).toBe('unproven')

    const weeks = failing()
    for (const day of [7, 14, 21, 28]) check(weeks.story, day * DAY, 0)
    const told = (days: number) =>
      weeks.story.post('instrument-checked', PROBE, days * DAY, inIce(1.9), { after: 29 * DAY - days * DAY })
    expect(told(1).posted).toMatchObject({ ok: false, code: 'too long ago' })
    const fell = weeks.story.post('instrument-due', PROBE, DAY, { why: 'dropped' }, { after: 28 * DAY })
    expect(fell.posted).toMatchObject({ ok: false, code: 'too long ago' })
    expect(told(20).posted).toMatchObject({ ok: true })
  })

  it('says which way it breaks, and the lead lets it count again with a reason', () => {
    const { story, batch } = failing()
    const failed = check(story, 260, 1.9)
    const state = story.kitchen.read('batch', batch)!
    const found = lookBack(state, failed, { zone: 'UTC' }, at(270))
    // 80° less 1.9 is through its row all the same; 20° and 1.9 more was over 21°.
    expect(found).toMatchObject({ was: 'proven', risk: 'unproven', decidedAt: null })
    expect(found.breaks!.check.key).toBe('cool-first')
    expect(found.reading).toEqual({ at: at(100), shown: 20, shifted: 21.9, level: 21 })

    const entries = found.doubted.map((entry) => ({ type: 'batch' as const, id: batch, entry }))
    const accepted = { entries, reason: 'it fell at 14:15, two saw it' }
    story.enter('entries-accepted', story.kitchen.id, 280, accepted, { by: LEAD })
    expect(story.kitchen.standing(batch, at(290))).toBe('proven')
    const after = lookBack(story.kitchen.read('batch', batch)!, failed, { zone: 'UTC' }, at(290))
    expect(after.decidedAt).toBe(at(280))

    // What was accepted of one failure is not accepted of the next.
    check(story, 300, 0)
    story.read(batch, 310, 4)
    check(story, 320, 1.9)
    expect(story.kitchen.read('batch', batch)!.failedProbes).toHaveLength(2)
  })

  it('makes nothing better that it had found bad', () => {
    const story = kitchen()
    check(story, -40, 0)
    const batch = story.cooked()
    story.read(batch, 150, 30)
    expect(story.standing(batch, 'cool-first', 151)).toBe('missed')
    check(story, 160, 12)
    expect(story.standing(batch, 'cool-first', 170)).toBe('missed')
  })

  it('stays in doubt though the probe is retired, or the reading is said to be of another one', () => {
    const { story, batch } = failing()
    check(story, 260, 1.9)
    story.enter('instrument-gone', PROBE, 262, { how: 'retired', reason: 'it is bent' }, { by: LEAD })
    expect(due(story, batch, 265)).toBe('unproven')
    for (const fact of story.kitchen.read('batch', batch)!.facts['reading-taken']) {
      const reading = { ...fact.value, instrument: OTHER_PROBE }
      story.correct(batch, 270, fact.entry, { at: fact.at, reading, batch: null })
    }
    expect(due(story, batch, 275)).toBe('unproven')
    expect(story.kitchen.standing(batch, at(275))).not.toBe('proven')
  })

  it('betters nothing, whatever its error, and whatever a late entry says of the same batch', () => {
    const bad = { proven: 0, open: 1, unproven: 2, missed: 3 }
    fc.assert(
      fc.property(
        fc.integer({ min: 11, max: 200 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 400 }),
        (tenths, low, cold) => {
          const story = kitchen()
          check(story, -40, 0)
          const batch = story.cooked()
          story.read(batch, 100, 10 + cold / 10)
          story.read(batch, 240, 4.5, { after: 40 })
          const before = story.kitchen.findings(batch, at(290))
          check(story, 285, (low ? -tenths : tenths) / 10)
          for (const { check: of, standing } of before) {
            if (of.limit.force === 'quality') continue
            expect(bad[story.standing(batch, of.key, 290)]).toBeGreaterThanOrEqual(bad[standing])
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  it('finds a miss where the error as found breaks the limit', () => {
    const story = kitchen()
    check(story, -40, 0)
    const batch = story.cooked()
    story.read(batch, 100, 20.5)
    story.read(batch, 240, 4.5)
    // It reads 1.2 too low: 20.5 was 21.7.
    const failed = check(story, 260, -1.2)
    const found = lookBack(story.kitchen.read('batch', batch)!, failed, { zone: 'UTC' }, at(270))
    expect(found.risk).not.toBe('holds')
    expect(found.asFound).not.toBe('proven')
  })

  it('is no way to proof by an item either', () => {
    const { story, batch } = failing()
    const item = story.putAway(batch, 250)
    const read = (minutes: number, celsius: number) =>
      story.enter('item-read', item, minutes, { typed: { value: celsius, unit: 'C' }, instrument: PROBE })
    read(255, 3)
    expect(story.kitchen.item(item, at(258)).usable).toBe(true)
    check(story, 260, 1.9)
    expect(story.kitchen.item(item, at(270)).usable).toBe(false)
    expect(story.kitchen.read('item', item)!.fails).toHaveLength(1)
  })

  it('takes what was split off with it, before and after', () => {
    const { story, batch } = failing()
    const item = story.putAway(batch, 250)
    story.enter('item-read', item, 252, { typed: { value: 3, unit: 'C' }, instrument: PROBE })
    const split = (name: string, minutes: number) => {
      const as = inheritedOf(story.kitchen.read('item', item)!, 0.1)
      const measure = { value: 200, unit: 'g' as const }
      story.enter('item-split', item, minutes, { into: idOf(name), code: `${name.slice(0, 1)}-1`, measure, as })
      return idOf(name)
    }
    const words = (id: string) => courseOf(story.kitchen.read('item', id)!, []).reads.map(({ by }) => by)
    const before = split('before', 254)
    expect(words(before)).toEqual(['probe'])
    check(story, 260, 1.9)
    const after = split('after', 262)
    expect([item, before, after].map(words)).toEqual([['word'], ['word'], ['word']])
  })
})

describe('a lot that a failed probe read at the door', () => {
  const milk = idOf('milk at the door')
  const received = (celsius: number, instrument = PROBE, checks = WEEKLY) => {
    const story = kitchen(checks)
    check(story, -60, 0)
    story.receive(milk, -30, 'milk', null, {
      condition: { good: true, why: null },
      received: { typed: { value: celsius, unit: 'C' }, instrument },
    })
    return story
  }
  const lot = (story: KitchenStory) => story.kitchen.read('lot', milk)!
  const use = (story: KitchenStory, batch: string, minutes: number) =>
    story.post('lots-used', batch, minutes, {
      step: 'warm',
      uses: [{ amount: 'milk', lot: milk, code: '', name: '', ingredient: null }],
    }).posted
  const decide = (story: KitchenStory, minutes: number, verdict: 'accept' | 'refuse') =>
    story.enter('lot-decided', milk, minutes, { verdict, reason: 'read again at 3°', item: null }, { by: LEAD })

  it('waits for the lead where its error the wrong way was too warm, and goes on once it is accepted', () => {
    const story = received(3.4)
    const batch = story.begin('pot', 0)
    check(story, 10, 1.9)
    expect(lot(story).received!.atMost).toBe(5)
    expect(waitsFor(lot(story))).toBe('probe failed')
    expect(use(story, batch, 12)).toMatchObject({ ok: false, code: 'lot not accepted' })
    decide(story, 20, 'accept')
    expect(waitsFor(lot(story))).toBeNull()
    expect(use(story, batch, 22).ok).toBe(true)
    // What was accepted of one failure is not accepted of the next.
    check(story, 30, 2.4)
    expect(waitsFor(lot(story))).toBe('probe failed')
    decide(story, 40, 'refuse')
    expect(waitsFor(lot(story))).toBeNull()
    expect(mayGoIn(lot(story))).toBe(false)
  })

  it('holds what was made of it before too', () => {
    const story = received(3.4, OTHER_PROBE)
    const batch = story.made('pot')
    expect(use(story, batch, 251).ok).toBe(true)
    const item = story.putAway(batch, 252)
    const isUsable = (minutes: number) => story.kitchen.item(item, at(minutes)).usable
    expect(isUsable(258)).toBe(true)
    story.enter('instrument-checked', OTHER_PROBE, 260, inIce(1.9))
    expect(isUsable(262)).toBe(false)
    decide(story, 270, 'accept')
    expect(isUsable(272)).toBe(true)
  })

  it('waits exactly where it was too warm by as much as the probe was found wrong', () => {
    const tenths = fc.integer({ min: -30, max: 50 })
    fc.assert(
      fc.property(tenths, fc.integer({ min: 11, max: 60 }), fc.boolean(), (shown, error, low) => {
        const story = received(shown / 10)
        check(story, 10, (low ? -error : error) / 10)
        expect(waitsFor(lot(story))).toBe(shown + error > 50 ? 'probe failed' : null)
        expect(mayGoIn(lot(story))).toBe(shown + error <= 50)
      }),
      { numRuns: 60 },
    )
  })

  it('waits whatever it showed where the probe had fallen before', () => {
    const story = received(0.5, PROBE, { everyDays: 7, overdue: 'proves nothing' })
    story.enter('instrument-due', PROBE, -35, { why: 'dropped' }, { after: 40 })
    expect(waitsFor(lot(story))).toBe('probe fell')
  })
})

describe('the air of a unit that a failed probe read', () => {
  /** Put away cold, and the air read every four hours by one probe, and before that by the display. */
  const watched = (celsius = 3) => {
    const story = kitchen()
    check(story, -40, 0)
    const batch = story.made('pot')
    const item = story.putAway(batch, 250)
    story.air(251, 3)
    const look = (minutes: number, by = PROBE) =>
      story.enter('unit-read', FRIDGE, minutes, { typed: { value: celsius, unit: 'C' }, instrument: by, noted: null })
    const looks = [500, 740, 980, 1220, 1460].map((minutes) => look(minutes))
    story.air(1700, 3)
    return { story, item, looks }
  }
  const airs = (story: KitchenStory) => story.kitchen.read('unit', FRIDGE)!.airs
  const exposed = (story: KitchenStory, item: string, minutes: number) => story.kitchen.item(item, at(minutes)).exposure

  it('is a word from then on: unread for that time, until the lead lets it count', () => {
    const { story, item, looks } = watched()
    expect(exposed(story, item, 1705).likely).toBe(0)
    check(story, 1710, -2)
    expect(airs(story).map(({ doubt }) => doubt ?? null)).toEqual([null, ...looks.map(() => 'failed'), null])
    expect(exposed(story, item, 1715).most).toBeGreaterThan(exposed(story, item, 1715).least)
    const entries = looks.map((entry) => ({ type: 'unit' as const, id: FRIDGE, entry }))
    story.enter('entries-accepted', story.kitchen.id, 1720, { entries, reason: 'the logger agrees' }, { by: LEAD })
    expect(airs(story).every(({ doubt }) => doubt === undefined)).toBe(true)
    expect(exposed(story, item, 1725)).toEqual(exposed(watched().story, watched().item, 1725))
  })

  it('is judged alike by what is kept of it beside its state, also what was told too late', () => {
    const { story } = watched()
    story.air(1600, 3, { after: 300 })
    check(story, 1910, -2)
    const unit = story.kitchen.read('unit', FRIDGE)!
    const level = coldLevel(limitsFrom('us-food-code-2022'), '2027-03-04')!
    const spans = (looks: { airs: readonly Look[] }) => airSpans(looks, level, at(250), at(1900), 12 * HOUR)
    expect(spans({ airs: columnsOf('unit', unit, 'UTC').airs as Look[] })).toEqual(spans(unit))
    expect(spans(unit).some(({ air }) => air === 'unsure')).toBe(true)
  })

  it('still says that it was warm', () => {
    const { story, item } = watched(9)
    const before = exposed(story, item, 1705)
    expect(before.most).toBeGreaterThan(0)
    check(story, 1710, -2)
    expect(exposed(story, item, 1710).most).toBeGreaterThanOrEqual(before.most)
    expect(exposed(story, item, 1710).likely).toBeGreaterThanOrEqual(before.likely)
  })

  it('is read less what the last check showed, and never by what is gone or reads no air', () => {
    const story = kitchen()
    check(story, -40, 0.8)
    const look = (instrument: string) => ({ typed: { value: 5, unit: 'C' as const }, instrument, noted: null })
    story.enter('unit-read', FRIDGE, 10, look(PROBE))
    expect(airs(story).at(-1)!.celsius).toBeCloseTo(4.2)
    story.enter('instrument-gone', PROBE, 20, { how: 'retired', reason: 'it is bent' }, { by: LEAD })
    expect(story.post('unit-read', FRIDGE, 30, look(PROBE)).posted).toMatchObject({ code: 'instrument gone' })
  })
})
