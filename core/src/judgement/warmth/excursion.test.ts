import { unitOf } from '../../test/shelf'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import { excursionsOf } from './air'
import { levelOf } from '../../recipe/checks/unitKind'

const DAY = '2027-03-03'
const us = limitsFrom('us-food-code-2022')

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
