import { dayOf } from '../ground/zone'
import { KitchenStory } from '../test/kitchenStory'
import { at } from '../test/traces'

const ZONE = 'Europe/London'
const minutesOf = (iso: string) => (Date.parse(iso) - at(0)) / 60_000

/** A custard begun at a moment, combined five minutes later, proven and put away four hours after. */
function madeAt(iso: string) {
  const story = new KitchenStory({ zone: ZONE, now: Date.parse('2026-01-01T00:00Z') })
  const begun = minutesOf(iso)
  const batch = story.begin('night', begun)
  story.mark(batch, begun + 5, 'temper', 'combined')
  story.read(batch, begun + 10, 80)
  story.mark(batch, begun + 12, 'cook', 'done')
  for (const [minutes, celsius] of [
    [20, 57],
    [100, 20],
    [240, 4.5],
  ] as const)
    story.read(batch, begun + minutes, celsius)
  const item = story.putAway(batch, begun + 245)
  return { story, batch, item, begun }
}

describe('a date at the edge of a day', () => {
  // Day 1 is the day on which it was begun, by the kitchen's own calendar; the house keeps it three days.
  it.each([
    ['at ten past midnight', '2026-12-05T00:10:00Z', '2026-12-07'],
    ['at ten to midnight, combined before it', '2026-12-04T23:50:00Z', '2026-12-06'],
    ['before midnight and combined after it: the earlier day counts', '2026-12-04T23:58:00Z', '2026-12-06'],
    ['in summer, where the day begins an hour before the world’s', '2026-07-04T23:10:00Z', '2026-07-07'],
    ['in the night the clocks go on', '2027-03-28T00:50:00Z', '2027-03-30'],
    ['before that night', '2027-03-27T23:30:00Z', '2027-03-29'],
    ['in the hour that comes twice', '2026-10-25T00:30:00Z', '2026-10-27'],
    ['in that hour the second time', '2026-10-25T01:30:00Z', '2026-10-27'],
    ['the evening before it', '2026-10-24T22:30:00Z', '2026-10-26'],
    ['on the last of February', '2028-02-28T23:50:00Z', '2028-03-01'],
    ['on the day that only leap years have', '2028-02-29T23:50:00Z', '2028-03-02'],
  ])('is the same wherever it is asked: made %s', (_, iso, last) => {
    const { story, batch, item, begun } = madeAt(iso)
    const { until, usable } = story.kitchen.item(item, at(begun + 250))
    expect(usable).toBe(true)
    expect(dayOf(until! - 1, ZONE)).toBe(last)
    expect(dayOf(until!, ZONE)).not.toBe(last)
    // Its last minute, and the first that is too late, by the clock on the wall.
    expect(story.kitchen.item(item, until! - 60_000).asks).not.toBe('discard')
    expect(story.kitchen.item(item, until!)).toMatchObject({ asks: 'discard', usable: false })
    expect(story.kitchen.standing(batch, at(begun + 250))).not.toBe('missed')
  })

  it('counts hours by the clock that nobody turns', () => {
    // From 57° to 20° it took 80 minutes; on the wall, where the clocks went on meanwhile, it looks like 140.
    const { story, batch, begun } = madeAt('2027-03-28T00:30:00Z')
    const gates = () =>
      story.kitchen.findings(batch, at(begun + 300)).filter(({ check }) => check.key.startsWith('cool-'))
    expect(gates().map(({ standing }) => standing)).toEqual(['proven', 'proven'])
  })
})
