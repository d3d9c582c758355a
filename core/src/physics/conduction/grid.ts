/** One direction of a product: cells in a row between two faces. Lengths m. */
export interface Axis {
  cells: number
  /** Width of a cell. */
  step: number
  /** Cross-section of the faces between cells, `cells + 1` of them: 1 along a straight axis, 2πr along a radius. */
  area: Float64Array
  /** Volume of each cell for a unit of what lies across. */
  volume: Float64Array
  /** The first face is a plane or axis of symmetry: nothing passes it. */
  symmetric: boolean
}

/** A product cut into cells. The first axis runs fastest. */
export interface Grid {
  axes: Axis[]
  cells: number
  /** Volume of each cell, m³, of the part that is computed: a quarter of a brick, a radian of a cylinder. */
  volume: Float64Array
}

export type Shape =
  | { kind: 'cylinder'; radius: number; height: number }
  | { kind: 'brick'; length: number; width: number; height: number }

/** Enough that halving the cells moves a crossing by less than 1 %. */
const ACROSS = 12
const DEEP = 20
/** A brick has a direction more, and cools mostly through its depth. */
const ALONG = 8

/**
 * A product as a grid: radius and height of a cylinder, half length, half width and height of a brick. Along a direction
 * in which no heat passes one cell is all there is.
 */
export function gridOf(shape: Shape, passes: { sides: boolean; ends: boolean }, finer = 1): Grid {
  const across = passes.sides ? (shape.kind === 'cylinder' ? ACROSS : ALONG) * finer : 1
  const deep = straight(shape.height, passes.ends ? DEEP * finer : 1, false)
  return shape.kind === 'cylinder'
    ? crossed([radial(shape.radius, across), deep])
    : crossed([straight(shape.length / 2, across, true), straight(shape.width / 2, across, true), deep])
}

function straight(length: number, cells: number, symmetric: boolean): Axis {
  const step = length / cells
  return {
    cells,
    step,
    area: new Float64Array(cells + 1).fill(1),
    volume: new Float64Array(cells).fill(step),
    symmetric,
  }
}

function radial(radius: number, cells: number): Axis {
  const step = radius / cells
  const area = Float64Array.from({ length: cells + 1 }, (_, i) => i * step)
  const volume = Float64Array.from({ length: cells }, (_, i) => ((2 * i + 1) * step * step) / 2)
  return { cells, step, area, volume, symmetric: true }
}

function crossed(axes: Axis[]): Grid {
  const cells = axes.reduce((product, axis) => product * axis.cells, 1)
  const volume = Float64Array.from({ length: cells }, (_, cell) => {
    let rest = cell
    let product = 1
    for (const axis of axes) {
      product *= axis.volume[rest % axis.cells]!
      rest = Math.floor(rest / axis.cells)
    }
    return product
  })
  return { axes, cells, volume }
}
