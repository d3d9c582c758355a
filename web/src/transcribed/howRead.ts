import type { TemperatureScale } from '@logged-thermal/core'
import { dayOrderOf, unitSaid, type DayOrder } from './cells'
import type { Role, Table } from './columns'

/** What somebody said where the file can be read both ways. */
export interface Choice {
  order: 'day first' | 'month first' | null
  unit: TemperatureScale | null
}

export interface How {
  /** 'either': nobody said yet. */
  order: DayOrder
  isOrderAsked: boolean
  /** Of each column; null: the file does not say, and nobody did. */
  units: TemperatureScale[] | null
  isUnitAsked: boolean
}

/** How days and temperatures of a file are read: as the file says itself, else as somebody says. Nothing is guessed. */
export function howRead({ names, lines }: Table, roles: readonly Role[], choice: Choice): How {
  const cellsOf = (i: number) => lines.map(({ cells }) => cells[i] ?? '')
  const days = roles.flatMap((role, i) => (role === 'day' || role === 'day and time' ? cellsOf(i) : []))
  const found = dayOrderOf(days) ?? 'year first'
  const said = roles.map((role, i) => (role === 'temperature' ? unitSaid(names[i]!, cellsOf(i)) : null))
  const isUnitAsked = roles.some((role, i) => role === 'temperature' && said[i] === null)
  const units = said.map((unit) => unit ?? choice.unit)
  return {
    order: found === 'either' ? (choice.order ?? 'either') : found,
    isOrderAsked: found === 'either',
    units: isUnitAsked && choice.unit === null ? null : units.map((unit) => unit ?? 'C'),
    isUnitAsked,
  }
}
