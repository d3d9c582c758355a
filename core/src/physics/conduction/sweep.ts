import type { Axis, Grid } from './grid'

/** What each cell is made of at its temperature: conductivity W/(m·K), heat capacity of a volume J/(m³·K). */
export interface Matter {
  conductivity: Float64Array
  capacity: Float64Array
}

/** What lies outside the two faces of an axis: °C, and overall coefficients W/(m²·K); 0 lets nothing through. */
export interface Outside {
  celsius: number
  first: number
  last: number
}

/** Room for one line of cells, kept over all sweeps. */
export interface Scratch {
  below: Float64Array
  diagonal: Float64Array
  above: Float64Array
  right: Float64Array
}

export function scratchFor({ axes }: Grid): Scratch {
  const longest = Math.max(...axes.map(({ cells }) => cells))
  const row = () => new Float64Array(longest)
  return { below: row(), diagonal: row(), above: row(), right: row() }
}

/**
 * Heat along one axis for a time, Crank and Nicolson, every line of cells by itself: one of the directions into which
 * a step is split. Changes `celsius` in place.
 */
export function sweep(
  celsius: Float64Array,
  { axes, cells }: Grid,
  index: number,
  outside: Outside,
  matter: Matter,
  seconds: number,
  scratch: Scratch,
): void {
  const axis = axes[index]!
  const stride = axes.slice(0, index).reduce((product, each) => product * each.cells, 1)
  const block = stride * axis.cells
  for (let first = 0; first < cells; first += block)
    for (let start = first; start < first + stride; start++)
      sweepLine(celsius, start, stride, axis, outside, matter, seconds, scratch)
}

function sweepLine(
  celsius: Float64Array,
  start: number,
  stride: number,
  axis: Axis,
  outside: Outside,
  matter: Matter,
  seconds: number,
  { below, diagonal, above, right }: Scratch,
): void {
  const { cells, step, area, volume } = axis
  const { conductivity, capacity } = matter
  let before = axis.symmetric ? 0 : through(area[0]!, outside.first, step, conductivity[start]!)
  for (let i = 0; i < cells; i++) {
    const at = start + i * stride
    const here = celsius[at]!
    const own = conductivity[at]!
    const last = i === cells - 1
    const beside = last ? 0 : conductivity[at + stride]!
    const after = last
      ? through(area[cells]!, outside.last, step, own)
      : (2 * area[i + 1]! * own * beside) / (step * (own + beside))
    const held = (capacity[at]! * volume[i]!) / seconds
    const left = i === 0 ? outside.celsius : celsius[at - stride]!
    const next = last ? outside.celsius : celsius[at + stride]!
    below[i] = -before / 2
    above[i] = -after / 2
    diagonal[i] = held + (before + after) / 2
    right[i] = held * here + (before * (left - here) + after * (next - here)) / 2
    // What lies outside stays as it is: known at the end of the step too.
    if (i === 0) right[i]! += (before * outside.celsius) / 2
    if (last) right[i]! += (after * outside.celsius) / 2
    before = after
  }
  solve(celsius, start, stride, cells, below, diagonal, above, right)
}

/** Through half a cell and what lies outside it, in series. */
function through(area: number, coefficient: number, step: number, conductivity: number): number {
  return coefficient > 0 ? area / (step / (2 * conductivity) + 1 / coefficient) : 0
}

/** Thomas' elimination; the ends of the band are outside and already on the right. */
function solve(
  celsius: Float64Array,
  start: number,
  stride: number,
  cells: number,
  below: Float64Array,
  diagonal: Float64Array,
  above: Float64Array,
  right: Float64Array,
): void {
  for (let i = 1; i < cells; i++) {
    const factor = below[i]! / diagonal[i - 1]!
    diagonal[i]! -= factor * above[i - 1]!
    right[i]! -= factor * right[i - 1]!
  }
  let value = right[cells - 1]! / diagonal[cells - 1]!
  celsius[start + (cells - 1) * stride] = value
  for (let i = cells - 2; i >= 0; i--) {
    value = (right[i]! - above[i]! * value) / diagonal[i]!
    celsius[start + i * stride] = value
  }
}
