declare module 'svg-to-pdfkit' {
  /** Draws an SVG into a document at a place, in points. */
  export default function svgToPdf(
    document: PDFKit.PDFDocument,
    svg: string,
    x: number,
    y: number,
    options?: {
      width?: number
      height?: number
      assumePt?: boolean
      fontCallback?: (family: string, bold: boolean, italic: boolean) => string
    },
  ): void
}
