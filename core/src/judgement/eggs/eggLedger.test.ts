import fc from 'fast-check'
import type { AnyClaim, EggsTaken } from '../../ledger/entry'
import { wallsOf } from '../dates/walls'
import { apply } from '../../admission/fold'
import { Story } from '../../test/story'
import { at } from '../../test/traces'
import { gramsTaken } from '../../state/gramsTaken'
import { eggLedger, eggsFor, isPooled, leftOverOf, lotTallies, toSettle, usesMissing } from './eggLedger'
import { custard, limits, LOT, taken } from '../../test/eggMethods'

describe('the separation ledger', () => {
  const story = (...eggs: EggsTaken[]) => {
    const made = new Story(limits(), custard)
    for (const each of eggs) made.enter('eggs-taken', 1, each)
    return made
  }
  const custardUses = () => story().batch.terms.eggs.uses

  it('reckons from the count, and from the scale where it was weighed', () => {
    expect(gramsTaken(taken())).toEqual({ whole: 0, yolk: 24 * 17, white: 24 * 33 })
    expect(gramsTaken(taken({ grams: { yolk: 401 } }))).toMatchObject({ yolk: 401, white: 792 })
    expect(gramsTaken(taken({ as: 'white', cracked: null, grams: { white: 500 } }))).toMatchObject({
      yolk: 0,
      white: 500,
    })
  })

  it('leaves nothing out: what was taken is used, settled or left', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ cracked: fc.integer({ min: 1, max: 60 }), separated: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (bowls, share) => {
          const { batch } = story(
            ...bowls.map(({ cracked, separated }) => taken({ cracked, as: separated ? 'separated' : 'whole' })),
          )
          const before = eggLedger(batch)
          const kept = before.flatMap(({ part, left }) => {
            const grams = Math.round(left * share * 10) / 10
            return grams > 0 ? [leftOverOf(batch, part, grams, 'kept', [])!] : []
          })
          const after = new Story(limits(), custard)
          for (const { cracked, separated } of bowls)
            after.enter('eggs-taken', 1, taken({ cracked, as: separated ? 'separated' : 'whole' }))
          for (const each of kept) after.enter('left-over', 2, each)
          for (const { taken: has, used, settled, left } of eggLedger(after.batch)) {
            expect(Math.min(used, has) + settled + left).toBeCloseTo(has, 0)
          }
        },
      ),
    )
  })

  it('asks only for what is missing: in eggs of a size, never for what is in already', () => {
    const [use] = custardUses()
    const eggs = Math.round(use!.grams / 17)
    expect(eggsFor(usesMissing(story().batch, use!.step), 'US L')).toBe(eggs)
    const most = story(taken({ step: use!.step, cracked: eggs - 2 })).batch
    expect(usesMissing(most, use!.step)).toMatchObject([{ part: use!.part }])
    expect(eggsFor(usesMissing(most, use!.step), 'US L')).toBe(2)
    const all = story(taken({ step: use!.step, cracked: eggs - 2 }), taken({ step: use!.step, cracked: 2 })).batch
    expect(usesMissing(all, use!.step)).toEqual([])
    expect(eggsFor([], 'US L')).toBe(0)
    // Smaller eggs are more of them.
    expect(eggsFor([{ part: 'whole', grams: 300 }], 'EU L')).toBe(5)
    expect(eggsFor([{ part: 'whole', grams: 300 }], 'US S')).toBe(8)
  })

  it('asks for what is left once it is a third of an egg, and names its lineage', () => {
    const { batch } = story(taken())
    expect(toSettle(batch).map(({ part, left }) => [part, left])).toEqual([
      ['yolk', 68],
      ['white', 792],
    ])
    expect(leftOverOf(batch, 'white', 792, 'kept', [])).toEqual({
      batch: 'batch',
      code: '62-1',
      part: 'white',
      grams: 792,
      then: 'kept',
      made: at(1),
      lots: [LOT],
      heat: 'shell',
      useBys: [],
      spot: null,
      keepDays: 4,
    })
    expect(toSettle(story(taken({ cracked: 20, grams: { yolk: 350, white: 10 } })).batch)).toEqual([])
  })

  it('counts good and rejected lot by lot, and warns of a pool', () => {
    const two = story(taken(), taken({ lot: 'other', cracked: 6, rejected: 0 }))
    expect(lotTallies(two.batch).map(({ lot, cracked, rejected }) => [lot, cracked, rejected])).toEqual([
      [LOT, 24, 2],
      ['other', 6, 0],
    ])
    expect(isPooled(two.batch)).toBe(true)
    expect(isPooled(story(taken({ cracked: 1 })).batch)).toBe(false)
    expect(isPooled(story(taken({ form: 'pasteurized' })).batch)).toBe(false)
  })

  it('dates a left-over by its part and by its lots', () => {
    const { batch } = story(taken())
    const lastDay = (
      part: 'white' | 'yolk',
      useBy: string | null,
      of: { id?: string; dateKind?: 'best-before' } = {},
    ) => {
      const body = leftOverOf(batch, part, 60, 'kept', [{ id: LOT, code: 'T-1', useBy, ...of }])!
      const claim = { kind: 'left-over', id: 'e', about: { type: 'item', id: 'i' }, at: at(1), by: 'mina', body }
      const item = apply.item('i', null, { claim: claim as unknown as AnyClaim, seal: null })!
      return wallsOf(item.dating, null, [], 'UTC')[0]
    }
    expect(lastDay('white', null)).toMatchObject({ lastDay: '2027-03-06' })
    expect(lastDay('yolk', null)).toMatchObject({ lastDay: '2027-03-04' })
    expect(lastDay('white', '2027-03-05')).toMatchObject({ lastDay: '2027-03-05', ruledBy: 'T-1' })
    expect(lastDay('white', '2027-03-05', { id: 'other' })).toMatchObject({ lastDay: '2027-03-06' })
    // A best-before is noted, and binds nothing.
    expect(lastDay('white', '2027-03-05', { dateKind: 'best-before' })).toMatchObject({ lastDay: '2027-03-06' })
  })
})
