import { frameOf, gateAt, levelsOf, mixtureTrace, yOf, type BatchState, type Finding } from '@logged-thermal/core'
import { limitDegreesOf, timeOfDay, type Reader } from '@logged-thermal/wording'
import { INK } from './paper'

const FOOT = 14
const RIM = 12

/** A batch on one clock in black alone: what was read, its gates, and dashed what nobody read. */
export function drawTrace(
  document: PDFKit.PDFDocument,
  batch: BatchState,
  findings: readonly Finding[],
  now: number,
  place: { x: number; y: number; width: number; height: number },
  reader: Reader,
): void {
  const trace = mixtureTrace(batch)
  const gates = findings.flatMap((finding) => {
    const gate = gateAt(finding, trace, now)
    return gate ? [{ ...gate, standing: finding.standing }] : []
  })
  const frame = frameOf('making', trace, gates, levelsOf(findings, gates), batch.startedAt, null)
  const floor = place.height - FOOT - RIM
  const x = (at: number) => place.x + ((at - frame.from) / (frame.to - frame.from)) * place.width
  const y = (celsius: number) => place.y + RIM + yOf(celsius, frame, floor)
  const bottom = place.y + RIM + floor
  const inside = trace.filter(({ at }) => at >= frame.from && at <= frame.to)
  document.save().fontSize(7).fillColor(INK)
  let above = -Infinity
  for (const level of frame.levels) {
    document
      .moveTo(place.x, y(level))
      .lineTo(place.x + place.width, y(level))
      .lineWidth(0.4)
      .dash(1, { space: 2 })
    document.stroke('#777777').undash()
    if (y(level) - above < 9) continue
    above = y(level)
    document.text(limitDegreesOf(level, reader), place.x, above - 8, { lineBreak: false })
  }
  const [first, last] = [inside[0], inside.at(-1)]
  if (first && last) {
    document.moveTo(x(first.at), bottom)
    for (const { at, celsius } of inside) document.lineTo(x(at), y(celsius))
    document.lineTo(x(last.at), bottom).closePath().fillOpacity(0.16).fill(INK).fillOpacity(1)
    document.moveTo(x(first.at), y(first.celsius))
    for (const { at, celsius } of inside) document.lineTo(x(at), y(celsius))
    document.lineWidth(1.2).stroke(INK)
  }
  for (const { because, standing } of findings)
    if (standing === 'unproven' && because.code === 'somewhere between' && because.from !== null) {
      document
        .rect(x(because.from), place.y + RIM, Math.max(1, x(because.to) - x(because.from)), floor)
        .dash(2, { space: 2 })
      document.lineWidth(1).fillAndStroke('#ffffff', INK).undash()
    }
  for (const { at, celsius, kind, standing } of gates) {
    const under = kind === 'be under'
    const [gx, gy] = [x(at), y(celsius)]
    if (under)
      document
        .moveTo(gx - 7, place.y + RIM)
        .lineTo(gx + 7, place.y + RIM)
        .lineTo(gx + 1.5, gy)
        .lineTo(gx - 1.5, gy)
        .closePath()
    else
      document
        .moveTo(gx - 5, gy)
        .lineTo(gx + 5, gy)
        .lineTo(gx + 2, bottom)
        .lineTo(gx - 2, bottom)
        .closePath()
    document.lineWidth(1)
    if (standing === 'unproven') document.dash(2, { space: 1.5 }).stroke(INK).undash()
    else if (standing === 'open') document.stroke(INK)
    else document.fill(INK)
  }
  for (const { at, celsius, doubts } of inside) {
    document.circle(x(at), y(celsius), 2.4).lineWidth(1)
    if (doubts.length) document.fillAndStroke('#ffffff', INK)
    else document.fill(INK)
  }
  let named = -Infinity
  document.fillColor(INK)
  for (const { at } of inside) {
    if (x(at) - named < 30) continue
    named = x(at)
    document.text(timeOfDay(at, reader), x(at) - 10, bottom + 3, { lineBreak: false })
  }
  document.restore()
}
