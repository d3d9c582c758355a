import { digitsOf } from '@logged-thermal/wording'
import { INK } from './paper'

/** A hash as blocks, one a byte, its high digit up and its low digit down. */
export function drawChainRibbon(
  document: PDFKit.PDFDocument,
  hash: string,
  x: number,
  y: number,
  width: number,
  height: number,
): void {
  const bytes = digitsOf(hash)
  const step = width / bytes.length
  const unit = height / 30
  bytes.forEach(([up, down], i) => {
    document.rect(x + i * step, y + (15 - up) * unit, step * 0.82, Math.max(0.6, (up + down) * unit)).fill(INK)
  })
}
