import { createRequire } from 'node:module'
import { Resvg } from '@resvg/resvg-js'
import { FONT, type Size } from './labelArt'
import PDFDocument from 'pdfkit'
import svgToPdf from 'svg-to-pdfkit'

/** Papers that labels come on. A roll has a page a label; a sheet has many. mm. */
export const PAPERS = {
  roll: {
    name: 'Roll, 62 × 40 mm',
    page: { width: 62, height: 40 },
    label: { width: 62, height: 40 },
    across: 1,
    down: 1,
  },
  a4: {
    name: 'A4 sheet, 24 of 70 × 37 mm',
    page: { width: 210, height: 297 },
    label: { width: 70, height: 37 },
    across: 3,
    down: 8,
  },
  letter: {
    name: 'Letter sheet, 10 of 4 × 2 in',
    page: { width: 215.9, height: 279.4 },
    label: { width: 101.6, height: 50.8 },
    across: 2,
    down: 5,
  },
} as const

export type Paper = keyof typeof PAPERS

const POINTS = 72 / 25.4
const files = createRequire(__filename)
const REGULAR = files.resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf')
const BOLD = files.resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf')

/** Labels on paper, in the order given, as PDF. */
export function labelSheet(art: readonly string[], paper: Paper): Promise<Buffer> {
  const { page, label, across, down } = PAPERS[paper]
  const document = new PDFDocument({ autoFirstPage: false, info: { Title: 'Labels', Producer: 'Logged Thermal' } })
  document.registerFont('regular', REGULAR)
  document.registerFont('bold', BOLD)
  const margin = { left: (page.width - across * label.width) / 2, top: (page.height - down * label.height) / 2 }
  art.forEach((svg, i) => {
    const at = i % (across * down)
    if (at === 0) document.addPage({ size: [page.width * POINTS, page.height * POINTS], margin: 0 })
    const x = (margin.left + (at % across) * label.width) * POINTS
    const y = (margin.top + Math.floor(at / across) * label.height) * POINTS
    svgToPdf(document, svg, x, y, {
      width: label.width * POINTS,
      height: label.height * POINTS,
      fontCallback: (_family, bold) => (bold ? 'bold' : 'regular'),
    })
  })
  return new Promise((done, failed) => {
    const pieces: Buffer[] = []
    document.on('data', (piece: Buffer) => pieces.push(piece))
    document.on('end', () => done(Buffer.concat(pieces)))
    document.on('error', failed)
    document.end()
  })
}

/** One label as a picture, at 12 dots a millimetre. */
export function labelPicture(svg: string, { width }: Size): Buffer {
  const font = { fontFiles: [REGULAR, BOLD], loadSystemFonts: false, defaultFontFamily: FONT }
  return new Resvg(svg, { fitTo: { mode: 'width', value: Math.round(width * 12) }, font }).render().asPng()
}
