import type { MethodShape } from './shape'
import { setCream, soak } from './steps'

/** Set cold or by acid: creams, and jelly layers. */
export const setCreams: MethodShape[] = [
  // Gelatine- and acid-set creams.
  {
    name: 'Buttermilk panna cotta',
    family: 'gelatine-cream',
    vessel: ['cups 5 cm deep', 0.05],
    portions: 48,
    houseDays: 3,
    steps: setCream,
    amounts: [
      ['gelatine', 24, 'soak'],
      ['cream-36', 2400, 'warm'],
      ['sugar', 360, 'warm'],
      ['buttermilk', 1400, 'cool'],
    ],
  },
  {
    name: 'Sorrel set cream',
    family: 'gelatine-cream',
    vessel: ['cups 4 cm deep', 0.04],
    portions: 40,
    houseDays: 3,
    steps: setCream,
    amounts: [
      ['fish-gelatine', 20, 'soak'],
      ['milk', 1600, 'warm'],
      ['cream-18', 1200, 'warm'],
      ['sugar', 300, 'warm'],
      ['spice', 40, 'warm'],
    ],
  },
  {
    name: 'Elderflower posset',
    family: 'acid-cream',
    vessel: ['cups 4 cm deep', 0.04],
    portions: 40,
    houseDays: 3,
    steps: [
      { key: 'warm', kind: 'heat dairy', text: 'Simmer cream and sugar three minutes', activeMinutes: 8 },
      { key: 'acid', kind: 'add after heat', text: 'Juice in, off the heat', activeMinutes: 1 },
      { key: 'cool', kind: 'cool', text: 'Pour into cups, cool quickly', activeMinutes: 6 },
      { key: 'hold', kind: 'hold', text: 'Thickening proves nothing; keep cold' },
    ],
    amounts: [
      ['cream-48', 2000, 'warm'],
      ['sugar', 480, 'warm'],
      ['spice', 10, 'warm'],
      ['lemon-juice', 260, 'acid'],
    ],
  },
  // Jelly layers: frozen fruit boiled, and from a treated lot.
  {
    name: 'Blackcurrant jelly layer',
    family: 'fruit-jelly',
    vessel: ['frame 2 cm deep', 0.02],
    portions: 60,
    houseDays: 3,
    untreatedFruit: true,
    steps: [
      soak,
      { key: 'cook', kind: 'cook', text: 'Boil the fruit a full minute, read it twice', activeMinutes: 8 },
      { key: 'set-in', kind: 'add after heat', text: 'Gelatine in, off the heat', activeMinutes: 1 },
      { key: 'cool', kind: 'cool', text: 'Pour thin, cool', activeMinutes: 4 },
      { key: 'hold', kind: 'hold', text: 'Keep cold' },
    ],
    amounts: [
      ['berry-puree', 1200, 'cook', { state: 'frozen' }],
      ['sugar', 260, 'cook'],
      ['gelatine', 22, 'soak'],
    ],
  },
  {
    name: 'Rhubarb jelly layer',
    family: 'fruit-jelly',
    vessel: ['frame 2 cm deep', 0.02],
    portions: 50,
    houseDays: 3,
    steps: [
      { key: 'cook', kind: 'cook', text: 'Simmer fruit, sugar and agar', activeMinutes: 8 },
      { key: 'cool', kind: 'cool', text: 'Pour thin, cool', activeMinutes: 4 },
      { key: 'hold', kind: 'hold', text: 'Keep cold' },
    ],
    amounts: [
      ['rhubarb', 1100, 'cook'],
      ['sugar', 240, 'cook'],
      ['agar', 11, 'cook'],
    ],
  },
]
