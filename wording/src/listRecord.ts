import type { Day, Instant, InstrumentKind, LotReceived, Typed } from '@logged-thermal/core'
import { packetMessages } from './catalogue/packet'
import { speaker } from './catalogue/say'
import { errorWords } from './instrumentWords'
import { incidentWord } from './matterWords'
import { fullDate, type Reader } from './figures'

const say = speaker(packetMessages)

/** Lists that a kitchen hands out beside the records of its batches. */
export const LISTS = ['checks', 'air', 'lots', 'labels', 'matters'] as const
export type ListName = (typeof LISTS)[number]

/** What happened to one kind of thing, in order, for a program to read. */
export interface ListRecord {
  kitchen: string
  list: ListName
  /** The one thing that it is about; null: all of its kind. */
  of: string | null
  /** Its first and last day; null: from the beginning, or until it was made. */
  from: Day | null
  to: Day | null
  made: Instant
  lines: ListLine[]
}

/**
 * A line shows one entry: its number in the logbook, its hash there, the time that it tells, who made it, and whether it was
 * a mistaken tap that was taken back.
 */
export type ListLine = { seq: number; hash: string; at: Instant; by: string; takenBack: boolean } & (
  CheckLine | AirLine | LotLine | LabelLine | MatterLine
)

/** An instrument was checked. */
export interface CheckLine {
  list: 'checks'
  instrument: string
  kind: InstrumentKind
  passed: boolean
  /** What it showed more than it should: °C, or pH for a meter of acidity. */
  error: number
  /** It counts for nothing: what it was passed against was found wrong since. */
  unfounded: boolean
}

/** The air of a refrigerator or freezer was read. */
export interface AirLine {
  list: 'air'
  unit: string
  typed: Typed
  /** Code of what read it; null: the unit's own display, which is not registered. */
  instrument: string | null
}

/** A lot came in, was decided upon, or called back. */
export interface LotLine {
  list: 'lots'
  what: 'received' | 'decided' | 'recalled' | 'exercise' | 'recall ended'
  lot: string
  supplier: string | null
  useBy: Day | null
  verdict: LotReceived['verdict'] | null
  /** What it was read at as it came. */
  typed: Typed | null
  reason: string | null
  /** Codes of the batches that it went into. */
  into: string[]
}

/** Labels were printed. */
export interface LabelLine {
  list: 'labels'
  of: string
  copies: number
}

/** Something happened that no reading tells, or was answered. */
export interface MatterLine {
  list: 'matters'
  /** What happened; null: this closes a matter. */
  incident: Parameters<typeof incidentWord>[0] | null
  /** What it is about, by name. */
  of: string
  note: string
  done: string | null
  prevents: string | null
}

const COLUMNS = {
  checks: { instrument: 20, found: 40 },
  air: { unit: 40, read: 20 },
  lots: { what: 26, taken: 20, into: 24 },
  labels: { what: 50, copies: 10 },
  matters: { what: 28, done: 22, prevents: 22 },
} as const satisfies Record<ListName, object>

/** What stands over a list, and over each of its columns with its share of the width; time and person stand around them. */
export function listHead(list: ListName, reader: Reader): { title: string; none: string; columns: Column[] } {
  const columns = [['time', 18] as const, ...ownColumns(list), ['by', 16] as const]
  return {
    title: say(reader, `list_${list}`),
    none: say(reader, `none_${list}`),
    columns: columns.map(([key, share]) => ({ title: say(reader, `column_${key}`), share })),
  }
}

interface Column {
  title: string
  share: number
}

/** The columns that are a list's own. */
export function ownColumns(list: ListName) {
  return Object.entries(COLUMNS[list]) as [ColumnKey, number][]
}

type ColumnKey = { [L in ListName]: keyof (typeof COLUMNS)[L] }[ListName]

/** What stands in the columns that are its own. */
export function listCells(line: ListLine, reader: Reader): string[] {
  const [first = '', ...others] = cellsOf(line, reader)
  return [line.takenBack ? `${first} (${say(reader, 'takenBack')})` : first, ...others]
}

function cellsOf(line: ListLine, reader: Reader): string[] {
  switch (line.list) {
    case 'checks': {
      const error = errorWords(line.kind, line.error, reader)
      return [line.instrument, say(reader, line.unfounded ? 'unfounded' : line.passed ? 'passed' : 'failed', { error })]
    }
    case 'air':
      return [line.unit, [degrees(line.typed), ...(line.instrument === null ? [] : [line.instrument])].join(', ')]
    case 'lots':
      return [lotWords(line, reader), takenWords(line, reader), line.into.join(', ')]
    case 'labels':
      return [line.of, String(line.copies)]
    case 'matters': {
      const { incident, of, note, done, prevents } = line
      const what = incident === null ? `${of}. ${note}` : `${incidentWord(incident, reader)}: ${note}`
      return [what, done ?? '', prevents ?? '']
    }
  }
}

function lotWords({ what, lot, supplier, useBy }: LotLine, reader: Reader): string {
  const day = useBy === null ? [] : [say(reader, 'useBy', { day: fullDate(useBy, reader) })]
  const came = [lot, ...(supplier === null ? [] : [supplier]), ...day].join(', ')
  return what === 'received' ? came : `${say(reader, `lot_${what}`)}: ${came}`
}

function takenWords({ verdict, typed, reason }: LotLine, reader: Reader): string {
  return [
    ...(verdict === null ? [] : [say(reader, `verdict_${verdict}`)]),
    ...(typed === null ? [] : [degrees(typed)]),
    ...(reason === null ? [] : [reason]),
  ].join(', ')
}

function degrees({ value, unit }: Typed): string {
  return `${value.toFixed(1)}°${unit}`
}
