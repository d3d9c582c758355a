import { day } from '../kit/tokens'

/** How everything on a trace is drawn: light on dark glass, the same by day and by night. */
export const GLASS = day['on-glass']
export const QUIET = day['on-glass2']
export const GRID = day.glass2
export const DARK = day.glass

/** Nobody read here: 45 degree lines in the colour last read. */
export function hatch(
  ctx: CanvasRenderingContext2D,
  from: number,
  top: number,
  to: number,
  bottom: number,
  colour: string,
): void {
  ctx.save()
  ctx.beginPath()
  ctx.rect(from, top, to - from, bottom - top)
  ctx.clip()
  for (let offset = from - (bottom - top); offset < to; offset += 8)
    line(ctx, offset, bottom, offset + bottom - top, top, colour, 2.4)
  ctx.restore()
}

export function line(
  ctx: CanvasRenderingContext2D,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  colour: string,
  width: number,
): void {
  ctx.strokeStyle = colour
  ctx.lineWidth = width
  ctx.beginPath()
  ctx.moveTo(x1, y1)
  ctx.lineTo(x2, y2)
  ctx.stroke()
}

export function label(
  ctx: CanvasRenderingContext2D,
  text: string,
  x: number,
  y: number,
  align: CanvasTextAlign,
  colour: string,
): void {
  ctx.textAlign = align
  ctx.lineWidth = 4
  ctx.strokeStyle = DARK
  ctx.strokeText(text, x, y)
  ctx.fillStyle = colour
  ctx.fillText(text, x, y)
}

// A canvas knows nothing of the page's fonts.
export function font(ctx: CanvasRenderingContext2D, size: number, weight: number): void {
  ctx.font = `${weight} ${size}px "Atkinson Hyperlegible Next Variable", sans-serif`
}
