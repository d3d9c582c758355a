import { createRequire } from 'node:module'
import { Resvg } from '@resvg/resvg-js'
import { PDFDocument as Assembled } from 'pdf-lib'
import PDFDocument from 'pdfkit'
import svgToPdf from 'svg-to-pdfkit'
import { FONT, type Size } from './labelArt'
import { PAPERS, type Paper } from './papers'

const POINTS = 72 / 25.4
const files = createRequire(__filename)
const REGULAR = files.resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf')
const BOLD = files.resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf')

/** Labels on paper, in the order given, as PDF; each is drawn once, however many copies there are of it. */
export async function labelSheet(art: readonly string[], copies: number, paper: Paper): Promise<Uint8Array> {
  const { page, label, across, down } = PAPERS[paper]
  const sheet = await Assembled.create()
  sheet.setTitle('Labels')
  sheet.setProducer('Logged Thermal')
  const distinct = [...new Set(art)]
  const pages = await sheet.embedPdf(
    await drawing(distinct, label),
    distinct.map((_, i) => i),
  )
  const drawn = art.map((svg) => pages[distinct.indexOf(svg)]!)
  const left = (page.width - across * label.width) / 2
  const top = (page.height - down * label.height) / 2
  const places = across * down
  for (let i = 0; i < drawn.length * copies; i++) {
    const at = i % places
    if (at === 0) sheet.addPage([page.width * POINTS, page.height * POINTS])
    // The origin of a page is its lower left corner.
    sheet.getPage(sheet.getPageCount() - 1).drawPage(drawn[Math.floor(i / copies)]!, {
      x: (left + (at % across) * label.width) * POINTS,
      y: (page.height - top - (Math.floor(at / across) + 1) * label.height) * POINTS,
    })
  }
  return sheet.save()
}

/** A page for each label, of its size. */
function drawing(art: readonly string[], { width, height }: Size): Promise<Buffer> {
  const document = new PDFDocument({ autoFirstPage: false })
  document.registerFont('regular', REGULAR)
  document.registerFont('bold', BOLD)
  for (const svg of art) {
    document.addPage({ size: [width * POINTS, height * POINTS], margin: 0 })
    svgToPdf(document, svg, 0, 0, {
      width: width * POINTS,
      height: height * POINTS,
      fontCallback: (_family, bold) => (bold ? 'bold' : 'regular'),
    })
  }
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
