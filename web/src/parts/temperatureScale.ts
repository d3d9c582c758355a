/** The colour and the thickness of a temperature: the two ways the heat ribbon shows it. */

const COLOURS: [celsius: number, rgb: [number, number, number]][] = [
  [-20, [0x3c, 0x7d, 0xb8]],
  [-5, [0x4a, 0x90, 0xc8]],
  [0, [0x5c, 0xa4, 0xd4]],
  [5, [0x80, 0xbf, 0xe0]],
  [12, [0xbd, 0xde, 0xea]],
  [21, [0xf4, 0xed, 0xd4]],
  [35, [0xf7, 0xd3, 0x84]],
  [48, [0xf4, 0xab, 0x4b]],
  [60, [0xee, 0x87, 0x29]],
  [72, [0xe0, 0x62, 0x1d]],
  [90, [0xcc, 0x46, 0x16]],
]

const THICKNESS: [celsius: number, share: number][] = [
  [-20, 0.05],
  [0, 0.1],
  [5, 0.16],
  [12, 0.25],
  [21, 0.37],
  [33, 0.55],
  [57, 0.76],
  [68, 0.84],
  [90, 1],
]

/** '#rrggbb', interpolated between the stops. */
export function colourOf(celsius: number): string {
  const [from, to, share] = between(COLOURS, celsius)
  const mix = from[1].map((channel, i) => Math.round(channel + share * (to[1][i]! - channel)))
  return `#${mix.map((channel) => channel.toString(16).padStart(2, '0')).join('')}`
}

/** The stops of the colour scale strictly between two temperatures, °C, in the order from the one to the other. */
export function coloursBetween(from: number, to: number): number[] {
  const [least, most] = [Math.min(from, to), Math.max(from, to)]
  const passed = COLOURS.map(([celsius]) => celsius).filter((celsius) => celsius > least && celsius < most)
  return from <= to ? passed : passed.reverse()
}

/** Share of a lane's full height, 0.05 to 1: thick where hot, thin where cold, without a kink. */
export function thicknessOf(celsius: number): number {
  const [from, to, share] = between(THICKNESS, celsius)
  const width = to[0] - from[0]
  const [left, right] = [SLOPES.get(from[0])!, SLOPES.get(to[0])!].map((slope) => slope * width)
  const s2 = share * share
  const s3 = s2 * share
  return (
    from[1] * (2 * s3 - 3 * s2 + 1) + left! * (s3 - 2 * s2 + share) + to[1] * (3 * s2 - 2 * s3) + right! * (s3 - s2)
  )
}

/** Slopes of the monotone cubic through the thickness stops (Fritsch and Carlson 1980, harmonic mean). */
const SLOPES = new Map(
  THICKNESS.map(([celsius, share], i): [number, number] => {
    const before = THICKNESS[i - 1]
    const after = THICKNESS[i + 1]
    const rise = (a: [number, number], b: [number, number]) => (b[1] - a[1]) / (b[0] - a[0])
    if (!before || !after) return [celsius, 0]
    const [left, right] = [rise(before, [celsius, share]), rise([celsius, share], after)]
    return [celsius, left * right <= 0 ? 0 : (2 * left * right) / (left + right)]
  }),
)

function between<T>(stops: [number, T][], celsius: number): [[number, T], [number, T], number] {
  const last = stops.length - 1
  const clamped = Math.max(stops[0]![0], Math.min(stops[last]![0], celsius))
  const i = Math.max(
    1,
    stops.findIndex(([at]) => at >= clamped),
  )
  const [from, to] = [stops[i - 1]!, stops[i]!]
  return [from, to, (clamped - from[0]) / (to[0] - from[0])]
}
