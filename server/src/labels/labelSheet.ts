import { Resvg } from '@resvg/resvg-js'
import { FONT, PAPERS, type Paper, type Size } from '@logged-thermal/wording'
import { PDFDocument as Assembled } from 'pdf-lib'
import PDFDocument from 'pdfkit'
import { BOLD, finished, REGULAR } from './pdfPaper'
import svgToPdf from 'svg-to-pdfkit'

const POINTS = 72 / 25.4

/**
 * Labels on paper, in the order given, as PDF; each is drawn once, however many copies there are of it.
 * @param sets what belongs to one item stays together: mostly one label, sometimes one that goes on
 */
export async function labelSheet(
  sets: readonly (readonly string[])[],
  copies: number,
  paper: Paper,
): Promise<Uint8Array> {
  const { page, label, across, down } = PAPERS[paper]
  const sheet = await Assembled.create()
  sheet.setTitle('Labels')
  sheet.setProducer('Logged Thermal')
  const art = sets.flatMap((set) => Array.from({ length: copies }, () => set).flat())
  const distinct = [...new Set(art)]
  const pages = await sheet.embedPdf(
    await drawing(distinct, label),
    distinct.map((_, i) => i),
  )
  const drawn = art.map((svg) => pages[distinct.indexOf(svg)]!)
  const left = (page.width - across * label.width) / 2
  const top = (page.height - down * label.height) / 2
  const places = across * down
  for (let i = 0; i < drawn.length; i++) {
    const at = i % places
    if (at === 0) sheet.addPage([page.width * POINTS, page.height * POINTS])
    // The origin of a page is its lower left corner.
    sheet.getPage(sheet.getPageCount() - 1).drawPage(drawn[i]!, {
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
  return finished(document)
}

/** The labels of one item as a picture, under each other, at 12 dots a millimetre. */
export function labelPicture(art: readonly string[], { width, height }: Size): Buffer {
  const font = { fontFiles: [REGULAR, BOLD], loadSystemFonts: false, defaultFontFamily: FONT }
  const [w, h] = [width * 10, height * 10]
  const under = art.map(
    (svg, i) =>
      `<svg y="${i * h}" width="${w}" height="${h}"${svg.slice(svg.indexOf(' viewBox'), svg.indexOf(' width="'))}>${svg.slice(svg.indexOf('>') + 1)}`,
  )
  const all = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h * art.length}">${under.join('')}</svg>`
  return new Resvg(all, { fitTo: { mode: 'width', value: Math.round(width * 12) }, font }).render().asPng()
}
