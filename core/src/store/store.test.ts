import fc from 'fast-check'
import { HOUR } from '../calendar/instant'
import { addDays, startOfDay } from '../calendar/zone'
import { itemOf, minutes, moved, readOf, storeOf, unitOf } from '../test/shelf'
import { limitsFrom } from '../test/story'
import { at } from '../test/traces'
import { excursionsOf } from './air'
import { courseOf } from './course'
import { wallsOf, type Dating, type Keep } from './dating'
import { exposureOf } from './exposure'
import { itemStanding } from './itemStanding'
import { less } from './measure'
import { coldLevel, levelOf } from './unitKind'

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

  it('never counts before it was first cold, and nothing while it is frozen', () => {
    expect(
      exposed(itemOf({ coldAt: null }), [
        unitOf([
          [0, 30],
          [60, 12],
        ]),
      ]).time.most,
    ).toBe(0)
    const frozen = itemOf({ moves: [moved(0, 'freeze', 'fridge')] })
    expect(
      exposed(frozen, [
        unitOf(
          [
            [0, 9],
            [500, 9],
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
})

describe('a unit that is warm', () => {
  const opened = (looks: [number, number][], now = 300) =>
    excursionsOf(unitOf(looks), levelOf('refrigerator', us, DAY)!, at(now))

  it('is in question after two looks a quarter of an hour apart, or half an hour, and a door is not', () => {
    expect(
      opened(
        [
          [0, 3],
          [60, 8],
          [70, 8],
        ],
        75,
      )[0]?.open,
    ).toBe(false)
    expect(
      opened(
        [
          [0, 3],
          [60, 8],
          [76, 8],
        ],
        77,
      )[0],
    ).toMatchObject({ open: true, until: null })
    expect(
      opened(
        [
          [0, 3],
          [60, 8],
        ],
        95,
      )[0]?.open,
    ).toBe(true)
    expect(
      opened([
        [0, 3],
        [60, 8],
        [80, 3],
      ])[0],
    ).toMatchObject({ open: false, until: at(80) })
    const door = unitOf([
      [0, 3],
      [60, 11],
      [80, 3],
    ])
    door.airs[1] = { ...door.airs[1]!, noted: 'door open' }
    expect(excursionsOf(door, levelOf('refrigerator', us, DAY)!, at(300))).toEqual([])
  })

  it('has the limit of its kind', () => {
    expect(levelOf('egg refrigerator', us, DAY)?.celsius).toBe(7)
    expect(levelOf('refrigerator', us, DAY)?.celsius).toBe(5)
    expect(levelOf('refrigerator', limitsFrom('uk-2013'), DAY)?.celsius).toBe(8)
    expect(levelOf('display case', limitsFrom('fr-2009'), DAY)?.celsius).toBe(3)
    expect(levelOf('hot well', limitsFrom('uk-2013'), DAY)).toMatchObject({ side: 'over', celsius: 63 })
    expect(levelOf('ambient shelf', us, DAY)).toBeNull()
  })
})

describe('what time above the limit asks for', () => {
  const out = (from: number, to: number | null) =>
    itemOf({
      moves: [
        moved(0, 'move', 'fridge'),
        moved(from, 'out', null),
        ...(to === null ? [] : [moved(to, 'move', 'fridge')]),
      ],
    })
  const asks = (
    ruleSet: string,
    item = out(60, 200),
    now = 300,
    looks: [number, number][] = [
      [0, 2],
      [now, 2],
    ],
  ) => itemStanding(item, storeOf([unitOf(looks)], limitsFrom(ruleSet)), at(now))

  it('follows the rule set: guidance for the lead, one period, two hours and four', () => {
    // 140 minutes on the bench and back.
    expect(asks('us-food-code-2022').advice.kind).toBe('nothing')
    expect(asks('us-food-code-2022', out(60, null), 200).advice).toMatchObject({
      kind: 'chill again',
      by: at(60 + 240),
      force: 'guidance',
    })
    expect(asks('us-food-code-2022', out(60, 320), 400)).toMatchObject({ asks: 'lead decides' })
    expect(asks('anz-3-2-2', out(60, 100), 300).advice.kind).toBe('chill again')
    expect(asks('anz-3-2-2').asks).toBe('use now')
    expect(asks('anz-3-2-2', out(60, 320), 400)).toMatchObject({ asks: 'discard', why: 'exposure' })
    expect(asks('uk-2013').advice.kind).toBe('nothing')
    expect(asks('uk-2013', out(60, 320), 400).asks).toBe('discard')
    const twice = itemOf({
      moves: [
        moved(0, 'move', 'fridge'),
        moved(60, 'out', null),
        moved(100, 'move', 'fridge'),
        moved(200, 'out', null),
        moved(230, 'move', 'fridge'),
      ],
    })
    expect(asks('uk-2013', twice, 300).asks).toBe('discard')
  })

  it('asks for a reading of the item where only the air says so', () => {
    const warm: [number, number][] = [
      [0, 2],
      [60, 9],
      [400, 9],
    ]
    expect(asks('anz-3-2-2', itemOf(), 400, warm).asks).toBe('read it')
    expect(asks('us-food-code-2022', itemOf(), 400, warm).asks).toBe('read it')
    const read = itemOf({ readings: [readOf(395, 4)] })
    // Cold to the core: what is left to do is to get it out of the warm air.
    expect(asks('anz-3-2-2', read, 396, warm).asks).toBe('chill again')
  })

  it('discards what went out with time as its only control when that is up, and not before', () => {
    const served = itemOf({ moves: [moved(0, 'move', 'fridge'), moved(60, 'serve', null)] })
    expect(asks('us-food-code-2022', served, 299)).toMatchObject({
      asks: 'use now',
      until: at(300),
      why: 'its own clock',
    })
    expect(asks('us-food-code-2022', served, 300)).toMatchObject({ asks: 'discard', why: 'time up' })
  })
})

describe('the dates of an item', () => {
  const source = { document: 'x', section: '', edition: '', confidence: 'high' as const }
  const keep = (what: Keep['what'], count: number): Keep => ({ what, count, from: null, force: 'house', source })
  const dating = (more: Partial<Dating>): Dating => ({ prepared: at(0), keeps: [], useBy: null, parts: [], ...more })

  it('has the earliest rule and names it: days, hours, an opened package, a use-by, a part', () => {
    const zone = 'UTC'
    expect(wallsOf(dating({ keeps: [keep('days', 7), keep('days', 3)] }), null, [], zone)[0]).toMatchObject({
      lastDay: '2027-03-05',
      keep: { count: 3 },
    })
    expect(wallsOf(dating({ keeps: [keep('hours', 24), keep('days', 7)] }), null, [], zone)[0]?.until).toBe(at(24 * 60))
    const carton = dating({ useBy: '2027-03-20', keeps: [keep('once opened', 3)] })
    expect(wallsOf(carton, null, [], zone)[0]).toMatchObject({ lastDay: '2027-03-20' })
    expect(wallsOf(carton, at(48 * 60), [], zone)[0]).toMatchObject({
      lastDay: '2027-03-07',
      keep: { what: 'once opened' },
    })
    const built = dating({ keeps: [keep('days', 3)], parts: [{ name: 'custard', lastDay: '2027-03-04' }] })
    expect(wallsOf(built, null, [], zone)[0]).toMatchObject({ ruledBy: 'custard', lastDay: '2027-03-04' })
    expect(wallsOf(dating({}), null, [], zone)).toEqual([])
  })

  it('stops while frozen and goes on after, a use-by never', () => {
    const carton = dating({ useBy: '2027-03-20', keeps: [keep('days', 7)] })
    const frozen = wallsOf(carton, null, [{ from: at(24 * 60) }], 'UTC')
    expect(frozen.map(({ lastDay, daysLeft }) => lastDay ?? daysLeft)).toEqual(['2027-03-20', 5])
    expect(
      wallsOf(dating({ keeps: [keep('days', 7)] }), null, [{ from: at(24 * 60), to: at(15 * 24 * 60) }], 'UTC')[0]
        ?.lastDay,
    ).toBe('2027-03-22')
  })

  it('ends with a day of the kitchen, whatever the clocks do: today is the last day until midnight there', () => {
    const zones = fc.constantFrom('Europe/London', 'America/St_Johns', 'Asia/Kathmandu', 'Pacific/Auckland', 'UTC')
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900 }), zones, fc.integer({ min: 1, max: 9 }), (n, zone, count) => {
        const made = startOfDay(addDays('2027-01-01', n), zone) + 22 * HOUR
        const [wall] = wallsOf(dating({ prepared: made, keeps: [keep('days', count)] }), null, [], zone)
        const last = addDays(addDays('2027-01-01', n), count - 1)
        expect(wall).toMatchObject({ lastDay: last, until: startOfDay(addDays(last, 1), zone) })
        const item = itemOf({
          dating: dating({ prepared: made, keeps: [keep('days', count)] }),
          coldAt: made,
          moves: [],
        })
        const store = { ...storeOf([]), zone }
        expect(itemStanding(item, store, wall!.until! - 1).asks).toBe('use today')
        expect(itemStanding(item, store, wall!.until!).asks).toBe('discard')
      }),
      { numRuns: 60 },
    )
  })
})

it('takes amounts off in their unit alone, and a rest of nothing is nothing', () => {
  expect(less({ value: 10, unit: 'portion' }, [{ value: 4, unit: 'portion' }])).toEqual({ value: 6, unit: 'portion' })
  expect(less({ value: 500, unit: 'g' }, [{ value: 499.97, unit: 'g' }]).value).toBe(0)
  expect(() => less({ value: 500, unit: 'g' }, [{ value: 1, unit: 'ml' }])).toThrow(/cannot be taken/)
})
