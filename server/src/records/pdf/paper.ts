import PDFDocument from 'pdfkit'
import { finished } from '../../labels/pdfPaper'
import { Faces, type Face } from './faces'

const MARGIN = 44
const FOOT = 30
/** The black of a printed page, and of what is less. */
export const INK = '#000000'
const GREY = '#888888'

export interface Column {
  title: string
  /** Share of the width. */
  share: number
}

export interface Cell {
  text: string
  bold?: boolean
  /** What stood there first: struck through before the text. */
  was?: readonly string[]
  /** Drawn in a square of such a size, pt; what it says stands in `text` of another cell. */
  mark?: (document: PDFKit.PDFDocument, x: number, y: number, size: number) => void
}

export interface Row {
  cells: readonly Cell[]
  /** Between dotted lines: it waits for somebody. */
  waits?: boolean
}

interface Titled {
  title: string
  /** BCP 47. */
  language: string
  author: string
  /** When it was made, ms: nothing here asks the clock. */
  made: number
  /** What stands at the foot of every page, left and right. */
  foot: (page: number, pages: number) => [left: string, right: string]
}

/**
 * A printed page after the other, A4: text that can be selected and read out, headings and tables that are told as such, a
 * bookmark for every record. From top to bottom; what does not fit goes to the next page.
 */
export class Paper {
  readonly document: PDFKit.PDFDocument
  readonly width: number
  private readonly faces: Faces
  private readonly root: PDFKit.PDFStructureElement
  private section: PDFKit.PDFStructureElement

  constructor(private readonly titled: Titled) {
    const { title, language, author, made } = titled
    this.document = new PDFDocument({
      size: 'A4',
      margins: { top: MARGIN, bottom: MARGIN + FOOT, left: MARGIN, right: MARGIN },
      bufferPages: true,
      tagged: true,
      displayTitle: true,
      pdfVersion: '1.7',
      // The library writes this form; its types do not name it yet.
      subset: 'PDF/UA' as 'PDF/A-1',
      lang: language,
      info: { Title: title, Author: author, Producer: 'Logged Thermal', CreationDate: new Date(made) },
    })
    this.width = this.document.page.width - 2 * MARGIN
    this.faces = new Faces(this.document)
    this.root = this.document.struct('Document')
    this.document.addStructure(this.root)
    this.section = this.root
  }

  /** Whether a script was met that these fonts have no letters for. */
  get lacksLetters(): boolean {
    return this.faces.lacking
  }

  /** A part with a bookmark of its own, on a new page unless it is the first. */
  part(bookmark: string): void {
    if (this.document.y > MARGIN) this.document.addPage()
    this.document.outline.addItem(bookmark)
    this.section = this.document.struct('Sect')
    this.root.add(this.section)
  }

  heading(level: 1 | 2, text: string): void {
    const [size, before] = level === 1 ? [24, 0] : [13, 10]
    this.room(size + 40)
    this.document.y += before
    this.say(`H${level}`, text, level === 1 ? 'title' : 'bold', size)
    this.document.y += level === 1 ? 2 : 3
  }

  text(
    text: string,
    { size = 10, face = 'text', width = this.width }: { size?: number; face?: Face; width?: number } = {},
  ): void {
    this.room(this.faces.heightOf(text, face, size, width))
    this.say('P', text, face, size, width)
  }

  /** Inside of something that is drawn: what it says is told with it. */
  write(text: string, face: Face, size: number, x: number, y: number, width: number): void {
    this.faces.write(text, face, size, x, y, width)
  }

  /** A rule across the page. */
  rule(weight = 2): void {
    this.room(12)
    this.artifact(() => {
      const { y } = this.document
      this.document
        .moveTo(MARGIN, y)
        .lineTo(MARGIN + this.width, y)
        .lineWidth(weight)
        .stroke(INK)
    })
    this.document.y += 8
  }

  /** Something drawn, told in words. */
  figure(told: string, height: number, draw: (document: PDFKit.PDFDocument, x: number, y: number) => void): void {
    this.room(height)
    const { y } = this.document
    this.tagged('Figure', { alt: told }, () => draw(this.document, MARGIN, y))
    this.document.x = MARGIN
    this.document.y = y + height
  }

  /** A table whose head stands again on every page that it goes on to. */
  table(columns: readonly Column[], rows: readonly Row[], size = 9): void {
    const whole = columns.reduce((sum, { share }) => sum + share, 0)
    const widths = columns.map(({ share }) => (share / whole) * this.width)
    const table = this.document.struct('Table')
    this.section.add(table)
    const head: Row = { cells: columns.map(({ title }) => ({ text: title, bold: true })) }
    const headHeight = this.heightOf(head, widths, size)
    this.room(headHeight + (rows[0] ? this.heightOf(rows[0], widths, size) : 0))
    this.row(table, 'TH', head, widths, size, 1.5)
    for (const row of rows) {
      if (this.document.y + this.heightOf(row, widths, size) > this.bottom) {
        this.document.addPage()
        this.artifact(() => this.drawRow(head, widths, size, 1.5))
      }
      this.row(table, 'TD', row, widths, size, 0.5)
    }
    table.end()
    this.document.x = MARGIN
    this.document.y += 6
  }

  /** The same, or words where there are no rows. */
  tableOr(none: string, columns: readonly Column[], rows: readonly Row[], size?: number): void {
    if (rows.length === 0) this.text(none)
    else this.table(columns, rows, size)
  }

  /** The document, with the foot of every page. */
  finished(): Promise<Buffer> {
    const { count } = this.document.bufferedPageRange()
    for (let page = 0; page < count; page++) {
      this.document.switchToPage(page)
      this.artifact(() => this.drawFoot(page + 1, count))
    }
    this.root.end()
    return finished(this.document)
  }

  private get bottom(): number {
    return this.document.page.height - MARGIN - FOOT
  }

  private room(height: number): void {
    if (this.document.y + height > this.bottom) this.document.addPage()
  }

  private say(tag: string, text: string, face: Face, size: number, width = this.width): void {
    this.tagged(tag, {}, () => this.faces.write(text, face, size, MARGIN, this.document.y, width))
    this.document.x = MARGIN
  }

  private tagged(tag: string, options: { alt?: string }, draw: () => void): void {
    const element = this.document.struct(tag, options, draw)
    this.section.add(element)
    element.end()
  }

  /** What is drawn and says nothing of its own. */
  private artifact(draw: () => void): void {
    this.document.markContent('Artifact', { type: 'Layout' })
    draw()
    this.document.endMarkedContent()
  }

  private row(
    table: PDFKit.PDFStructureElement,
    tag: 'TH' | 'TD',
    row: Row,
    widths: readonly number[],
    size: number,
    line: number,
  ): void {
    const element = this.document.struct('TR')
    table.add(element)
    // The library knows this option; its types do not name it yet.
    const options: { alt?: string; scope?: string } = tag === 'TH' ? { scope: 'Column' } : {}
    const { y } = this.document
    let x = MARGIN
    row.cells.forEach((cell, i) => {
      const at = x
      const told = this.document.struct(tag, options, () => this.drawCell(cell, at, y, widths[i]!, size))
      element.add(told)
      told.end()
      x += widths[i]!
    })
    element.end()
    this.artifact(() => this.line(y, row, widths, size, line))
  }

  private drawRow(row: Row, widths: readonly number[], size: number, line: number): void {
    const { y } = this.document
    let x = MARGIN
    row.cells.forEach((cell, i) => {
      this.drawCell(cell, x, y, widths[i]!, size)
      x += widths[i]!
    })
    this.line(y, row, widths, size, line)
  }

  private drawCell({ text, bold, was = [], mark }: Cell, x: number, y: number, width: number, size: number): void {
    if (mark) mark(this.document, x, y + 2, size + 4)
    const left = mark ? size + 10 : 0
    let at = x + left
    for (const before of was) {
      this.faces.write(before, 'text', size, at, y + 4, width, { strike: true })
      at += this.faces.widthOf(before, 'text', size) + 4
    }
    if (text !== '') this.faces.write(text, bold ? 'bold' : 'text', size, at, y + 4, Math.max(20, width - (at - x) - 6))
  }

  private heightOf({ cells }: Row, widths: readonly number[], size: number): number {
    const heights = cells.map(({ text, bold, was = [], mark }, i) => {
      const taken = was.reduce((sum, each) => sum + this.faces.widthOf(each, 'text', size) + 4, mark ? size + 10 : 0)
      return this.faces.heightOf(text, bold ? 'bold' : 'text', size, Math.max(20, widths[i]! - taken - 6))
    })
    return Math.max(size + 4, ...heights) + 6
  }

  private line(y: number, row: Row, widths: readonly number[], size: number, weight: number): void {
    const bottom = y + this.heightOf(row, widths, size)
    this.document.lineWidth(row.waits ? 1.2 : weight)
    if (row.waits) this.document.dash(1.5, { space: 2 })
    this.document.moveTo(MARGIN, bottom - 1).lineTo(MARGIN + this.width, bottom - 1)
    this.document.stroke(row.waits || weight > 1 ? INK : GREY).undash()
    this.document.y = bottom
  }

  private drawFoot(page: number, pages: number): void {
    const y = this.document.page.height - MARGIN - 12
    const [left, right] = this.titled.foot(page, pages)
    this.document
      .moveTo(MARGIN, y - 6)
      .lineTo(MARGIN + this.width, y - 6)
      .lineWidth(0.8)
      .stroke(INK)
    // Under the margin nothing begins a new page.
    const margins = { ...this.document.page.margins }
    this.document.page.margins.bottom = 0
    this.faces.write(left, 'text', 8.5, MARGIN, y, this.width)
    this.faces.write(right, 'text', 8.5, MARGIN, y, this.width, { right: true })
    this.document.page.margins = margins
  }
}
