import type { Standing } from '@logged-thermal/core'
import { INK } from './paper'

type Draw = (document: PDFKit.PDFDocument, x: number, y: number, size: number) => void

/** How a batch or a limit stands, as a mark that is told apart without colour. */
export const standingMark =
  (standing: Standing): Draw =>
  (document, x, y, size) => {
    const at = (share: number) => share * size
    document.save().translate(x, y).lineWidth(1.2)
    switch (standing) {
      case 'proven':
        document.circle(at(0.5), at(0.5), at(0.46)).fill(INK)
        document.lineWidth(at(0.12)).moveTo(at(0.27), at(0.52)).lineTo(at(0.44), at(0.68)).lineTo(at(0.74), at(0.33))
        document.stroke('#ffffff')
        break
      case 'missed':
        document.rect(at(0.06), at(0.06), at(0.88), at(0.88)).fill(INK)
        document.lineWidth(at(0.13)).moveTo(at(0.28), at(0.28)).lineTo(at(0.72), at(0.72))
        document.moveTo(at(0.72), at(0.28)).lineTo(at(0.28), at(0.72)).stroke('#ffffff')
        break
      case 'unproven':
        document.moveTo(at(0.5), 0).lineTo(at(1), at(0.5)).lineTo(at(0.5), at(1)).lineTo(0, at(0.5)).closePath()
        document.dash(1.6, { space: 1.2 }).stroke(INK).undash()
        document.moveTo(at(0.38), at(0.4)).bezierCurveTo(at(0.38), at(0.2), at(0.64), at(0.22), at(0.62), at(0.4))
        document.bezierCurveTo(at(0.6), at(0.5), at(0.5), at(0.5), at(0.5), at(0.6)).stroke(INK)
        document.circle(at(0.5), at(0.74), at(0.05)).fill(INK)
        break
      case 'open':
        document.circle(at(0.5), at(0.5), at(0.42)).stroke(INK)
        break
    }
    document.restore()
  }

/** Of a reading: what proves a limit is ringed, what waits is a hollow diamond. */
export const readingMark =
  (mark: 'proves' | 'waits' | 'taken back' | null): Draw =>
  (document, x, y, size) => {
    const [cx, cy] = [x + size / 2, y + size / 2]
    document.save().lineWidth(1.3)
    if (mark === 'proves') {
      document.circle(cx, cy, size * 0.4).stroke(INK)
      document.circle(cx, cy, size * 0.17).fill(INK)
    } else if (mark === 'waits') {
      const half = size * 0.42
      document
        .moveTo(cx, cy - half)
        .lineTo(cx + half, cy)
        .lineTo(cx, cy + half)
        .lineTo(cx - half, cy)
        .closePath()
      document.stroke(INK)
    }
    document.restore()
  }
