import type { MethodShape } from './shape'
import { soak } from './steps'

const at = (c: number, f: number) => ({ c, f })

/** What goes under, over and beside: sponges and dry pieces, fruit, syrups, glazes, toppings, fillings. */
export const finishes: MethodShape[] = [
  {
    name: 'Chestnut-flour sponge',
    family: 'sponge',
    vessel: ['sheet 2 cm deep', 0.02],
    portions: 24,
    houseDays: 3,
    steps: [
      { key: 'whip', kind: 'whip', part: 'eggs', text: 'Whip eggs and sugar to a ribbon', activeMinutes: 8 },
      { key: 'fold', kind: 'fold', part: 'batter', text: 'Fold the flour in, spread', activeMinutes: 4 },
      {
        key: 'bake',
        kind: 'bake',
        text: 'Bake until it springs back; read the middle',
        activeMinutes: 1,
        passiveMinutes: { least: 14, most: 20 },
        oven: { value: 185, unit: 'C' },
      },
      { key: 'hold', kind: 'hold', text: 'Wrapped, dry; soaked or filled it needs the cold' },
    ],
    amounts: [
      ['egg', 0, 'whip', { count: 14 }],
      ['sugar', 380, 'whip'],
      ['flour', 420, 'fold'],
    ],
  },
  {
    name: 'Linden-flower meringue',
    family: 'dry-baked',
    vessel: ['sheet 3 cm deep', 0.03],
    portions: 60,
    houseDays: 7,
    steps: [
      { key: 'whip', kind: 'whip', part: 'whites', text: 'Whip whites and sugar stiff', activeMinutes: 10 },
      { key: 'pipe', kind: 'fold', part: 'foam', text: 'Starch in, pipe', activeMinutes: 8 },
      {
        key: 'bake',
        kind: 'bake',
        text: 'Dry in the oven until crisp through; read the middle',
        activeMinutes: 1,
        passiveMinutes: { least: 90, most: 150 },
        oven: { value: 110, unit: 'C' },
      },
      { key: 'hold', kind: 'hold', text: 'Closed tin, dry, no cold' },
    ],
    amounts: [
      ['white', 0, 'whip', { count: 20 }],
      ['sugar', 1200, 'whip'],
      ['corn-starch', 30, 'pipe'],
    ],
  },
  {
    name: 'Roast plums with bay',
    family: 'cooked-fruit',
    vessel: ['tray 4 cm deep', 0.04],
    portions: 40,
    houseDays: 3,
    steps: [
      { key: 'wash', kind: 'mise', part: 'fruit', text: 'Wash, halve, stone', activeMinutes: 12 },
      { key: 'roast', kind: 'cook', text: 'Roast until they give, in their own syrup', activeMinutes: 20 },
      { key: 'cool', kind: 'cool', text: 'One layer, open, into the cold', activeMinutes: 2 },
      { key: 'hold', kind: 'hold', text: 'Cold before it goes on anything set' },
    ],
    amounts: [
      ['plum', 3000, 'roast'],
      ['sugar', 300, 'roast'],
      ['spice', 4, 'roast'],
    ],
  },
  {
    name: 'Birch-cider syrup',
    family: 'syrup-sauce',
    vessel: ['pot 8 cm deep', 0.08],
    portions: 60,
    houseDays: 5,
    steps: [
      { key: 'combine', kind: 'combine', text: 'Cider and sugar in the pot', activeMinutes: 2 },
      { key: 'cook', kind: 'cook', text: 'Boil down by a third', activeMinutes: 15 },
      { key: 'cool', kind: 'cool', text: 'In a shallow tray', activeMinutes: 2 },
      { key: 'hold', kind: 'hold', text: 'Bottle, date' },
    ],
    amounts: [
      ['cider', 2000, 'combine'],
      ['sugar', 900, 'combine'],
    ],
  },
  {
    name: 'Dark mirror glaze',
    family: 'glaze',
    vessel: ['jug 12 cm deep', 0.12],
    portions: 40,
    houseDays: 3,
    steps: [
      soak,
      {
        key: 'warm',
        kind: 'heat dairy',
        text: 'Cream and syrup to a boil',
        activeMinutes: 8,
        target: { from: at(90, 194), to: at(98, 208) },
      },
      { key: 'melt', kind: 'add after heat', text: 'Chocolate and gelatine in, blend without air', activeMinutes: 4 },
      {
        key: 'down',
        kind: 'cool',
        text: 'To 30° in the ice bath, for pouring',
        activeMinutes: 10,
        target: { from: at(27, 81), to: at(30, 86) },
      },
      { key: 'pour', kind: 'add after heat', text: 'Pour over the frozen piece', activeMinutes: 3 },
      { key: 'cool', kind: 'cool', text: 'What is left into a shallow tray, into the cold', activeMinutes: 1 },
      { key: 'hold', kind: 'hold', text: 'Melt it once, no crumbs in it' },
    ],
    amounts: [
      ['gelatine', 24, 'soak'],
      ['cream-36', 900, 'warm'],
      ['glucose', 400, 'warm'],
      ['dark-chocolate', 600, 'melt'],
    ],
  },
  {
    name: 'Cider foam topping',
    family: 'foam-topping',
    vessel: ['bowl 8 cm deep', 0.08],
    portions: 24,
    houseDays: 1,
    steps: [
      { key: 'whip', kind: 'whip', text: 'Whip the whites of a carton with sugar', activeMinutes: 6 },
      { key: 'brown', kind: 'brown', text: 'Pipe, brown; it heats nothing', passiveMinutes: { least: 2, most: 4 } },
      { key: 'hold', kind: 'hold', text: 'Keep cold' },
    ],
    amounts: [
      ['white', 600, 'whip', { state: 'pasteurized lot' }],
      ['sugar', 400, 'whip'],
    ],
  },
  {
    name: 'Bought custard, opened',
    family: 'bought-opened',
    vessel: ['tub 8 cm deep', 0.08],
    portions: 20,
    houseDays: 2,
    steps: [
      { key: 'open', kind: 'mise', part: 'custard', text: 'Clean scissors, clean tub', activeMinutes: 2 },
      { key: 'hold', kind: 'hold', text: 'Its maker’s date and the days once opened rule' },
    ],
    amounts: [['bought-custard', 2000, 'open']],
  },
]

/** Filled with what stands before it. */
export const filled: MethodShape[] = [
  {
    name: 'Cream-filled rye shells',
    family: 'filled-pastry',
    vessel: ['tray 5 cm deep', 0.05],
    portions: 36,
    houseDays: 2,
    steps: [
      { key: 'fill', kind: 'assemble', text: 'Pipe the cold filling, tray by tray', activeMinutes: 25 },
      { key: 'hold', kind: 'hold', text: 'Keep cold; carries the date of the filling' },
    ],
    amounts: [['puff-pastry', 900, 'fill']],
    components: [['Brown-butter cream filling', 1800, 'fill']],
  },
]
