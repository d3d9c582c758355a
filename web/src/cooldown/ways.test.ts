import type { UnitState, VesselState } from '@logged-thermal/core'
import { trialOf, waysOf } from './ways'

const unit = (kind: UnitState['kind'], name: string): UnitState => ({
  id: name,
  name,
  kind,
  watts: 500,
  shelves: 1,
  litres: null,
  airs: [],
  skips: [],
})
const names = (units: UnitState[], iceFirst: number) => waysOf(units, iceFirst).map(({ name }) => name)

it('offers what the kitchen has, by the name on its door, and its units again after ice', () => {
  const units = [unit('fan refrigerator', 'Walk-in'), unit('blast chiller', 'Drawer')]
  expect(names(units, 0)).toEqual(['Counter', 'Walk-in', 'Drawer', 'Running tap', 'Ice bath', 'Ice bath + stir'])
  expect(names(units, 15).slice(-2)).toEqual(['Ice + stir 15 min, then Walk-in', 'Ice + stir 15 min, then Drawer'])
  expect(names([], 15)).toEqual(['Counter', 'Running tap', 'Ice bath', 'Ice bath + stir'])
})

it('tries a way with the vessel as it is measured', () => {
  const vessel: VesselState = {
    id: 'pan',
    name: 'Pan',
    inside: { kind: 'round', diameter: 0.3, height: 0.1 },
    wall: 'steel',
    food: true,
    hotFill: true,
  }
  const load = {
    kilograms: 4,
    composition: { water: 0.8, protein: 0.04, fat: 0.06, carbohydrate: 0.09, ash: 0.01 },
    celsius: 80,
  }
  const [iced] = waysOf([unit('refrigerator', 'Door 1')], 20).slice(-1)
  expect(trialOf(iced!, load, vessel, 2, 'lid', 5)).toEqual({
    load,
    vessel: { name: 'Pan', inside: vessel.inside, wall: 'steel' },
    pans: 2,
    cover: 'lid',
    iceFirst: 20,
    place: 'refrigerator',
    ice: 5,
  })
})
