import PDFDocument from 'pdfkit'
import type { NoticeRow } from '@logged-thermal/core'
import { BOLD, finished, REGULAR } from './pdfPaper'

const MARGIN = 48

/** What stands on the notice beside its rows. */
export interface NoticeText {
  kitchen: string
  title: string
  printed: string
  contains: string
  mayContain: string
  nothing: string
  unread: string
  source: string
  rows: readonly NoticeRow[]
}

/** A notice to hang up where food is sold or served unpacked, A4, in a size that is read from a step away. */
export function noticeSheet(text: NoticeText): Promise<Buffer> {
  const document = new PDFDocument({
    size: 'A4',
    margin: MARGIN,
    info: { Title: text.title, Producer: 'Logged Thermal' },
  })
  document.registerFont('regular', REGULAR)
  document.registerFont('bold', BOLD)
  const width = document.page.width - 2 * MARGIN
  document.font('bold').fontSize(24).text(text.title)
  document.font('regular').fontSize(11).text(`${text.kitchen} · ${text.printed}`)
  for (const row of text.rows) {
    const lines = [
      `${text.contains} ${row.contains.join(', ') || (row.unknown.length > 0 ? '' : text.nothing)}`,
      ...(row.mayContain.length > 0 ? [`${text.mayContain} ${row.mayContain.join(', ')}`] : []),
      ...(row.unknown.length > 0 ? [`${text.unread} ${row.unknown.join(', ')}`] : []),
    ]
    // A dish and what is in it stay on one page.
    const height = 14 + 18 + lines.length * 17
    if (document.y + height > document.page.height - MARGIN) document.addPage()
    document.moveDown(0.8).font('bold').fontSize(15).text(row.name, { width })
    document.font('regular').fontSize(13)
    for (const line of lines) document.text(line.trim(), { width })
  }
  document.moveDown(1.2).fontSize(9).text(text.source, { width })
  return finished(document)
}
