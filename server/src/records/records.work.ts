import { stringify } from 'csv-stringify/sync'
import {
  CORE_VERSION,
  dayOf,
  judgeBatch,
  type BatchState,
  type Day,
  type Disposition,
  type Finding,
  type Id,
  type Instant,
  type PublicKey,
} from '@logged-thermal/core'
import {
  type BatchRecord,
  batchRecord,
  dayAndTime,
  fullDate,
  inFours,
  paperMessages,
  type Reader,
  recordMessages,
  speaker,
  timeOfDay,
} from '@logged-thermal/wording'
import { plainCells } from '../store/plainCells'
import { drawBatch } from './pdf/batchPages'
import { drawBlankSheets, type SheetsAsked } from './pdf/blankSheets'
import { Paper } from './pdf/paper'
import type { ProvedBy } from './provedBy'

const say = speaker(recordMessages)
const sayOnPaper = speaker(paperMessages)

/** A batch as its record needs it. */
export interface BatchAsked {
  /** A BatchState as JSON: the thread that serves need not read it. */
  state: string
  decisions: (Pick<Disposition, 'decision' | 'reason' | 'core'> & { by: Id; at: Instant })[]
}

/** What all records of a kitchen share. */
export interface RecordsAsked {
  kitchen: string
  reader: Reader
  now: Instant
  people: Record<Id, string>
  instruments: Record<Id, string>
  signedDays: { day: Day; at: Instant }[]
  /** null: this installation signs nothing. */
  proved: ProvedBy | null
  /** For whom it is made. */
  maker: string
}

/** Records of batches as one document, one after the other. */
export async function batchesPdf({
  title,
  batches,
  ...shared
}: RecordsAsked & { title: string; batches: BatchAsked[] }): Promise<Uint8Array> {
  const { kitchen, reader, now, proved } = shared
  const paper = paperOf(title, shared)
  for (const asked of batches) drawBatch(paper, judged(asked, shared), { kitchen, proved, now, reader })
  return paper.finished()
}

/** A document with its name, page and maker at the foot of every page. */
export function paperOf(title: string, asked: RecordsAsked): Paper {
  const { kitchen, reader, now } = asked
  return new Paper({
    title,
    language: reader.locale,
    author: kitchen,
    made: now,
    foot: (page, pages) => [say(reader, 'pageOf', { name: title, page, pages }), madeFor(asked)],
  })
}

/** Of every page: when it was made, for whom, and who judged. */
export function madeFor({ reader, now, maker }: Pick<RecordsAsked, 'reader' | 'now' | 'maker'>): string {
  const time = `${fullDate(dayOf(now, reader.zone), reader)} ${timeOfDay(now, reader)}`
  return say(reader, 'madeFor', { time, name: maker, core: CORE_VERSION })
}

/** A sheet for the wall: the key that everything is signed with, in signs that are read from a step away. */
export async function keySheet({ key, ...shared }: RecordsAsked & { key: PublicKey }): Promise<Uint8Array> {
  const { kitchen, reader, now } = shared
  const title = say(reader, 'wallTitle')
  const paper = new Paper({
    title,
    language: reader.locale,
    author: kitchen,
    made: now,
    foot: () => [kitchen, madeFor(shared)],
  })
  paper.part(title)
  paper.heading(1, title)
  paper.text(kitchen, { size: 16, face: 'title' })
  paper.rule()
  paper.text(inFours(key.id), { size: 44, face: 'bold' })
  paper.text(say(reader, 'wallSince', { time: fullDate(dayOf(key.since, reader.zone), reader) }), { size: 13 })
  paper.document.y += 14
  paper.text(say(reader, 'wallSays'), { size: 13 })
  paper.text(say(reader, 'wallHang'), { size: 13 })
  return paper.finished()
}

/** Sheets to write on by hand, for what runs and for what is begun while nothing works. */
export async function blankSheets(asked: RecordsAsked & SheetsAsked): Promise<Uint8Array> {
  const { kitchen, reader, now } = asked
  const title = sayOnPaper(reader, 'title')
  const paper = new Paper({
    title,
    language: reader.locale,
    author: kitchen,
    made: now,
    foot: (page, pages) => [
      say(reader, 'pageOf', { name: kitchen, page, pages }),
      sayOnPaper(reader, 'foot', { time: dayAndTime(now, reader) }),
    ],
  })
  drawBlankSheets(paper, asked)
  return paper.finished()
}

/** The same as data: for a program to read. */
export function batchRecords({ batches, ...shared }: RecordsAsked & { batches: BatchAsked[] }): BatchRecord[] {
  return batches.map((asked) => judged(asked, shared).record)
}

/** Readings of a batch that were not taken back, in order of their time: as typed, not as shown. */
export function traceCsv({ state, people, instruments }: RecordsAsked & Pick<BatchAsked, 'state'>): string {
  const batch = JSON.parse(state) as BatchState
  const lines = batch.facts['reading-taken']
    .filter(({ void: gone }) => !gone)
    .sort((a, b) => a.at - b.at)
    .map(({ at, by, value: { typed, where, of, instrument, portion, file } }) => ({
      'time (UTC)': new Date(at).toISOString(),
      temperature: `${typed.value}°${typed.unit}`,
      where,
      of: of === 'mixture' ? of : of.part,
      pan: portion ?? '',
      instrument: instrument === null ? '' : (instruments[instrument] ?? ''),
      by: people[by] ?? '',
      file: file?.name ?? '',
    }))
  return stringify(lines.map(plainCells), { header: true, columns: TRACE_COLUMNS })
}

const TRACE_COLUMNS = ['time (UTC)', 'temperature', 'where', 'of', 'pan', 'instrument', 'by', 'file']

/** A batch as its record shows it. */
export function judged(
  { state, decisions }: BatchAsked,
  { reader, now, people, instruments, signedDays }: Omit<RecordsAsked, 'title'>,
) {
  const batch = JSON.parse(state) as BatchState
  const findings: Finding[] = judgeBatch(batch, { zone: reader.zone }, now)
  const names = {
    person: (id: Id) => people[id] ?? '',
    instrument: (id: Id) => instruments[id] ?? '',
    signedDays,
    decisions,
  }
  return { batch, findings, record: batchRecord(batch, findings, names, reader) }
}
