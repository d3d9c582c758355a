import type { Schedule } from '../limit'
import { both, hold, limitsOf, MINUTES } from './printed'

const frozen = limitsOf('us-frozen-mix', '21 CFR 135.3; milk ordinance for eggnog', 'current')
const milk = limitsOf('us-milk', 'Milk ordinance', 'current')
const rich = limitsOf('us-milk-rich', 'Milk ordinance, +3 °C / 5 °F rule', 'current')
const products = limitsOf('us-egg-products', '9 CFR 590.570', 'as formerly codified')

/** Two holds of a plant table: 3.5 min, and where printed 6.2 min. */
const held = (short: [number, number], long?: [number, number]) =>
  hold(
    [both(...short), 3.5 * MINUTES],
    ...(long ? [[both(...long), 6.2 * MINUTES] as [ReturnType<typeof both>, number]] : []),
  )

/** How kinds of product are heated, beside any rule set; a method chooses one. */
export const schedules: Record<string, Schedule> = {
  'us-frozen-mix': {
    key: 'us-frozen-mix',
    name: 'Frozen mix with egg',
    egg: true,
    limits: [frozen('egg', 'rows', hold([both(69, 155), 30 * MINUTES], [both(80, 175), 25], [both(83, 180), 15]))],
    notes: [
      'In a vat the air space stays at least 3 °C / 5 °F above the legal minimum while holding (medium confidence).',
      '"Frozen custard" is a name for at least 1.4 % egg-yolk solids by weight (21 CFR 135.110).',
    ],
  },
  'us-milk': {
    key: 'us-milk',
    name: 'Milk and cream without egg',
    egg: false,
    limits: [milk('no-egg', 'rows', hold([both(63, 145), 30 * MINUTES], [both(72, 161), 15], [both(89, 191), 1]))],
    notes: ['Never closes a check on a mix with egg.'],
  },
  'us-milk-rich': {
    key: 'us-milk-rich',
    name: 'Rich or sweetened dairy without egg',
    egg: false,
    limits: [
      rich('no-egg', 'fat 10 % or more, or sweetened', hold([both(66, 150), 30 * MINUTES], [both(75, 166), 15])),
    ],
    notes: ['Never closes a check on a mix with egg.'],
  },
  'us-egg-products': {
    key: 'us-egg-products',
    name: 'Liquid egg warmed before use',
    egg: true,
    limits: [
      products('egg-product', 'white, no chemicals', held([56.7, 134], [55.6, 132])),
      products('egg-product', 'whole egg', held([60, 140])),
      products('egg-product', 'whole-egg blend, under 2 % added', held([61.1, 142], [60, 140])),
      products('egg-product', 'whole egg, 2 to 12 % sugar', held([61.1, 142], [60, 140])),
      products('egg-product', 'plain yolk', held([61.1, 142], [60, 140])),
      products('egg-product', 'yolk, 2 % sugar or more', held([63.3, 146], [62.2, 144])),
      products('egg-product', 'yolk, 2 to 12 % salt', held([63.3, 146], [62.2, 144])),
    ],
    notes: [
      'No row applies above 12 % added sugar or salt.',
      'Plant figures for agitated equipment: a lot heated in the kitchen never becomes a pasteurized lot without a written variance. Bought pasteurized egg is the simpler way.',
    ],
  },
}
