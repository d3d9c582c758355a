import { dayAndTime, listCells, listHead, type ListLine, type ListName, type Reader } from '@logged-thermal/wording'
import type { Paper } from './paper'

/** A list as a table under its title. @param level of its heading */
export function drawList(paper: Paper, list: ListName, lines: readonly ListLine[], level: 1 | 2, reader: Reader): void {
  const { title, none, columns } = listHead(list, reader)
  paper.heading(level, title)
  if (level === 1) paper.rule()
  const rows = lines.map((line) => {
    const failed = line.list === 'checks' && !line.passed
    const cells = listCells(line, reader).map((text, i) => ({ text, bold: i === 0 || failed }))
    return { cells: [{ text: dayAndTime(line.at, reader) }, ...cells, { text: line.by }] }
  })
  paper.tableOr(none, columns, rows, 8.5)
}
