import { stringify } from 'csv-stringify/sync'
import {
  isSettled,
  judgeBatch,
  standingForGood,
  type BatchState,
  type Day,
  type Id,
  type Instant,
  type InstrumentKind,
  type SealedEntry,
} from '@logged-thermal/core'
import {
  clock,
  eventWords,
  findingInShort,
  listHead,
  LISTS,
  packetMessages,
  speaker,
  standingWord,
  type BatchRecord,
  type ListLine,
  type ListName,
  type Reader,
} from '@logged-thermal/wording'
import { drawBatch } from '../records/pdf/batchPages'
import { csvLines, listCsv } from '../records/lists/lists.work'
import { drawList } from '../records/pdf/drawList'
import { judged, paperOf, type BatchAsked, type RecordsAsked } from '../records/records.work'
import { plainCells } from '../store/plainCells'
import { drawCover, type CoverAsked } from './pdf/cover'
import { drawDaySheet } from './pdf/daySheet'
import { drawPlans, type PlansAsked } from './pdf/plans'
import { drawUnresolved, type Summed, type Unresolved } from './pdf/unresolved'

const say = speaker(packetMessages)

/** A day of a packet. */
export interface DayAsked extends RecordsAsked {
  day: Day
  batches: BatchAsked[]
  /** What happened between, in order. */
  events: SealedEntry[]
  names: Record<Id, string>
  kinds: Record<Id, InstrumentKind>
  signed: { by: Id; at: Instant } | null
}

/** What a day adds to a packet. */
export interface DayMade {
  pdf: Uint8Array
  batchesCsv: string
  readingsCsv: string
  /** A line each. */
  records: string
  summed: Omit<Summed, 'file'>[]
}

/** The sheet of a day with its records, and its lines of the tables. */
export async function dayOfPacket(asked: DayAsked): Promise<DayMade> {
  const { kitchen, reader, now, day, batches, proved } = asked
  const title = `${kitchen} ${day}`
  const paper = paperOf(title, asked)
  const found = batches.map((each) => judged(each, asked))
  const ofDay: Reader = { ...reader, today: day }
  drawDaySheet(
    paper,
    {
      day,
      records: found.map(({ record }) => record),
      events: eventsOf(asked, ofDay),
      signed: asked.signed && { name: asked.people[asked.signed.by] ?? '', at: asked.signed.at },
    },
    ofDay,
  )
  for (const each of found) drawBatch(paper, each, { kitchen, proved, now, reader })
  const records = found.map(({ record }) => record)
  return {
    pdf: await paper.finished(),
    batchesCsv: stringify(records.map((record) => plainCells(batchLine(record, reader)))),
    readingsCsv: stringify(records.flatMap((record) => readingLines(record).map(plainCells))),
    records: records.map((record) => `${JSON.stringify(record)}\n`).join(''),
    summed: found.map(({ batch, findings, record }) => summedOf(batch, findings, record.day, reader)),
  }
}

/** What stands above both tables. */
export function tableHeads(_: Record<string, never>): { batches: string; readings: string } {
  return { batches: stringify([BATCH_COLUMNS]), readings: stringify([READING_COLUMNS]) }
}

const BATCH_COLUMNS = ['day', 'batch', 'method', 'version', 'standing', 'why', 'limits', 'decisions']
const READING_COLUMNS = ['batch', 'time (UTC)', 'typed', 'before', 'counted °C', 'instrument', 'by', 'mark', 'notes']

function batchLine({ day, code, method, standing, said, limits, decisions }: BatchRecord, reader: Reader) {
  return {
    day,
    code,
    method: method.name,
    version: String(method.version),
    standing: standingWord(standing, reader),
    why: said.slice(1).join(' '),
    limits: limits.map(({ title, standing: is }) => `${title}: ${standingWord(is, reader)}`).join('; '),
    decisions: decisions.join('; '),
  }
}

function readingLines({ code, readings }: BatchRecord) {
  return readings.map(({ at, value, was, celsius, instrument, by, told, mark }) => ({
    code,
    at: new Date(at).toISOString(),
    value,
    was: was.join(' '),
    celsius: String(celsius),
    instrument,
    by,
    mark: mark ?? '',
    told: told.join('; '),
  }))
}

/** The cover, in front of everything. */
export async function coverOfPacket(asked: CoverAsked & RecordsAsked): Promise<Uint8Array> {
  const paper = paperOf(`${asked.kitchen} ${asked.from} – ${asked.to}`, asked)
  drawCover(paper, asked)
  return paper.finished()
}

/** What is unresolved of all its days, or as much of it as is drawn at a time. */
export async function unresolvedOfPacket({
  unresolved,
  ...asked
}: RecordsAsked & { unresolved: Unresolved[] }): Promise<Uint8Array> {
  const title = say(asked.reader, 'unresolved')
  const paper = paperOf(`${asked.kitchen}, ${title}`, asked)
  paper.part(title)
  paper.heading(1, title)
  drawUnresolved(paper, unresolved, asked.reader)
  return paper.finished()
}

/** What a packet lists beside its days, or as much of it as is drawn at a time: `part` counts from 0. */
export type ListsAsked = RecordsAsked & { lists: Record<ListName, ListLine[]>; part: number }

export interface ListsMade {
  documents: { name: string; pdf: Uint8Array }[]
  /** What is added to the end of tables. */
  tables: { name: string; text: string }[]
}

/** Lists of the period: probes and units together, the others each as a document of its own; all of them as tables. */
export async function listsOfPacket({ lists, part, ...asked }: ListsAsked): Promise<ListsMade> {
  const { kitchen, reader } = asked
  const numbered = (name: string) => `${name}${part === 0 ? '' : `-${part + 1}`}.pdf`
  // A first part is there of every list, also of one without a line.
  const isDrawn = (names: readonly ListName[]) => part === 0 || names.some((list) => lists[list].length > 0)
  const equipment = say(reader, 'equipment')
  const drawn = async (title: string, names: readonly ListName[]) => {
    const paper = paperOf(`${kitchen}, ${title}`, asked)
    paper.part(title)
    if (names.length > 1) paper.heading(1, title)
    for (const list of names) drawList(paper, list, lists[list], names.length > 1 ? 2 : 1, reader)
    return paper.finished()
  }
  const documents: ListsMade['documents'] = []
  if (isDrawn(['checks', 'air']))
    documents.push({ name: numbered('equipment'), pdf: await drawn(equipment, ['checks', 'air']) })
  for (const list of ['lots', 'labels', 'matters'] as const)
    if (isDrawn([list]))
      documents.push({ name: numbered(list), pdf: await drawn(listHead(list, reader).title, [list]) })
  const tables = LISTS.map((list) => ({
    name: `${list}.csv`,
    text: part === 0 ? listCsv({ list, lines: lists[list], reader }) : csvLines(lists[list], reader),
  }))
  const records = LISTS.flatMap((list) => lists[list].map((line) => `${JSON.stringify(line)}\n`)).join('')
  return { documents, tables: [...tables, { name: 'lists.ndjson', text: records }] }
}

/** The written plans in force, and how many they are. */
export async function plansOfPacket(asked: PlansAsked & RecordsAsked): Promise<{ pdf: Uint8Array; count: number }> {
  const paper = paperOf(`${asked.kitchen}, ${say(asked.reader, 'plans')}`, asked)
  const count = drawPlans(paper, asked)
  return { pdf: await paper.finished(), count }
}

function summedOf(batch: BatchState, findings: ReturnType<typeof judgeBatch>, day: Day, reader: Reader) {
  const standing = standingForGood(batch, findings)
  const worst = findings.find((each) => each.standing === standing)
  const waits = !isSettled(batch, findings) && standing !== 'open' && standing !== 'proven'
  return {
    code: batch.code,
    name: batch.method.name,
    day,
    standing,
    open: waits && worst ? findingInShort(worst, { ...reader, today: day }) : null,
  }
}

function eventsOf(
  { events, names, kinds, instruments, people }: DayAsked,
  reader: Reader,
): { at: string; words: string }[] {
  const of = {
    of: (id: Id) => names[id] ?? null,
    person: (id: Id) => people[id] ?? '',
    instrument: (id: Id) => {
      const [code, kind] = [instruments[id], kinds[id]]
      return code !== undefined && kind !== undefined ? { code, kind } : null
    },
  }
  return events.flatMap((entry) => {
    const words = eventWords(entry, of, reader)
    return words === null ? [] : [{ at: clock(entry.claim.at, reader), words }]
  })
}
