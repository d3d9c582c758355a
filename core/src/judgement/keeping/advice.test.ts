import { itemOf, letGo, moved, readOf, storeOf, unitOf } from '../../test/shelf'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import { itemStanding } from './itemStanding'

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

  it('counts the time for the guests from when it left the cold, over the bench', () => {
    const served = itemOf({
      moves: [
        moved(0, 'move', 'fridge'),
        moved(60, 'out', null),
        moved(150, 'serve', null),
        moved(200, 'serve', 'case'),
      ],
    })
    const fridge = unitOf([
      [0, 3],
      [600, 3],
    ])
    const { timeUp } = itemStanding(served, storeOf([fridge]), at(210))
    expect(timeUp).toMatchObject({ since: at(60), at: at(60 + 240) })
    expect(itemStanding(served, storeOf([fridge]), at(300))).toMatchObject({ asks: 'discard', why: 'time up' })
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

  it('counts on under a law after the lead let it go on, and is not asked again as guidance', () => {
    const holds = [letGo(310)]
    const read = [readOf(60, 9), readOf(300, 9)]
    const asks = (ruleSet: string, now: number, more = {}) => {
      const item = itemOf({ readings: read, ...more })
      const fridge = unitOf([
        [0, 3],
        [50, 9],
        [305, 3],
        [600, 3],
      ])
      return itemStanding(item, storeOf([fridge], limitsFrom(ruleSet)), at(now)).asks
    }
    // Four hours proven: guidance leaves it to the lead, who decides once; a law that counts them does not ask.
    expect(asks('us-food-code-2022', 309)).toBe('lead decides')
    expect(asks('us-food-code-2022', 320, { holds })).not.toBe('lead decides')
    expect(asks('anz-3-2-2', 309)).toBe('discard')
    expect(asks('anz-3-2-2', 320, { holds })).toBe('discard')
    // Three of the four used, the lead's word gives none of them back.
    const three = { readings: [readOf(60, 9), readOf(240, 9)], holds }
    expect(asks('anz-3-2-2', 320, three)).toBe('use now')
  })
})
