import type { MethodShape } from './shape'
import { churnedBase } from './steps'

/** Bases to churn. */
export const churnedBases: MethodShape[] = [
  // Churned bases: held by the schedule, and to the egg row.
  {
    name: 'Burnt-honey churned base',
    family: 'churned-base',
    vessel: ['vat, 20 cm deep', 0.2],
    portions: 80,
    houseDays: 3,
    schedule: 'us-frozen-mix',
    steps: churnedBase,
    amounts: [
      ['milk', 4000, 'warm'],
      ['cream-36', 1600, 'warm'],
      ['milk-powder', 240, 'warm'],
      ['dextrose', 200, 'warm'],
      ['honey', 500, 'warm'],
      ['yolk', 0, 'temper', { count: 30 }],
    ],
  },
  {
    name: 'Buttermilk-fig churned base',
    family: 'churned-base',
    vessel: ['vat, 15 cm deep', 0.15],
    portions: 60,
    houseDays: 3,
    steps: churnedBase,
    amounts: [
      ['milk', 2200, 'warm'],
      ['cream-36', 1400, 'warm'],
      ['glucose', 260, 'warm'],
      ['yolk', 0, 'temper', { count: 24 }],
      ['sugar', 420, 'temper'],
      ['buttermilk', 800, 'temper'],
    ],
  },
]
