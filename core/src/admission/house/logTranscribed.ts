import {
  FieldError,
  hash,
  id,
  instant,
  list,
  nameOf,
  object,
  text,
  typedTemperature,
  whole,
  type Field,
} from '../../ground/field'
import { MOST_READINGS, MOST_TRANSCRIBED, type TranscribedCooling, type TranscribedLog } from '../../ledger/transcribed'
import type { KitchenState } from '../../state/kitchen'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'log-transcribed': TranscribedLog
  }
}

/** No file has more lines. */
const LAST_LINE = 1_000_000
/** The last instant that a date can be. */
const END_OF_TIME = 8.64e15

/**
 * The lead brings in lines of a cooling log that was kept elsewhere. They are history: no batch, no lot and no limit looks at
 * them, and of a cooling they can only tell that it was too slow.
 */
export const logTranscribed: KindOf<'log-transcribed'> = {
  kind: 'log-transcribed',
  v: 1,
  about: 'kitchen',
  ...BY_THE_LEAD,
  parse(body) {
    const { source, sha256, rows } = object(body, ['source', 'sha256', 'rows'])
    return { source: nameOf(source, 120), sha256: hash(sha256), rows: list(rows, parseRow, MOST_TRANSCRIBED) }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { rows } }) =>
    [...new Set(rows.flatMap(({ method }) => method ?? []))].map((of) => ({ type: 'method', id: of })),
  refuse({ about, at, kitchen, body: { sha256, rows } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    if (rows.length === 0) return { code: 'bad field', field: 'body.rows', problem: { code: 'missing' } }
    for (const [i, { method, readings }] of rows.entries()) {
      if (method !== null && !read('method', method))
        return { code: 'not there', field: `body.rows.${i}.method`, what: 'method' }
      if (readings.at(-1)!.at > at)
        return {
          code: 'bad field',
          field: `body.rows.${i}.readings`,
          problem: { code: 'out of range', least: 0, most: at },
        }
    }
    const known = read('kitchen', kitchen)?.transcribed ?? []
    return isTold(known, sha256, rows) ? { code: 'already there', field: 'body.rows', what: 'line of a log' } : null
  },
  folds: {
    kitchen: (state, { claim: { body } }) => ({ ...state, transcribed: withLines(state.transcribed, body) }),
  },
}

function parseRow(field: Field): TranscribedCooling {
  const { line, what, method, readings, note } = object(field, ['line', 'what', 'method', 'readings', 'note'])
  const read = list(
    readings,
    (each) => {
      const { at, typed } = object(each, ['at', 'typed'])
      return { at: instant(at), typed: typedTemperature(typed) }
    },
    MOST_READINGS,
  )
  if (read.length === 0) throw new FieldError(readings.path, { code: 'missing' })
  for (const [i, { at }] of read.entries())
    if (i > 0 && at <= read[i - 1]!.at)
      throw new FieldError(readings.path, { code: 'out of range', least: read[i - 1]!.at + 1, most: END_OF_TIME })
  return {
    line: whole(line, 1, LAST_LINE),
    what: nameOf(what, 120),
    method: method.value === null ? null : id(method),
    readings: read,
    note: note.value === null ? null : text(note, 300),
  }
}

/** Whether a line of that file was told before, or is told twice here. */
function isTold(known: KitchenState['transcribed'], sha256: string, rows: readonly TranscribedCooling[]): boolean {
  const lines = rows.map(({ line }) => line)
  const before = known.filter((each) => each.sha256 === sha256)
  return (
    new Set(lines).size < lines.length ||
    before.some(({ spans }) => spans.some(([first, last]) => lines.some((line) => line >= first && line <= last)))
  )
}

/** The lines of a file that were told, as few spans of following lines as there are. */
function withLines(
  known: KitchenState['transcribed'],
  { source, sha256, rows }: TranscribedLog,
): KitchenState['transcribed'] {
  const before = known.find((each) => each.sha256 === sha256)
  const spans = joined([...(before?.spans ?? []), ...rows.map(({ line }): [number, number] => [line, line])])
  const log = { source, sha256, spans }
  return before ? known.map((each) => (each === before ? log : each)) : [...known, log]
}

function joined(spans: readonly [number, number][]): [number, number][] {
  const all: [number, number][] = []
  for (const [first, last] of [...spans].sort((a, b) => a[0] - b[0])) {
    const end = all.at(-1)
    if (end && first <= end[1] + 1) end[1] = Math.max(end[1], last)
    else all.push([first, last])
  }
  return all
}
