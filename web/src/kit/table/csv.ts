import type { Column } from './column'

/** Rows as a file of comma-separated values, by RFC 4180, with a head. Columns without a value are left out. */
export function csvOf<Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string {
  const written = columns.filter(({ value }) => value)
  const lines = [
    written.map(({ title }) => title),
    ...rows.map((row) => written.map(({ value }) => String(value!(row)))),
  ]
  return lines.map((cells) => cells.map(cellOf).join(',')).join('\r\n') + '\r\n'
}

/** Hands a text to the browser as a download. */
export function download(name: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'text/csv;charset=utf-8' }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}

/** A cell that a spreadsheet would take for a formula is kept text by an apostrophe. */
function cellOf(text: string): string {
  const plain = /^\s*[=+\-@\t\r\n]/.test(text) && !/^-?[\d.]+$/.test(text) ? `'${text}` : text
  return /[",\r\n]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain
}
