import fc from 'fast-check'
import { eggGrams } from '../recipe/ingredient/eggGrams'
import type { AnyClaim, EggsTaken } from '../ledger/entry'
import { apply } from '../admission/fold'
import { itemLeft, type ItemState } from './item'
import { taken as takenOf } from '../test/eggMethods'
import { itemOf } from '../test/shelf'
import { at } from '../test/traces'
import { outOfPackage } from './gramsTaken'
import { isPackageOf, packagesOf } from './eggPackage'

const taken = (more: Partial<EggsTaken> = {}) => takenOf({ lot: 'lot', item: 'tray', ...more })
const tray = (value: number, id = 'tray', more: Partial<ItemState> = {}): ItemState =>
  itemOf({
    id,
    what: 'package',
    measure: { value, unit: 'piece' },
    from: [{ type: 'lot', id: 'lot', code: 'T-1' }],
    ingredient: 'egg',
    ...more,
  })
const heard = (state: ItemState, id: string, kind: 'eggs-taken' | 'corrected', body: object) => {
  const claim = { kind, id, about: { type: 'batch', id: 'batch' }, at: at(1), madeAt: at(1), by: 'mina', body }
  return apply.item(state.id, state, { claim: claim as unknown as AnyClaim, seal: null })!
}

describe('eggs out of their package', () => {
  it('are counted with those that were rejected, or weighed as they were', () => {
    expect(outOfPackage(taken(), 'piece')).toEqual({ value: 26, unit: 'piece' })
    expect(outOfPackage(taken({ cracked: null, form: 'pasteurized', as: 'yolk', grams: { yolk: 350 } }), 'g')).toEqual({
      value: 350,
      unit: 'g',
    })
    expect(outOfPackage(taken({ rejected: 0 }), 'g')!.value).toBeCloseTo(24 * eggGrams('whole'), 6)
    // Poured, of a package that is counted; or held by the litre: nobody knows how many.
    expect(outOfPackage(taken({ cracked: null }), 'piece')).toBeNull()
    expect(outOfPackage(taken(), 'ml')).toBeNull()
  })

  it('are as many fewer, never fewer than none, and there again once they are taken back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.array(fc.integer({ min: 1, max: 90 }), { maxLength: 8 }),
        (count, bowls) => {
          const all = bowls.reduce(
            (state, cracked, i) => heard(state, `e${i}`, 'eggs-taken', taken({ cracked, rejected: 0 })),
            tray(count),
          )
          const sum = bowls.reduce((a, b) => a + b, 0)
          expect(itemLeft(all).value).toBe(Math.max(0, count - sum))
          const back = bowls.reduce(
            (state, _, i) =>
              heard(state, `u${i}`, 'corrected', { target: `e${i}`, reason: 'undo', now: 'void', item: 'tray' }),
            all,
          )
          expect(itemLeft(back).value).toBe(count)
        },
      ),
    )
  })

  it('come from the package that was begun, of that lot alone, while there is any', () => {
    const [full, begun, empty] = [tray(360, 'full'), tray(360, 'begun'), tray(26, 'empty')]
    const items = [full, heard(begun, 'a', 'eggs-taken', taken()), heard(empty, 'b', 'eggs-taken', taken())]
    expect(packagesOf('lot', items).map(({ id }) => id)).toEqual(['begun', 'full'])
    expect(packagesOf('other', items)).toEqual([])
    expect(isPackageOf('lot', itemOf({ from: full.from }))).toBe(false)
  })
})
