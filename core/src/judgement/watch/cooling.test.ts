import { MINUTE } from '../../ground/instant'
import { lnExcess } from '../../physics/conduction/response'
import { afterwards, forecastOf, NO_MEANS, prospectIn, rescuesFor } from '../../advice/cooling/forecast'
import { LEARN_FROM, learnedFrom, likeness } from '../../advice/cooling/learned'
import type { Place } from '../../physics/cooling/place'
import type { Bodies } from '../../ledger/entry'
import { chance } from '../../test/coolings'
import { alarms, NOTHING_SOUNDED } from '../../advice/round/alarms'
import { dueRound } from '../../advice/round/dueRound'
import { limitsFrom, method, Story, world } from '../../test/story'
import { at } from '../../test/traces'
import { attention, type Attention } from '../../advice/attention'
import { timelineOf } from '../timeline/timeline'

const TUB = { id: 'tub', name: 'tub', inside: { kind: 'round', diameter: 0.3, height: 0.2 }, wall: 'plastic' } as const
const CUP = { ...TUB, id: 'cup', name: 'cup', inside: { kind: 'round', diameter: 0.07, height: 0.08 } } as const
const TRAY = { ...TUB, id: 'tray', name: 'tray', wall: 'steel' } as const
const pour = (depth: number, pans = 1, vessel: Bodies['poured']['vessel'] = TUB) => ({ vessel, pans, depth })
const into = (place: Place) => ({ place, unit: null, air: null })

/** Off the heat at 10:12, in a deep tub somewhere. */
function cooling(place: Place | null, depth = 0.09, from = new Story()): Story {
  from.combined(5)
  from.read(10, 82)
  from.offHeat(12)
  if (depth) from.enter('poured', 13, pour(depth))
  if (place) from.enter('placed', 14, into(place))
  return from
}

const rescueOf = (asks: Attention) => (asks.kind === 'rescue' || asks.kind === 'lost' ? asks : null)

describe('left where it is too slow', () => {
  it('says nothing from one reading after the heat, and speaks from the second', () => {
    const story = cooling('counter')
    expect(rescueOf(story.asks(20))).toBeNull()
    story.read(22, 79)
    story.read(62, 70)
    expect(story.asks(63).kind).toBe('rescue')
  })

  it('names what still saves it and until when, what saves it longest first', () => {
    const story = cooling('counter')
    story.read(70, 57)
    story.read(90, 53)
    const asks = rescueOf(story.asks(91))!
    expect(asks.finding.check.key).toBe('cool-first')
    expect(asks.all.map(({ by }) => by)).toEqual([...asks.all.map(({ by }) => by)].sort((a, b) => b - a))
    expect(asks.by).toBe(asks.all[0]!.by)
    expect(asks.all[0]!.action.kind).toBe('stirred ice bath')
    expect(asks.gate.atDeadline).toBeGreaterThan(21)
    expect(asks.gate.miss).toBeGreaterThan(0.9)
  })

  it('keeps what is too late, with since when; when nothing is left the lead is asked', () => {
    const story = cooling('counter')
    story.read(70, 57)
    story.read(90, 53)
    const early = rescueOf(story.asks(91))!
    const one = early.all.at(-1)!
    const later = rescueOf(story.asks(182))!
    expect(later.kind).toBe('lost')
    expect(later.all.find(({ action }) => action.kind === one.action.kind)!.by).toBe(one.by)
    expect(later.by).toBe(later.gate.deadline)
  })

  it('is quiet once it stands where it will make it', () => {
    const story = cooling('counter')
    story.read(70, 57)
    story.read(90, 53)
    expect(story.asks(91).kind).toBe('rescue')
    story.enter('placed', 92, into('stirred ice bath'))
    expect(story.asks(93).kind).toBe('read')
    const forecast = forecastOf(story.batch, story.findings(93))!
    expect(forecast.setting).toMatchObject({ place: 'stirred ice bath', change: 'placed' })
    expect(forecast.gates[0]!.miss).toBeLessThan(0.05)
  })

  it('offers no stirring and no pouring of what is baked or holds air', () => {
    const story = cooling('counter')
    story.read(70, 57)
    story.read(90, 53)
    const { batch } = story
    const findings = story.findings(91)
    const baked = { ...batch, method: { ...batch.method, family: 'baked-custard' as const } }
    const forecast = forecastOf(baked, findings)!
    const kinds = rescuesFor(baked, forecast, forecast.gates[0]!).map(({ action }) => action.kind)
    expect(kinds).toEqual(['ice bath'])
  })

  it('offers a blast chiller only where there is one', () => {
    const story = cooling('counter')
    story.read(70, 57)
    story.read(90, 53)
    const means = { ...NO_MEANS, places: ['blast chiller' as const] }
    const asks = attention(story.batch, story.findings(91), { ...world, means }, at(91))
    expect(rescueOf(asks)!.all.map(({ action }) => action.kind)).toContain('blast chiller')
    expect(rescueOf(story.asks(91))!.all.map(({ action }) => action.kind)).not.toContain('blast chiller')
  })
})

describe.each([
  ['us-food-code-2022', [21, 5]],
  ['uk-2013', [8]],
  ['fr-2009', [10]],
  ['ca-retail', [20, 4]],
])('under %s', (ruleSet, levels) => {
  it('forecasts every open gate, and calls for the ice when it will miss', () => {
    const slow = cooling('counter', 0.09, new Story(limitsFrom(ruleSet)))
    slow.read(62, 59)
    slow.read(82, 55)
    const forecast = forecastOf(slow.batch, slow.findings(83))
    const known = [...new Set(forecast!.gates.map(({ level }) => Math.round(level)))]
    for (const level of levels) expect(known).toContain(level)
    expect(['rescue', 'lost']).toContain(slow.asks(83).kind)
  })

  it('is quiet about a thin one in a stirred bath', () => {
    const quick = cooling('stirred ice bath', 0.03, new Story(limitsFrom(ruleSet)))
    quick.read(18, 54)
    quick.read(24, 33)
    quick.read(30, 21)
    expect(rescueOf(quick.asks(31))).toBeNull()
  })
})

describe('the cook-chill line', () => {
  const limits = limitsFrom('uk-2013')
  const chilled = () => new Story({ ...limits, practice: { ...limits.practice, cookChill: true } })

  it('counts from the chiller, and from half an hour after the heat at the latest', () => {
    const prompt = cooling('blast chiller', 0.03, chilled())
    prompt.read(16, 70)
    prompt.read(40, 30)
    expect(prompt.finding('chill-total', 41)).toMatchObject({ standing: 'open', deadline: at(14 + 90) })
    prompt.read(95, 2.8)
    expect(prompt.standing('chill-total', 96)).toBe('proven')
    const late = cooling(null, 0.03, chilled())
    late.read(60, 60)
    late.enter('placed', 61, into('blast chiller'))
    expect(late.finding('chill-total', 62).deadline).toBe(at(12 + 30 + 90))
  })

  it('is forecast like every other gate', () => {
    const story = cooling('refrigerator', 0.05, chilled())
    story.read(16, 70)
    story.read(40, 60)
    const gate = forecastOf(story.batch, story.findings(41))!.gates.find(({ level }) => level === 3)!
    expect(gate.miss).toBeGreaterThan(0.9)
  })
})

describe('what is made at room temperature', () => {
  const steps = (['whip', 'fold', 'cool', 'hold'] as const).map((kind) => ({
    key: kind,
    kind,
    measures: 'mixture' as const,
  }))
  const foam = { ...method, name: 'Foam', family: 'mousse' as const, cooling: 'ambient' as const, steps }
  const begun = () => {
    const story = new Story(limitsFrom('us-food-code-2022'), foam)
    story.enter('step-marked', 10, { step: 'fold', edge: 'combined', reason: null })
    return story
  }

  it('has a clock of its own from when it is together, and a forecast on it', () => {
    const story = begun()
    story.enter('placed', 12, into('refrigerator'))
    story.read(15, 19)
    story.read(50, 17)
    const [gate] = forecastOf(story.batch, story.findings(51))!.gates
    expect(gate).toMatchObject({ level: 5, deadline: at(250) })
    expect(gate!.passing.quantiles.length).toBeGreaterThan(10)
  })

  it('calls for help where it will not be cold in time', () => {
    const story = begun()
    story.enter('placed', 12, into('counter'))
    story.read(15, 19)
    story.read(75, 19.5)
    expect(['rescue', 'lost']).toContain(story.asks(76).kind)
  })
})

describe('when a reading is asked for', () => {
  it('half an hour after the clock started, then when a gate is most likely passed, and before it at the latest', () => {
    const story = cooling('stirred ice bath', 0.05)
    story.read(16, 57)
    expect(story.asks(17)).toMatchObject({ kind: 'read', at: at(46) })
    story.read(46, 24)
    const asks = story.asks(47)
    const { passing } = forecastOf(story.batch, story.findings(47))!.gates[0]!
    expect(asks).toMatchObject({ kind: 'read', at: Math.max(passing.high!, at(56)) })
  })

  it('oftener where it may miss', () => {
    const calm = cooling('stirred ice bath', 0.05)
    calm.read(16, 57)
    calm.read(46, 24)
    const doubtful = cooling('refrigerator', 0.045)
    doubtful.read(20, 57)
    doubtful.read(50, 46)
    const asks = doubtful.asks(51)
    const soon = asks.kind === 'read' ? asks.at - at(50) : 0
    expect(asks.kind === 'rescue' || soon <= 30 * MINUTE).toBe(true)
  })
})

describe('a split batch', () => {
  it('has a trace for each pan, and stands by the worst of those that were read', () => {
    const story = cooling(null, 0)
    story.read(20, 57)
    story.enter('poured', 25, pour(0.04, 3, TRAY))
    story.read(60, 30, { portion: '1' })
    story.read(61, 38, { portion: '2' })
    expect(timelineOf(story.batch).pans.slowest).toBe('2')
    story.read(110, 20, { portion: '1' })
    expect(story.standing('cool-first', 111)).toBe('open')
    story.read(112, 20.5, { portion: '2' })
    // One pan is one pan: the third was not read.
    expect(story.finding('cool-first', 113)).toMatchObject({
      standing: 'open',
      because: { code: 'pans unread', read: 2, needed: 3, of: 3 },
    })
    story.read(114, 19, { portion: '3' })
    expect(story.standing('cool-first', 115)).toBe('proven')
  })

  it('is proven by the pan that was named the slowest, and by two of pieces alike', () => {
    const named = cooling(null, 0)
    named.read(20, 57)
    named.enter('poured', 25, { ...pour(0.04, 4, TRAY), slowest: '3' })
    named.read(110, 20, { portion: '1' })
    expect(named.standing('cool-first', 141)).toBe('unproven')
    named.read(112, 20.5, { portion: '3' })
    expect(named.standing('cool-first', 141)).toBe('proven')
    const cups = cooling(null, 0)
    cups.read(20, 57)
    cups.enter('poured', 25, pour(0.04, 40, CUP))
    cups.read(60, 20, { portion: '1' })
    expect(cups.finding('cool-first', 61).pans).toEqual({ read: 1, needed: 2, of: 40 })
    cups.read(61, 20, { portion: '2' })
    expect(cups.standing('cool-first', 62)).toBe('proven')
  })

  it('is no other pan for another way to write its number, nor one for pouring it anew', () => {
    const story = cooling(null, 0)
    story.read(20, 57)
    story.enter('poured', 25, pour(0.04, 3, TRAY))
    story.read(110, 20, { portion: '1' })
    story.read(111, 20, { portion: '01' })
    story.read(112, 20, { portion: '7' })
    expect(story.finding('cool-first', 113)).toMatchObject({ because: { code: 'pans unread', read: 1, needed: 3 } })
    story.enter('poured', 120, pour(0.06, 1, TUB))
    expect(story.standing('cool-first', 150)).toBe('unproven')
  })

  it('takes a reading of no pan after the split for none that proves', () => {
    const story = cooling(null, 0)
    story.read(20, 57)
    story.enter('poured', 25, pour(0.04, 3, TRAY))
    story.read(60, 30, { portion: '1' })
    story.read(110, 20)
    expect(story.standing('cool-first', 150)).toBe('unproven')
  })
})

describe('what the kitchen has learned', () => {
  const record = (tauMinutes: number) => ({ key: 'tub 18 ice bath open', tauMinutes })

  it('is nothing from fewer than five, and narrow from many alike', () => {
    expect(learnedFrom([50, 52, 49, 51].map(record))).toEqual({})
    const learned = learnedFrom([50, 52, 49, 51, 48, 50].map(record))['tub 18 ice bath open']!
    expect(learned.batches).toBe(6)
    expect(learned.tauMinutes).toBeCloseTo(50, 0)
    expect(learned.spread).toBeLessThan(0.12)
    expect(LEARN_FROM).toBe(5)
  })

  it('takes the place of what is reckoned, and the forecast says on how many it rests', () => {
    const story = cooling('ice bath')
    story.read(20, 70)
    const setting = timelineOf(story.batch).settings(at(12)).at(-1)!
    const key = likeness(setting)!
    const learned = learnedFrom(Array.from({ length: 7 }, () => ({ key, tauMinutes: 33 })))
    const { prospect, batches } = prospectIn(setting, undefined, { places: [], learned })
    expect([prospect.scale.tauMinutes, batches]).toEqual([expect.closeTo(33, 5), 7])
    expect(prospectIn(setting, undefined, NO_MEANS).batches).toBe(0)
  })
})

it('asks 25 batches of a busy Saturday for readings in rounds, and rings for none that will make it', () => {
  const dice = chance(77)
  const pots = Array.from({ length: 25 }, (_, i) => {
    const begun = i * 12
    const depth = dice.between(0.025, 0.05)
    const story = new Story(limitsFrom('us-food-code-2022'), method)
    story.combined(begun + 1)
    story.read(begun + 2, 82)
    story.offHeat(begun + 3)
    story.enter('poured', begun + 3, pour(depth, 1, TRAY))
    story.enter('placed', begun + 4, into('stirred ice bath'))
    // How it really cools: as reckoned, but for the range of its coefficients.
    const [setting] = timelineOf(story.batch)
      .settings(at(begun + 3))
      .slice(-1)
    const { prospect } = prospectIn(
      afterwards(setting!, { kind: 'ice bath', place: 'stirred ice bath', depth, pans: 1 }),
      undefined,
      NO_MEANS,
    )
    const tau = prospect.scale.tauMinutes * Math.exp(dice.normal() * prospect.scale.spread)
    const celsius = (minute: number) =>
      1.5 + 80 * Math.exp(lnExcess(prospect.bends[0]!.curve, (minute - begun - 4) / tau))
    return { story, celsius, begun, reads: 0 }
  })
  let rings = 0
  let rung = NOTHING_SOUNDED
  let rescues = 0
  for (let minute = 5; minute < 9 * 60; minute += 3) {
    const asked = pots.filter(({ begun }) => begun + 4 < minute).map((pot) => ({ pot, asks: pot.story.asks(minute) }))
    rescues += asked.filter(({ asks }) => asks.kind === 'rescue' || asks.kind === 'lost').length
    const due = dueRound(
      asked.flatMap(({ pot, asks }) => (asks.kind === 'read' ? [{ pot, at: asks.at }] : [])),
      at(minute),
    )
    const sounding = alarms(
      asked.map(({ pot, asks }) => ({ id: String(pot.begun), asks })),
      rung,
      at(minute),
    )
    rings += sounding.sounds.length
    rung = sounding.rung
    for (const { pot } of due) {
      pot.story.read(minute, pot.celsius(minute) + 0.2 * dice.normal())
      pot.reads++
    }
  }
  expect(rescues).toBe(0)
  const reads = pots.reduce((sum, pot) => sum + pot.reads, 0)
  expect(reads / pots.length).toBeLessThan(8)
  expect(rings / 9).toBeLessThan(9)
  expect(alarms([], null, at(0)).sounds).toEqual([])
  for (const { story } of pots) expect(story.standing('cool-first', 9 * 60)).toBe('proven')
})
