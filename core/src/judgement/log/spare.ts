import { MINUTE } from '../../ground/instant'
import { aimOf } from '../../rules/compared'
import type { Finding } from '../finding'

/**
 * How much was to spare at a gate: of a cooling minutes before its deadline, of a floor °C over it; under zero it was too
 * late or too cold. null: the readings do not say.
 */
export interface Spare {
  unit: 'min' | '°C'
  least: number | null
  most: number | null
}

/** What a finding of a gate had to spare: of what is proven, as much as is proven of it. null: it is no such gate. */
export function spareOf({ check, standing, because, end, deadline }: Finding): Spare | null {
  const { rule } = check.limit
  if (rule.kind === 'reach') {
    const before = (at: number | null | undefined) =>
      at == null || deadline === null ? null : (deadline - at) / MINUTE
    if (because.code === 'in time') return { unit: 'min', least: because.spareMs / MINUTE, most: null }
    // Still warm then: it passed later than that at best.
    if (standing === 'missed') return { unit: 'min', least: null, most: 'at' in because ? before(because.at) : 0 }
    return { unit: 'min', least: before(end?.latest), most: before(end?.earliest) }
  }
  if (rule.kind !== 'hold' && rule.kind !== 'equivalent') return null
  switch (because.code) {
    case 'reached':
      return { unit: '°C', least: because.celsius - because.row.celsius, most: null }
    case 'held':
      return { unit: '°C', least: because.lowest - because.row.celsius, most: null }
    case 'closed too cold': {
      const aim = aimOf(rule, check)
      return { unit: '°C', least: null, most: aim === null ? null : because.highest - aim }
    }
    default:
      return { unit: '°C', least: null, most: null }
  }
}
