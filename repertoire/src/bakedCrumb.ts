import type { MethodShape } from './shape'

/** Crumb and dry pieces: read in the middle until the lead has validated the bake, and kept without cold. */
export const bakedCrumb: MethodShape[] = [
  {
    name: 'Walnut crumb sheet',
    family: 'baked-crumb',
    vessel: ['sheet 2 cm deep', 0.02],
    portions: 24,
    houseDays: 3,
    steps: [
      { key: 'whip', kind: 'whip', part: 'eggs', text: 'Whip eggs and sugar to a ribbon', activeMinutes: 8 },
      { key: 'fold', kind: 'fold', part: 'batter', text: 'Fold in flour and walnuts, spread', activeMinutes: 5 },
      {
        key: 'bake',
        kind: 'bake',
        text: 'Bake until golden; read the middle',
        activeMinutes: 1,
        passiveMinutes: { least: 18, most: 24 },
        oven: { value: 180, unit: 'C' },
      },
      { key: 'hold', kind: 'hold', text: 'Cold on the rack, wrapped, dry' },
    ],
    amounts: [
      ['egg', 0, 'whip', { count: 12 }],
      ['sugar', 360, 'whip'],
      ['flour', 300, 'fold'],
      ['walnut', 240, 'fold'],
    ],
  },
]
