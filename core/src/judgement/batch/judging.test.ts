import fc from 'fast-check'
import { coolingStages, heatRows } from '../../rules/sets/ruleSets'
import { at, core, coreF, traces } from '../../test/traces'
import { judgeCooling } from '../watch/judgeCooling'
import { judgeHeat } from '../watch/judgeHeat'

const rows = heatRows('us-food-code-2022', 'egg', 'C')
const stages = coolingStages('us-food-code-2022')
const standings = (readings: Parameters<typeof judgeCooling>[0], now: number) =>
  judgeCooling(readings, stages, now).map(({ standing }) => standing)

describe('judgeHeat', () => {
  it('closes the instant row with one reading, and no other row', () => {
    expect(judgeHeat([core(0, 70)], rows, null)).toMatchObject({ standing: 'proven', row: { celsius: 70, seconds: 0 } })
    expect(judgeHeat([core(0, 69.9)], rows, null).standing).toBe('open')
  })

  it('closes a hold by two readings no further apart than may prove it', () => {
    expect(judgeHeat([core(0, 68.4), core(20 / 60, 69.6)], rows, null)).toMatchObject({
      standing: 'proven',
      row: { celsius: 68 },
    })
    expect(judgeHeat([core(0, 68.4), core(16 / 60, 69.6)], rows, null).standing).toBe('open')
  })

  it('does not let 60.5 at 0 and at 45 min prove 60 for 45 min', () => {
    const row = [{ celsius: 60, seconds: 2700 }]
    expect(judgeHeat([core(0, 60.5), core(45, 60.5)], row, at(45)).standing).toBe('unproven')
  })

  it('is missed only when nothing unread could have met a row', () => {
    const cold = [core(0, 55), core(1, 60), core(2, 62)]
    expect(judgeHeat(cold, rows, at(2)).standing).toBe('missed')
    expect(judgeHeat(cold, rows, at(30)).standing).toBe('unproven')
    expect(judgeHeat([], rows, at(2)).standing).toBe('unproven')
    expect(judgeHeat(cold, [], at(2)).standing).toBe('unproven')
  })

  it('looks at core readings alone', () => {
    expect(judgeHeat([{ ...core(0, 90), where: 'surface' }], rows, null).standing).toBe('open')
  })

  it('never proves more with a reading taken away at the end, for any trace', () => {
    fc.assert(
      fc.property(traces, (trace) => {
        const sorted = [...trace].sort((a, b) => a.at - b.at)
        const before = judgeHeat(sorted.slice(0, -1), rows, null).standing
        if (before === 'proven' && new Set(sorted.map((r) => r.at)).size === sorted.length) {
          expect(judgeHeat(sorted, rows, null).standing).toBe('proven')
        }
        expect(judgeHeat(trace, rows, null)).toEqual(judgeHeat([...trace].reverse(), rows, null))
      }),
    )
  })
})

describe('judgeCooling, Food Code in °F', () => {
  it('proves both gates', () => {
    expect(standings([coreF(0, 135), coreF(112, 70), coreF(350, 41)], at(400))).toEqual(['proven', 'proven'])
  })

  it('does not prove a crossing that may lie on either side of the limit', () => {
    expect(standings([coreF(0, 135), coreF(110, 75), coreF(125, 68)], at(125))).toEqual(['unproven', 'open'])
  })

  it('misses on a reading above after the limit', () => {
    expect(standings([coreF(0, 135), coreF(121, 72)], at(121))).toEqual(['missed', 'open'])
  })

  it('proves the total and not the first stage when nothing was read between', () => {
    expect(standings([coreF(0, 135), coreF(350, 41)], at(350))).toEqual(['unproven', 'proven'])
  })

  it('cannot prove a stage whose start nobody read', () => {
    expect(standings([coreF(0, 100), coreF(30, 60)], at(30))).toEqual(['unproven', 'unproven'])
  })

  it('starts the clock of a forgotten pot at its last hot reading', () => {
    const [first] = judgeCooling([coreF(0, 170)], stages, at(200))
    expect(first).toMatchObject({
      standing: 'unproven',
      overdue: true,
      deadline: at(120),
      start: { earliest: at(0), latest: null },
    })
  })

  it('walks back to the fall when the heat was marked as ended after it', () => {
    const trace = [coreF(0, 180), coreF(10, 120), coreF(20, 100)]
    const [first] = judgeCooling(trace, stages, at(30), { after: at(15) })
    expect(first?.start).toMatchObject({ earliest: at(0), latest: at(10) })
  })

  it('does not start the clock anew for a later rise', () => {
    const [first] = judgeCooling([coreF(0, 135), coreF(60, 80), coreF(70, 150), coreF(150, 60)], stages, at(150))
    expect(first).toMatchObject({ start: { earliest: at(0) } })
  })

  it('counts a following stage from the end of the one before, and an event stage from its event', () => {
    const further = [
      { key: 'a', from: 60, to: 21, withinMinutes: 120 },
      { key: 'b', from: 21, to: 5, withinMinutes: 240, clock: 'previous' as const },
      { key: 'c', from: 21, to: 5, withinMinutes: 240, clock: 'event' as const },
    ]
    const trace = [core(0, 60), core(100, 21), core(330, 5)]
    const judged = judgeCooling(trace, further, at(330), { events: { c: at(50) } })
    expect(judged.map(({ standing }) => standing)).toEqual(['proven', 'proven', 'missed'])
    expect(judged[1]?.deadline).toBe(at(340))
  })

  it('never lets time alone prove anything, and judges twice the same, for any trace', () => {
    fc.assert(
      fc.property(traces, fc.integer({ min: 0, max: 1200 }), fc.integer({ min: 0, max: 1200 }), (trace, now, wait) => {
        const before = judgeCooling(trace, stages, at(now))
        const after = judgeCooling(trace, stages, at(now + wait))
        expect(judgeCooling([...trace].reverse(), stages, at(now))).toEqual(before)
        after.forEach(({ standing }, i) => {
          if (standing === 'proven') expect(before[i]?.standing).toBe('proven')
          if (before[i]?.standing === 'proven' || before[i]?.standing === 'missed')
            expect(standing).toBe(before[i]?.standing)
        })
      }),
    )
  })
})

describe('several vessels and several probes', () => {
  const of = (reading: ReturnType<typeof core>, more: object) => ({ ...reading, ...more })
  const first = (readings: Parameters<typeof judgeCooling>[0], now: number) =>
    judgeCooling(readings, stages, at(now))[0]!.standing

  it('cool as the warmest portion does; portions share what was read before the split', () => {
    const shared = [coreF(0, 150), coreF(5, 135)]
    const a = of(coreF(100, 68), { portion: 'a' })
    const b = of(coreF(110, 69), { portion: 'b' })
    expect(first([...shared, a, b], 200)).toBe('proven')
    expect(first([...shared, a, of(coreF(130, 75), { portion: 'b' })], 200)).toBe('missed')
    expect(first([...shared, a, of(coreF(110, 75), { portion: 'b' })], 200)).toBe('unproven')
  })

  it('let a reading of nobody knows which pan deny, and not prove', () => {
    const split = [coreF(0, 135), of(coreF(60, 90), { portion: 'a' }), of(coreF(60, 92), { portion: 'b' })]
    expect(first([...split, coreF(100, 68)], 130)).toBe('unproven')
    expect(first([...split, coreF(122, 80)], 130)).toBe('missed')
  })

  it('are held as long as the coldest portion was', () => {
    const hot = [of(core(0, 72), { portion: 'a' }), of(core(0, 69), { portion: 'b' })]
    expect(judgeHeat(hot, rows, null).standing).toBe('open')
    expect(judgeHeat([...hot, of(core(1, 71), { portion: 'b' })], rows, null).standing).toBe('proven')
  })

  it('are judged apart, probe by probe, and the worse counts', () => {
    const readings = [
      of(coreF(0, 135), { instrument: 'a' }),
      of(coreF(0, 135), { instrument: 'b' }),
      of(coreF(100, 68), { instrument: 'a' }),
      of(coreF(121, 75), { instrument: 'b' }),
    ]
    expect(first(readings, 130)).toBe('missed')
    expect(
      judgeHeat([of(core(0, 68.5), { instrument: 'a' }), of(core(0.3, 68.5), { instrument: 'b' })], rows, null)
        .standing,
    ).toBe('open')
  })
})
