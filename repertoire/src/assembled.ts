import type { MethodShape } from './shape'

/** Built from other methods, which stand before them. */
export const assembled: MethodShape[] = [
  // Built from others.
  {
    name: 'Brown-butter cream filling',
    family: 'enriched-custard',
    vessel: ['piping tub 10 cm deep', 0.1],
    portions: 50,
    houseDays: 2,
    steps: [
      { key: 'whip', kind: 'whip', part: 'cream', text: 'Whip the cream', activeMinutes: 4 },
      { key: 'fold', kind: 'fold', text: 'Fold into the cold cream', activeMinutes: 5 },
      { key: 'cool', kind: 'cool', text: 'Back into the cold at once', activeMinutes: 1 },
      { key: 'hold', kind: 'hold', text: 'Carries the date of the pastry cream' },
    ],
    amounts: [['cream-36', 900, 'whip']],
    components: [['Brown-butter pastry cream', 1800, 'fold']],
  },
  {
    name: 'Orchard trifle',
    family: 'assembly',
    vessel: ['bowl 8 cm deep', 0.08],
    portions: 30,
    houseDays: 2,
    steps: [
      { key: 'assemble', kind: 'assemble', text: 'Sponge, washed fruit, custard, cream, all cold', activeMinutes: 20 },
      { key: 'hold', kind: 'hold', text: 'Keep cold; carries the oldest date' },
    ],
    amounts: [
      ['sponge', 900, 'assemble'],
      ['pear', 700, 'assemble'],
      ['fresh-berries', 400, 'assemble'],
      ['fresh-herbs', 15, 'assemble'],
      ['fortified-wine', 120, 'assemble'],
    ],
    components: [
      ['Bay-leaf pouring custard', 1600, 'assemble'],
      ['Rhubarb jelly layer', 600, 'assemble'],
    ],
  },
  {
    name: 'Whipped cream, plain',
    family: 'whipped-cream',
    vessel: ['piping bag', 0.08],
    portions: 40,
    houseDays: 2,
    steps: [
      { key: 'whip', kind: 'whip', text: 'Whip cold cream', activeMinutes: 5 },
      { key: 'hold', kind: 'hold', text: 'Bag in the cold between uses' },
    ],
    amounts: [
      ['cream-36', 1500, 'whip'],
      ['icing-sugar', 90, 'whip'],
    ],
  },
  {
    name: 'Whites, kept',
    family: 'by-product',
    vessel: ['tub 8 cm deep', 0.08],
    portions: 1,
    houseDays: 4,
    raw: true,
    steps: [{ key: 'hold', kind: 'hold', text: 'Covered, dated, raw' }],
    amounts: [['white', 1000, 'hold']],
  },
]
