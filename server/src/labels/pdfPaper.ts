import { createRequire } from 'node:module'

const files = createRequire(__filename)

/** The fonts of all that is printed, as files: they ship with the application. */
export const REGULAR = files.resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf')
export const BOLD = files.resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf')

/** A document as it is sent, once its last page is drawn. */
export function finished(document: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((done, failed) => {
    const pieces: Buffer[] = []
    document.on('data', (piece: Buffer) => pieces.push(piece))
    document.on('end', () => done(Buffer.concat(pieces)))
    document.on('error', failed)
    document.end()
  })
}
