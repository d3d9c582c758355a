import type { Day, Instant, TemperatureScale, Typed } from '@logged-thermal/core'

/** In which order a log writes its days; 'either' where every one of them can be read both ways. */
export type DayOrder = 'year first' | 'day first' | 'month first' | 'either'

const DAY = /^(\d{1,4})[./-](\d{1,2})[./-](\d{1,4})$/

/** In which order days are written; null where none of the texts is a day. */
export function dayOrderOf(texts: readonly string[]): DayOrder | null {
  const parts = texts.flatMap((text) => {
    const found = DAY.exec(dayPart(text))
    return found ? [found.slice(1, 4)] : []
  })
  if (parts.length === 0) return null
  if (parts.every(([first]) => first!.length === 4)) return 'year first'
  const [isDayFirst, isMonthFirst] = [0, 1].map((i) => parts.some((each) => Number(each[i]) > 12))
  return isDayFirst === isMonthFirst ? 'either' : isDayFirst ? 'day first' : 'month first'
}

/** The day that a text says, alone or before a time; null where it says none. */
export function dayIn(text: string, order: DayOrder): Day | null {
  const found = DAY.exec(dayPart(text))
  if (!found || order === 'either') return null
  const [a, b, c] = found.slice(1, 4) as [string, string, string]
  const [year, month, date] =
    a.length === 4 ? [a, b, c] : order === 'month first' ? [c, a, b] : order === 'day first' ? [c, b, a] : ['', '', '']
  const day = `${year.length === 2 ? `20${year}` : year}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`
  return isInCalendar(day) ? day : null
}

const TIME = /(?:^|[\sT])(\d{1,2})[:.h](\d{2})(?:[:.]\d{2}(?:[.,]\d+)?)?\s*([ap])?\.?(?:m\.?)?$/i
const ZONED = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d{1,9})?)?(Z|[+-]\d{2}:?\d{2})$/
const BARE = /^(\d{2})(\d{2})$/

/** The instant of a day and time with its zone, as '2026-11-03T14:02:30Z'; null where no zone is told: then it is the kitchen's. */
export function instantIn(text: string): Instant | null {
  const zoned = ZONED.exec(text.trim())
  const at = zoned ? Date.parse(text.trim().replace(' ', 'T')) : NaN
  return Number.isFinite(at) ? Math.round(at) : null
}

/** The time of day that a text says, alone or behind a day: '23:05'; null where it says none. */
export function timeIn(text: string): string | null {
  const said = withoutZone(text)
  const found = TIME.exec(said) ?? BARE.exec(said)
  if (!found) return null
  const half = found[3]?.toLowerCase()
  const hour = Number(found[1])
  const minute = Number(found[2])
  if (minute > 59 || hour > (half ? 12 : 23) || (half && hour === 0)) return null
  const hours = half ? (hour % 12) + (half === 'p' ? 12 : 0) : hour
  return `${String(hours).padStart(2, '0')}:${String(minute).padStart(2, '0')}`
}

/** The seconds behind a time of day, with parts of one; 0 where none are written. */
export function secondsIn(text: string): number {
  const found = /\d{1,2}[:.h]\d{2}[:.](\d{2}(?:[.,]\d+)?)\s*(?:[ap]\.?m?\.?)?$/i.exec(withoutZone(text))
  return found ? Number(found[1]!.replace(',', '.')) : 0
}

const TEMPERATURE = /^([-−]?\d{1,3}(?:[.,]\d+)?)\s*(?:°|º|deg)?\s*([CF])?$/i

/** The temperature that a text says, in its own unit where it has one; null where it says none. */
export function temperatureIn(text: string, unit: TemperatureScale): Typed | null {
  // A minus stands behind an apostrophe where a spreadsheet would run it.
  const found = TEMPERATURE.exec(text.trim().replace(/^'/, ''))
  if (!found) return null
  const value = Number(found[1]!.replace('−', '-').replace(',', '.'))
  const own = found[2]?.toUpperCase() as TemperatureScale | undefined
  const typed: Typed = { value, unit: own ?? unit }
  const [least, most] = typed.unit === 'C' ? [-60, 200] : [-76, 392]
  return value >= least && value <= most ? typed : null
}

/** The unit that a column's name or its cells say; null where they say none. */
export function unitSaid(name: string, cells: readonly string[]): TemperatureScale | null {
  const said = [name, ...cells].map((text) =>
    /(?:°|º|deg|\(|\d\s?|\b)\s?([CF])\)?\s*$/i.exec(text.trim())?.[1]?.toUpperCase(),
  )
  return (said.find((each) => each !== undefined) as TemperatureScale | undefined) ?? null
}

function isInCalendar(day: string): boolean {
  const at = Date.parse(`${day}T00:00:00Z`)
  return Number.isFinite(at) && new Date(at).toISOString().startsWith(day)
}

function withoutZone(text: string): string {
  const told = text.trim()
  const [, zone = ''] = ZONED.exec(told) ?? []
  return told.slice(0, told.length - zone.length)
}

function dayPart(text: string): string {
  return text.trim().split(/[\sT]/)[0] ?? ''
}
