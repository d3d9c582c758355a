import type { MethodShape } from './shape'

/** Baked custards: kept, and served at once. */
export const bakedCustards: MethodShape[] = [
  // Baked: kept, and served at once.
  {
    name: 'Chestnut baked custard',
    family: 'baked-custard',
    vessel: ['cups 5 cm deep', 0.05],
    portions: 40,
    houseDays: 3,
    steps: [
      { key: 'warm', kind: 'heat dairy', part: 'dairy', text: 'Warm the dairy with the purée', activeMinutes: 6 },
      { key: 'combine', kind: 'combine', part: 'dairy', text: 'On the eggs, strain, fill the cups', activeMinutes: 6 },
      {
        key: 'bake',
        kind: 'bake',
        text: 'Water bath; read the middle of a cup to be sacrificed',
        activeMinutes: 4,
        passiveMinutes: { least: 35, most: 50 },
        oven: { value: 140, unit: 'C' },
      },
      { key: 'cool', kind: 'cool', text: 'Out of the bath, on wire, into the chiller', activeMinutes: 4 },
      { key: 'hold', kind: 'hold', text: 'Keep cold' },
    ],
    amounts: [
      ['milk', 1400, 'warm'],
      ['cream-36', 900, 'warm'],
      ['chestnut', 500, 'warm'],
      ['egg', 0, 'combine', { count: 12 }],
      ['yolk', 0, 'combine', { count: 12 }],
      ['sugar', 220, 'combine'],
    ],
  },
  {
    name: 'Caraway soufflé',
    family: 'baked-custard',
    vessel: ['moulds 6 cm deep', 0.06],
    portions: 20,
    cooling: 'none',
    houseDays: 1,
    steps: [
      {
        key: 'combine',
        kind: 'combine',
        part: 'base',
        text: 'Yolks into the base, fold in the whites',
        activeMinutes: 8,
      },
      {
        key: 'bake',
        kind: 'bake',
        text: 'Bake; read the middle of one',
        activeMinutes: 2,
        passiveMinutes: { least: 12, most: 16 },
        oven: { value: 190, unit: 'C' },
      },
      { key: 'serve', kind: 'serve at once', text: 'To the table; what is left is discarded' },
    ],
    amounts: [
      ['milk', 500, 'combine'],
      ['flour', 60, 'combine'],
      ['spice', 8, 'combine'],
      ['egg', 0, 'combine', { count: 10 }],
      ['sugar', 140, 'combine'],
    ],
  },
]
