import type { Bound } from '../../rules/rule'
import type { AcidityTable } from './terms'

/** pH and, where known, water activity of the finished, cooled product, with what the meter may be off by. */
export interface AcidityMeasure {
  ph: number
  phTolerance: number
  waterActivity: number | null
  waterTolerance: number
  meter: string
  /** What the meter read in buffers of a known pH, before or after. */
  buffers: { nominal: number; read: number }[]
}

/** Whether a product needs temperature control, by its own figures. Doubt means it does. */
export type AcidityResult =
  | { control: 'not needed'; row: number }
  /** Both figures are known and no row is met: somebody qualified assesses it, or it is kept cold. */
  | { control: 'assessment' }
  | {
      control: 'needed'
      because: 'not measured' | 'no table' | 'not finished' | 'meter not checked' | 'no water activity'
    }

/** A meter may be this far off in a buffer, pH. House default. */
export const METER_LINE = 0.1

/**
 * What the code's table says of a product. The meter's tolerance is added to both figures. It never closes a cook check
 * nor the gate for raw egg.
 * @param finished every gate of the batch is proven: the figure is of the finished, cooled product
 */
export function acidityResult(
  measure: AcidityMeasure | null,
  table: AcidityTable | null,
  finished: boolean,
): AcidityResult {
  const needed = (because: (AcidityResult & { control: 'needed' })['because']): AcidityResult => ({
    control: 'needed',
    because,
  })
  if (!measure) return needed('not measured')
  if (!table) return needed('no table')
  if (!finished) return needed('not finished')
  if (!isChecked(measure)) return needed('meter not checked')
  const ph = measure.ph + measure.phTolerance
  const water = measure.waterActivity === null ? null : measure.waterActivity + measure.waterTolerance
  const row = table.rows.findIndex(
    (each) =>
      (each.ph === null || within(ph, each.ph)) &&
      (each.waterActivity === null || (water !== null && within(water, each.waterActivity))),
  )
  if (row >= 0) return { control: 'not needed', row }
  return water === null ? needed('no water activity') : { control: 'assessment' }
}

/** Read in two buffers at least, and near enough in each. */
export function isChecked({ buffers }: Pick<AcidityMeasure, 'buffers'>): boolean {
  const apart = new Set(buffers.map(({ nominal }) => nominal))
  return apart.size >= 2 && buffers.every(({ nominal, read }) => Math.abs(read - nominal) <= METER_LINE + 1e-9)
}

function within(value: number, { most, inclusive }: Bound): boolean {
  return inclusive ? value <= most + 1e-9 : value < most - 1e-9
}
