import type { MethodShape } from './shape'
import { cookedMousse, folded } from './steps'

const at = (c: number, f: number) => ({ c, f })

/** Foams of yolk and white, and mousses folded with them. */
export const foams: MethodShape[] = [
  // Yolk foams: over the bath, and with syrup.
  {
    name: 'Pear-cider sabayon',
    family: 'yolk-foam',
    vessel: ['bowl 12 cm deep', 0.12],
    portions: 20,
    cooling: 'none',
    steps: [
      { key: 'eggs', kind: 'eggs', part: 'yolks', text: 'Yolks and sugar to pale', activeMinutes: 3 },
      { key: 'combine', kind: 'combine', part: 'yolks', text: 'Cider in', activeMinutes: 1 },
      { key: 'cook', kind: 'cook', text: 'Whisk over the bath to a firm foam; read the foam', activeMinutes: 9 },
      { key: 'serve', kind: 'serve at once', text: 'Spoon at once; the rest is discarded' },
    ],
    amounts: [
      ['yolk', 0, 'eggs', { count: 20 }],
      ['sugar', 240, 'eggs'],
      ['cider', 400, 'combine'],
    ],
  },
  {
    name: 'Maple bombe base',
    family: 'yolk-foam',
    vessel: ['bowl 10 cm deep', 0.1],
    portions: 30,
    houseDays: 2,
    steps: [
      {
        key: 'syrup',
        kind: 'cook',
        part: 'syrup',
        text: 'Syrup to 118 to 121°',
        activeMinutes: 10,
        target: { from: at(118, 244), to: at(121, 250) },
      },
      { key: 'combine', kind: 'combine', text: 'Pour on the whipping yolks; read the foam', activeMinutes: 4 },
      { key: 'cool', kind: 'cool', text: 'Whip cool, then into the cold', activeMinutes: 8 },
      { key: 'hold', kind: 'hold', text: 'Use within two days' },
    ],
    amounts: [
      ['maple', 420, 'syrup'],
      ['yolk', 0, 'combine', { count: 18 }],
    ],
  },
  // White foams: warmed, syrup, and from a pasteurized lot.
  {
    name: 'Warmed white foam',
    family: 'white-foam',
    vessel: ['bowl 10 cm deep', 0.1],
    portions: 40,
    houseDays: 2,
    steps: [
      { key: 'combine', kind: 'combine', part: 'whites', text: 'Whites and sugar together', activeMinutes: 1 },
      {
        key: 'cook',
        kind: 'cook',
        text: 'Over the bath to 71°, stirring',
        activeMinutes: 8,
        target: { from: at(71, 160), to: at(74, 165) },
      },
      { key: 'whip', kind: 'whip', text: 'Whip to stiff peaks', activeMinutes: 7 },
      { key: 'brown', kind: 'brown', text: 'Pipe, and brown under the grill', passiveMinutes: { least: 3, most: 5 } },
      { key: 'hold', kind: 'hold', text: 'Keep cold; browning proves nothing' },
    ],
    amounts: [
      ['white', 0, 'combine', { count: 16 }],
      ['sugar', 900, 'combine'],
    ],
  },
  {
    name: 'Syrup white foam',
    family: 'white-foam',
    vessel: ['bowl 10 cm deep', 0.1],
    portions: 40,
    houseDays: 2,
    steps: [
      {
        key: 'syrup',
        kind: 'cook',
        part: 'syrup',
        text: 'Syrup to 118 to 121°',
        activeMinutes: 9,
        target: { from: at(118, 244), to: at(121, 250) },
      },
      { key: 'combine', kind: 'combine', text: 'Pour on the whipping whites; read the foam', activeMinutes: 4 },
      { key: 'whip', kind: 'whip', text: 'Whip until just warm', activeMinutes: 6 },
      { key: 'hold', kind: 'hold', text: 'Use within two days' },
    ],
    amounts: [
      ['sugar', 800, 'syrup'],
      ['water', 220, 'syrup'],
      ['white', 0, 'combine', { count: 14 }],
    ],
  },
  {
    name: 'Cold white snow',
    family: 'white-foam',
    vessel: ['bowl 10 cm deep', 0.1],
    portions: 30,
    houseDays: 2,
    steps: [
      { key: 'whip', kind: 'whip', text: 'Whip pasteurized whites with the sugar', activeMinutes: 8 },
      { key: 'hold', kind: 'hold', text: 'Keep cold' },
    ],
    amounts: [
      ['white', 420, 'whip', { state: 'pasteurized lot' }],
      ['icing-sugar', 260, 'whip'],
    ],
  },
  // Mousses: pasteurized egg, and the raw class.
  {
    name: 'Juniper chocolate mousse',
    family: 'mousse',
    vessel: ['cups 6 cm deep', 0.06],
    portions: 48,
    houseDays: 2,
    steps: folded,
    amounts: [
      ['dark-chocolate', 900, 'melt'],
      ['spice', 6, 'melt'],
      ['cream-36', 1200, 'whip'],
      ['yolk', 260, 'fold', { state: 'pasteurized lot' }],
      ['white', 480, 'fold', { state: 'pasteurized lot' }],
      ['sugar', 160, 'fold'],
    ],
  },
  {
    name: 'Hazel mousse with set yolk',
    family: 'mousse',
    vessel: ['cups 6 cm deep', 0.06],
    portions: 36,
    houseDays: 2,
    cooling: 'stages',
    steps: cookedMousse,
    amounts: [
      ['gelatine', 8, 'soak'],
      ['milk', 500, 'warm'],
      ['yolk', 0, 'temper', { count: 8 }],
      ['white-chocolate', 500, 'melt'],
      ['hazelnut', 200, 'melt'],
      ['cream-36', 1100, 'fold'],
    ],
  },
  {
    name: 'Malt-milk mousse',
    family: 'mousse',
    vessel: ['cups 6 cm deep', 0.06],
    portions: 36,
    houseDays: 2,
    steps: folded,
    amounts: [
      ['white-chocolate', 500, 'melt'],
      ['gelatine', 8, 'melt'],
      ['cream-36', 1100, 'whip'],
      ['egg', 300, 'fold', { state: 'pasteurized lot' }],
    ],
  },
  {
    name: 'Bitter-orange mousse, raw yolk',
    family: 'mousse',
    vessel: ['cups 5 cm deep', 0.05],
    portions: 24,
    houseDays: 2,
    raw: true,
    steps: folded,
    amounts: [
      ['dark-chocolate', 500, 'melt'],
      ['cream-36', 700, 'whip'],
      ['yolk', 0, 'fold', { count: 10 }],
      ['sugar', 90, 'fold'],
      ['spirit', 30, 'fold'],
    ],
    justified: [
      {
        problem: 'egg not heated / fold / amount-3',
        reason: 'Served raw on purpose: advisory on label and record, 24 hours, never for susceptible people',
      },
    ],
  },
]
