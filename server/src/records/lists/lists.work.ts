import { stringify } from 'csv-stringify/sync'
import {
  fullDate,
  listCells,
  listHead,
  ownColumns,
  packetMessages,
  speaker,
  timeOfDay,
  type ListLine,
  type ListName,
  type ListRecord,
  type Reader,
} from '@logged-thermal/wording'
import { dayOf } from '@logged-thermal/core'
import { plainCells } from '../../store/plainCells'
import { drawList } from '../pdf/drawList'
import { paperOf, type RecordsAsked } from '../records.work'

const say = speaker(packetMessages)

/** A list on paper. */
export async function listPdf({ record, ...asked }: RecordsAsked & { record: ListRecord }): Promise<Uint8Array> {
  const { list, of, lines } = record
  const { kitchen, reader } = asked
  const { title } = listHead(list, reader)
  const named = of === null ? title : say(reader, 'listOf', { list: title, of })
  const paper = paperOf(`${kitchen}, ${named}`, asked)
  paper.part(named)
  paper.text(kitchen, { size: 11 })
  drawList(paper, list, lines, 1, reader)
  paper.text([...(of === null ? [] : [of]), periodWords(record, reader)].join(', '), { size: 9 })
  return paper.finished()
}

/** The same as a table for a spreadsheet. */
export function listCsv({ list, lines, reader }: Pick<ListRecord, 'list' | 'lines'> & { reader: Reader }): string {
  return stringify([csvHead(list)]) + csvLines(lines, reader)
}

/** Its lines alone, for the end of a table that has its head. */
export function csvLines(lines: readonly ListLine[], reader: Reader): string {
  return stringify(lines.map((line) => csvLine(line, reader)))
}

function csvHead(list: ListName): string[] {
  return ['entry', 'time (UTC)', ...ownColumns(list).map(([key]) => key), 'by']
}

function csvLine(line: ListLine, reader: Reader): string[] {
  const cells = [String(line.seq), new Date(line.at).toISOString(), ...listCells(line, reader), line.by]
  return Object.values(plainCells(Object.fromEntries(cells.map((cell, i) => [`${i}`, cell]))))
}

function periodWords({ from, to, made }: ListRecord, reader: Reader): string {
  const until = to ?? dayOf(made, reader.zone)
  const time = to === null ? `${fullDate(until, reader)} ${timeOfDay(made, reader)}` : fullDate(until, reader)
  return from === null
    ? say(reader, 'listWhole', { time })
    : say(reader, 'listPeriod', { from: fullDate(from, reader), to: time })
}
