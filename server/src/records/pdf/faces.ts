import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { BOLD, REGULAR } from '../../labels/pdfPaper'
import { openTypeOf } from './openTypeOf'

const files = createRequire(__filename)
const shipped = (file: string) => openTypeOf(readFileSync(files.resolve(`@fontsource/${file}-normal.woff`)))
const atkinson = (weight: number) =>
  shipped(`atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}`)

export type Face = 'text' | 'bold' | 'title'

/** Our own faces, which have the letters of western Europe; for all else a plain one with many more. */
const OWN: Record<Face, Buffer> = {
  text: atkinson(500),
  bold: atkinson(700),
  title: shipped('bricolage-grotesque/files/bricolage-grotesque-latin-700'),
}
const PLAIN: Record<Face, string> = { text: REGULAR, bold: BOLD, title: BOLD }

interface Font {
  hasGlyphForCodePoint(point: number): boolean
}

/** Writes text in the face that has its letters. A letter that none has stands as □. */
export class Faces {
  lacking = false
  private readonly fonts = new Map<string, Font>()

  constructor(private readonly document: PDFKit.PDFDocument) {
    for (const [face, file] of Object.entries(OWN)) document.registerFont(`own ${face}`, file)
    for (const [face, file] of Object.entries(PLAIN)) document.registerFont(`plain ${face}`, file)
  }

  write(
    text: string,
    face: Face,
    size: number,
    x: number,
    y: number,
    width: number,
    { strike = false, right = false } = {},
  ): void {
    const shown = this.choose(text, face, size)
    this.document.fillColor('#000000').text(shown, x, y, { width, strike, align: right ? 'right' : 'left' })
  }

  heightOf(text: string, face: Face, size: number, width: number): number {
    const shown = this.choose(text, face, size)
    return this.document.heightOfString(shown, { width })
  }

  widthOf(text: string, face: Face, size: number): number {
    return this.document.widthOfString(this.choose(text, face, size))
  }

  private choose(text: string, face: Face, size: number): string {
    if (this.has(`own ${face}`, text)) {
      this.document.font(`own ${face}`).fontSize(size)
      return text
    }
    const plain = `plain ${face}`
    const shown = [...text].map((letter) => (this.has(plain, letter) ? letter : '□')).join('')
    if (shown !== text) this.lacking = true
    this.document.font(plain).fontSize(size * 0.92)
    return shown
  }

  private has(name: string, text: string): boolean {
    const font = this.fonts.get(name) ?? this.load(name)
    return [...text].every((letter) => letter === '\n' || font.hasGlyphForCodePoint(letter.codePointAt(0)!))
  }

  private load(name: string): Font {
    // The library keeps the font it opened there, and tells of it in no type.
    const { font } = (this.document.font(name) as unknown as { _font: { font: Font } })._font
    this.fonts.set(name, font)
    return font
  }
}
