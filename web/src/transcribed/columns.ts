import { dayOrderOf, temperatureIn, timeIn } from './cells'

/** What a column of a log is. People's names are nothing: they would stay in the logbook for good. */
export type Role = 'nothing' | 'what' | 'day' | 'time' | 'day and time' | 'temperature' | 'note'

export const ROLES: readonly Role[] = ['nothing', 'what', 'day', 'time', 'day and time', 'temperature', 'note']

/** A file of cells: its columns, and its lines with the number that each has in the file. */
export interface Table {
  names: string[]
  lines: { line: number; cells: string[] }[]
}

/** So many lines are looked at to guess what a column is. */
const LOOKED_AT = 50

/**
 * Cells as a table: what stands above the names of the columns is left out, and names are made up where there are none.
 * null: there is nothing in it.
 */
export function tableOf(cells: readonly (readonly string[])[]): Table | null {
  const lines = cells.map((each, i) => ({ line: i + 1, cells: each.map((cell) => cell.trim()) }))
  const filled = lines.filter(({ cells: each }) => each.some((cell) => cell !== ''))
  const width = Math.max(0, ...filled.map(({ cells: each }) => each.length))
  const isFull = (each: readonly string[]) => each.filter((cell) => cell !== '').length > width / 2
  // What a device says of itself above its table may be as wide: the names stand right above the first line that is read.
  const read = filled.findIndex(({ cells: each }) => isReadLine(each))
  const above = read > 0 && isFull(filled[read - 1]!.cells) ? read - 1 : read
  const first = above >= 0 ? above : filled.findIndex(({ cells: each }) => isFull(each))
  if (first < 0) return null
  const head = filled[first]!
  const hasNames = !head.cells.some((cell) => isDay(cell) || timeIn(cell) !== null || isTemperature(cell))
  const names = Array.from({ length: width }, (_, i) => (hasNames && head.cells[i]) || `${i + 1}`)
  const rows = filled.slice(hasNames ? first + 1 : first)
  return rows.length === 0 ? null : { names, lines: rows }
}

/** What each column seems to be: by its name first, then by what stands in it. */
export function rolesIn({ names, lines }: Table): Role[] {
  const roles = names.map((name, i): Role => {
    const cells = lines
      .slice(0, LOOKED_AT)
      .map(({ cells: each }) => each[i] ?? '')
      .filter((cell) => cell !== '')
    const most = (is: (cell: string) => boolean) => cells.length > 0 && cells.filter(is).length > cells.length / 2
    if (most(isDay)) return most((cell) => timeIn(cell) !== null) ? 'day and time' : 'day'
    if (most((cell) => timeIn(cell) !== null) && !/temp/i.test(name)) return 'time'
    if (most(isTemperature)) return 'temperature'
    if (/initial|sign|name of|\bby\b|\bwho\b|cook|staff/i.test(name)) return 'nothing'
    if (/action|note|comment|remark/i.test(name)) return 'note'
    return /food|product|item|dish|dessert|what|batch|name/i.test(name) ? 'what' : 'nothing'
  })
  if (roles.includes('what')) return roles
  // Nothing says which: the first column of words.
  const words = roles.findIndex(
    (role, i) => role === 'nothing' && lines.some(({ cells }) => /\p{L}{3}/u.test(cells[i] ?? '')),
  )
  return roles.map((role, i) => (i === words ? 'what' : role))
}

/** What is missing before a line can be understood. */
export function missingIn(roles: readonly Role[]): 'what' | 'when' | 'temperature' | null {
  if (!roles.includes('what')) return 'what'
  const isTold = roles.includes('day and time') || (roles.includes('day') && roles.includes('time'))
  if (!isTold) return 'when'
  return roles.includes('temperature') ? null : 'temperature'
}

/** It has a time, and a temperature that is none. */
function isReadLine(cells: readonly string[]): boolean {
  const isTime = (cell: string) => isDay(cell) || timeIn(cell) !== null
  return cells.some(isTime) && cells.some((cell) => !isTime(cell) && isTemperature(cell))
}

function isDay(cell: string): boolean {
  return dayOrderOf([cell]) !== null
}

function isTemperature(cell: string): boolean {
  return temperatureIn(cell, 'C') !== null || temperatureIn(cell, 'F') !== null
}
