import { MINUTE, type Cover, type Instant, type Place } from '@logged-thermal/core'

/** A batch of the demo: what was read how many minutes before the start, °C. */
export interface DemoBatch {
  method: string
  cook: 'mina' | 'teo'
  startedAgo: number
  dairy: [minutesAgo: number, celsius: number][]
  combinedAgo: number
  mixture: [minutesAgo: number, celsius: number][]
  /** null: still on the heat. */
  offHeatAgo: number | null
  /** What was over it in the end, and where it stood to cool, minutes ago. */
  cover: Cover
  places: [minutesAgo: number, place: Place][]
  /** Into which vessel, how deep, m, as it came off the heat. */
  poured?: [vessel: string, depth: number]
  /** What was typed first of a reading that stands in `mixture`, and put right a minute later. */
  mistyped?: [minutesAgo: number, celsius: number]
  /** A reading that was entered so many minutes after it was taken. */
  late?: [minutesAgo: number, celsius: number, after: number]
}

const HOURS = 60

/** The demo's batches, one at each stage of a batch's life, relative to `now` in `zone`. */
export function demoBatches(): DemoBatch[] {
  return [
    // Cooking: a minute or so under the floor.
    {
      method: 'Lemon-thyme pouring custard',
      cook: 'mina',
      startedAgo: 16,
      dairy: [
        [12, 62.5],
        [9, 81],
      ],
      combinedAgo: 6,
      mixture: [
        [5, 52.3],
        [3.5, 57.4],
        [2, 62.1],
        [0.7, 65.9],
      ],
      offHeatAgo: null,
      cover: 'open',
      places: [],
    },
    // Cooling in good time.
    {
      method: 'Sea-buckthorn curd',
      cook: 'teo',
      startedAgo: 96,
      dairy: [],
      combinedAgo: 90,
      mixture: [
        [82, 61.3],
        [76, 72.8],
        [70, 78.4],
        [57, 57],
        [38, 44.2],
        [14, 28.4],
      ],
      offHeatAgo: 68,
      cover: 'film on the surface',
      places: [
        [66, 'stirred ice bath'],
        [55, 'blast chiller'],
      ],
    },
    // About to miss: out of the ice too early, deep and lidded in the walk-in.
    {
      method: 'Bay-leaf pouring custard',
      cook: 'mina',
      startedAgo: 128,
      dairy: [[124, 82]],
      combinedAgo: 120,
      mixture: [
        [114, 58.5],
        [109, 71.6],
        [104, 82.4],
        [86, 57],
        [64, 43.2],
        [34, 41.1],
        [4, 37.9],
      ],
      offHeatAgo: 103.5,
      cover: 'lid',
      places: [
        [103, 'stirred ice bath'],
        [74, 'fan refrigerator'],
      ],
      poured: ['Round pan, 28 cm', 0.084],
    },
    // In the ice, its second reading due.
    {
      method: 'Walnut-leaf nog',
      cook: 'teo',
      startedAgo: 66,
      dairy: [[63, 76]],
      combinedAgo: 60,
      mixture: [
        [55, 64.2],
        [50.3, 83.6],
        [50, 84.2],
        [33, 56.4],
      ],
      offHeatAgo: 45,
      cover: 'open',
      places: [[44, 'stirred ice bath']],
    },
    // On ice, on its way to where the cream is folded in.
    {
      method: 'Hazel mousse with set yolk',
      cook: 'mina',
      startedAgo: 30,
      dairy: [[26, 72.4]],
      combinedAgo: 22,
      mixture: [
        [19, 58.2],
        [15.4, 76.1],
        [14.6, 82.3],
        [10, 56.9],
        [5.5, 42.6],
        [1.5, 33.4],
      ],
      offHeatAgo: 14,
      cover: 'open',
      places: [[12, 'stirred ice bath']],
      poured: ['Half tray, 32 × 26 cm', 0.034],
    },
    // Cold, and ageing before it is churned.
    {
      method: 'Burnt-honey churned base',
      cook: 'teo',
      startedAgo: 6.2 * HOURS,
      dairy: [[366, 78.4]],
      combinedAgo: 362,
      mixture: [
        [352, 66.4],
        [344, 84.1],
        [343.5, 84.3],
        [324, 57],
        [296, 31.2],
        [262, 18.8],
        [151, 3.7],
      ],
      mistyped: [296, 32.1],
      offHeatAgo: 342,
      cover: 'film on the surface',
      places: [[341, 'stirred ice bath']],
    },
    // Missed the first gate.
    {
      method: 'Smoked-honey eggnog',
      cook: 'teo',
      startedAgo: 3.6 * HOURS,
      dairy: [[212, 74]],
      combinedAgo: 208,
      mixture: [
        [200, 63.1],
        [193, 76.2],
        [180, 57],
        [121, 46.9],
        [57, 38.4],
      ],
      offHeatAgo: 190,
      cover: 'film on the surface',
      places: [
        [189, 'stirred ice bath'],
        [176, 'refrigerator'],
      ],
    },
    // Nobody read while it passed 21°: not proven.
    {
      method: 'Rye-malt custard',
      cook: 'teo',
      startedAgo: 6.5 * HOURS,
      dairy: [[384, 80.2]],
      combinedAgo: 380,
      mixture: [
        [372, 66.4],
        [366, 81.2],
        [350, 57],
        [310, 38.8],
        [262, 26.2],
        [219, 19.4],
        [120, 9.6],
        [25, 4.7],
      ],
      late: [231, 20.9, 95],
      offHeatAgo: 364,
      cover: 'open',
      places: [[362, 'stirred ice bath']],
    },
    // In the cold, proven, with days left.
    {
      method: 'Toasted-barley custard',
      cook: 'mina',
      startedAgo: 25 * HOURS,
      dairy: [[25 * 60 - 6, 81]],
      combinedAgo: 25 * 60 - 10,
      mixture: [
        [1482, 64.2],
        [1474, 80.6],
        [1460, 57],
        [1420, 34.8],
        [1380, 20.6],
        [1290, 9.8],
        [1190, 4.4],
        [410, 3.2],
      ],
      offHeatAgo: 1472,
      cover: 'open',
      places: [[1471, 'stirred ice bath']],
    },
    // Last day today.
    {
      method: 'Quince-skin curd',
      cook: 'teo',
      startedAgo: 49 * HOURS,
      dairy: [],
      combinedAgo: 49 * 60 - 8,
      mixture: [
        [2924, 66.2],
        [2918, 79.3],
        [2900, 57],
        [2860, 33.5],
        [2830, 19.8],
        [2740, 8.1],
        [2650, 4.3],
        [1200, 3.6],
        [90, 3.4],
      ],
      offHeatAgo: 2914,
      cover: 'film on the surface',
      places: [[2913, 'stirred ice bath']],
    },
  ]
}

/** Minutes before `now` as an instant. */
export function ago(now: Instant, minutes: number): Instant {
  return Math.round(now - minutes * MINUTE)
}
