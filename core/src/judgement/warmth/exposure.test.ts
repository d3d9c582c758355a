import fc from 'fast-check'
import { HOUR } from '../../ground/instant'
import { itemOf, letGo, minutes, moved, readOf, unitOf } from '../../test/shelf'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import { courseOf } from '../keeping/course'
import { itemStanding } from '../keeping/itemStanding'
import { exposureOf } from './exposure'
import { coldLevel } from '../../recipe/checks/unitKind'

const DAY = '2027-03-03'
const NIGHT = 12 * HOUR
const us = limitsFrom('us-food-code-2022')
const level = coldLevel(us, DAY)!

const exposed = (item = itemOf(), units = [unitOf([])], now = 600) =>
  exposureOf(courseOf(item, []), units, level, NIGHT, at(now))

describe('time above the cold limit', () => {
  it('counts the air at most and likely, never at least, and nothing of a night between two good looks', () => {
    const { time } = exposed(itemOf(), [
      unitOf([
        [0, 3],
        [60, 9],
        [180, 9],
        [240, 3],
      ]),
    ])
    expect(minutes(time.least)).toBe(0)
    expect(minutes(time.most)).toBe(240)
    expect(minutes(time.likely)).toBeCloseTo(120 + 40 + 40, 6)
    expect(
      exposed(
        itemOf(),
        [
          unitOf([
            [0, 3],
            [11 * 60, 4],
          ]),
        ],
        700,
      ).time.most,
    ).toBe(0)
    expect(
      minutes(
        exposed(
          itemOf(),
          [
            unitOf([
              [0, 3],
              [13 * 60, 4],
            ]),
          ],
          800,
        ).time.most,
      ),
    ).toBe(13 * 60)
  })

  it('counts the bench whole: nothing keeps it cold there', () => {
    const out = itemOf({ moves: [moved(0, 'move', 'fridge'), moved(60, 'out', null), moved(150, 'move', 'fridge')] })
    const { time, periods } = exposed(
      out,
      [
        unitOf([
          [0, 3],
          [300, 3],
        ]),
      ],
      300,
    )
    expect([time.least, time.likely, time.most].map(minutes)).toEqual([90, 90, 90])
    expect(periods).toHaveLength(1)
  })

  it('takes a warm time back where its core was read cold while the air was still warm, and not afterwards', () => {
    const warm = [
      unitOf([
        [0, 3],
        [60, 9],
        [180, 9],
        [240, 3],
        [500, 3],
      ]),
    ]
    expect(minutes(exposed(itemOf({ readings: [readOf(180, 4)] }), warm).time.most)).toBe(60)
    expect(minutes(exposed(itemOf({ readings: [readOf(400, 4)] }), warm).time.most)).toBe(240)
    // A number that no probe stands behind proves nothing.
    expect(minutes(exposed(itemOf({ readings: [readOf(180, 4, null)] }), warm).time.most)).toBe(240)
  })

  it('proves at least what lies between two warm readings of its own', () => {
    const { time } = exposed(
      itemOf({ readings: [readOf(100, 8), readOf(220, 9)] }),
      [
        unitOf([
          [0, 3],
          [60, 9],
          [300, 9],
        ]),
      ],
      300,
    )
    expect(minutes(time.least)).toBe(120)
  })

  it('only asks before it was first cold, and counts nothing while it is frozen', () => {
    const never = exposed(itemOf({ coldAt: null }), [
      unitOf([
        [0, 30],
        [60, 12],
      ]),
    ])
    expect(never.time).toMatchObject({ least: 0, likely: 0 })
    expect(never.time.most).toBeGreaterThan(0)
    const frozen = itemOf({ moves: [moved(0, 'freeze', 'fridge')] })
    expect(
      exposed(frozen, [
        unitOf(
          [
            [0, -18],
            [500, -2],
          ],
          { kind: 'freezer' },
        ),
      ]).time.most,
    ).toBe(0)
  })

  it('keeps its bounds in order, and one more cold reading never makes it worse', () => {
    const look = fc.tuple(fc.integer({ min: 0, max: 2000 }), fc.double({ min: -2, max: 20, noNaN: true }))
    fc.assert(
      fc.property(
        fc.array(look, { maxLength: 20 }),
        fc.array(look, { maxLength: 4 }),
        fc.integer({ min: 0, max: 2000 }),
        (looks, reads, cold) => {
          const sorted = [...new Map(looks.map((each) => [each[0], each])).values()].sort((a, b) => a[0] - b[0])
          const readings = reads.map(([when, celsius]) => readOf(when, celsius))
          const units = [unitOf(sorted)]
          const { time } = exposureOf(courseOf(itemOf({ readings }), []), units, level, NIGHT, at(2000))
          expect(time.least).toBeGreaterThanOrEqual(0)
          expect(time.most + 1e-6).toBeGreaterThanOrEqual(time.likely)
          expect(time.likely + 1e-6).toBeGreaterThanOrEqual(time.least)
          const more = exposureOf(
            courseOf(itemOf({ readings: [...readings, readOf(cold, 1)] }), []),
            units,
            level,
            NIGHT,
            at(2000),
          )
          expect(more.time.most).toBeLessThanOrEqual(time.most + 1e-6)
        },
      ),
    )
  })

  it('counts a freezer that was read warmer than the limit, and no night that nobody looked at one', () => {
    const frozen = itemOf({ moves: [moved(0, 'freeze', 'freezer')] })
    const freezer = (looks: [number, number][]) => [unitOf(looks, { id: 'freezer', kind: 'freezer' })]
    const time = (looks: [number, number][], item = frozen) => exposed(item, freezer(looks), 1000).time
    expect(time([[0, -18]]).most).toBe(0)
    expect(
      time([
        [0, -18],
        [900, -6],
      ]).most,
    ).toBe(0)
    const broken = time([
      [0, -18],
      [400, 9],
      [700, 9],
      [760, -18],
    ])
    expect(minutes(broken.least)).toBe(0)
    expect(minutes(broken.most)).toBe(400 + 300 + 60)
    expect(broken.likely).toBeLessThan(broken.most)
    // From one freezer to another it is as frozen as before.
    const carried = itemOf({ moves: [moved(0, 'freeze', 'other'), moved(60, 'move', 'freezer')] })
    expect(time([[0, -18]], carried).most).toBe(0)
    // Read hard while the freezer was still warm, it never was.
    expect(
      minutes(
        time(
          [
            [0, -18],
            [400, 9],
            [700, 9],
          ],
          { ...frozen, readings: [readOf(690, -9)] },
        ).most,
      ),
    ).toBe(310)
  })
})

describe('what was read warm', () => {
  const cold = [
    unitOf([
      [0, 3],
      [600, 3],
    ]),
  ]

  it('may stay warm in the coldest unit until a probe finds it cold, and is asked about', () => {
    const warm = itemOf({ readings: [readOf(0, 3), readOf(200, 12)] })
    const { time, now } = exposed(warm, cold)
    expect([now, minutes(time.least), minutes(time.most)]).toEqual([true, 0, 400])
    const store = { units: cold, limits: us, zone: 'UTC' }
    expect(itemStanding(warm, store, at(210)).asks).toBe('chill again')
    expect(itemStanding(warm, store, at(600)).asks).toBe('read it')
    // A word ends no doubt; a probe does.
    const told = itemOf({ readings: [...warm.readings, readOf(240, 3, null)] })
    expect(exposed(told, cold).now).toBe(true)
    const found = itemOf({ readings: [...warm.readings, readOf(240, 3)] })
    const after = exposed(found, cold)
    expect([after.now, minutes(after.time.least), minutes(after.time.most)]).toEqual([false, 0, 40])
    expect(itemStanding(found, store, at(600)).asks).toBe('keep')
  })

  it('is hard in a freezer in half a day, and asked of no longer', () => {
    const moves = [moved(0, 'move', 'fridge'), moved(60, 'freeze', 'freezer')]
    const units = [...cold, unitOf([[0, -18]], { id: 'freezer', kind: 'freezer' })]
    const warm = itemOf({ moves, readings: [readOf(50, 12)] })
    expect(minutes(exposed(warm, units, 2000).time.most)).toBe(10 + 12 * 60)
  })

  it('asks the lead, not for one reading after the other, where a law allows one warm time and it had two', () => {
    const england = limitsFrom('uk-2013')
    const store = { units: cold, limits: england, zone: 'UTC' }
    const readings = [readOf(100, 12), readOf(140, 3), readOf(300, 12), readOf(340, 3)]
    expect(itemStanding(itemOf({ readings }), store, at(600))).toMatchObject({ asks: 'lead decides', why: 'exposure' })
    expect(itemStanding(itemOf({ readings: readings.slice(0, 3) }), store, at(310)).asks).toBe('read it')
  })
})

describe('what the lead let go on', () => {
  const warm = [
    unitOf([
      [0, 3],
      [60, 9],
      [180, 9],
      [240, 3],
      [600, 3],
    ]),
  ]

  it('is answered for as far as it was only possible, and keeps what was proven', () => {
    const { time, answered } = exposed(itemOf({ holds: [letGo(300)] }), warm)
    expect([time.most, answered]).toEqual([0, 0])
    const read = { readings: [readOf(100, 8), readOf(160, 9)], holds: [letGo(300)] }
    // No decision makes it cold: what was read warm is in doubt again from there on, until a probe finds it cold.
    const unread = exposed(itemOf(read), warm)
    expect([unread.now, minutes(unread.time.least), minutes(unread.time.most)]).toEqual([true, 60, 60 + 300])
    const proven = exposed(itemOf({ ...read, readings: [...read.readings, readOf(300, 4)] }), warm)
    expect(proven.time).toEqual({ least: 60 * 60_000, likely: 60 * 60_000, most: 60 * 60_000 })
    expect(minutes(proven.answered)).toBe(60)
    // What was warm before it was an item, too.
    const carried = { least: 600_000, likely: 900_000, most: 1_200_000 }
    expect(minutes(exposed(itemOf({ carried, holds: [letGo(300)] }), warm).time.most)).toBe(10)
  })

  it('counts on from there', () => {
    const later = [
      unitOf([
        [0, 3],
        [60, 9],
        [180, 9],
        [240, 3],
        [400, 3],
        [420, 10],
        [480, 10],
      ]),
    ]
    const { time } = exposed(itemOf({ holds: [letGo(300)] }), later, 480)
    expect(minutes(time.most)).toBe(80)
  })

  it('has never less proven than if nobody had decided, and never more possible', () => {
    const looks = fc.array(fc.tuple(fc.nat({ max: 600 }), fc.integer({ min: 1, max: 14 })), {
      minLength: 1,
      maxLength: 8,
    })
    const reads = fc.array(fc.tuple(fc.nat({ max: 600 }), fc.integer({ min: 1, max: 14 })), { maxLength: 5 })
    fc.assert(
      fc.property(looks, reads, fc.nat({ max: 600 }), (seen, own, when) => {
        const unit = [unitOf([...seen].sort((a, b) => a[0] - b[0]))]
        const readings = [...own].sort((a, b) => a[0] - b[0]).map(([at, celsius]) => readOf(at, celsius))
        const free = exposed(itemOf({ readings }), unit)
        const decided = exposed(itemOf({ readings, holds: [letGo(when)] }), unit)
        expect(decided.time.least).toBe(free.time.least)
        expect(decided.time.most).toBeLessThanOrEqual(free.time.most)
        expect(decided.answered).toBeLessThanOrEqual(decided.time.least)
      }),
    )
  })
})
