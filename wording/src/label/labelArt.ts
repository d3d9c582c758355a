import { create } from 'qrcode'
import { dayOf, itemWalls, type ItemState } from '@logged-thermal/core'
import { dayName, timeOfDay, type Reader } from '../figures'
import { daysWord, heatStatusWord, measureWords } from '../storeWords'
import type { LabelFacts } from './labelFacts'

/** A label's size, mm. */
export interface Size {
  width: number
  height: number
}

export const FONT = 'DejaVu Sans'

/** What has to be read is set no smaller than 8 points, in tenths of a millimetre, and is never cut. */
const WHOLE = 28.3
const LEADING = 1.28
const EDGE = 24
const TOP = 10

/** A paragraph of a label: whole, or as large as there is room for. */
interface Paragraph {
  text: string
  size: number
  bold: boolean
}

/**
 * A label as drawings: black on white, the date largest, in words and in figures. Allergens, storage and every note to the
 * guest are whole on it, at 8 points or more; what one label has no room for stands on the next, which has the same date.
 */
export function labelArt(facts: LabelFacts, size: Size): string[] {
  const { item, reader, initials, kitchen, storage, advisory, fruitNote, mayContain, ingredients, alcohol } = facts
  const made = `${item.code} · made ${dayName(dayOf(item.made, reader.zone), reader)} ${timeOfDay(item.made, reader)} · ${initials}`
  const ready =
    item.ready === null
      ? ''
      : `ready ${dayName(dayOf(item.ready, reader.zone), reader)} ${timeOfDay(item.ready, reader)} · `
  const { allergens, unknown } = item.facts
  // Where somebody's allergens are not known, none is said to be missing.
  const known = ingredients ? '' : allergens.join(', ') || (unknown.length ? '' : 'no named allergen')
  const named = [known, unknown.length ? `allergens not known: ${unknown.join(', ')}` : ''].filter(Boolean).join(' · ')
  const notes = [item.facts.advisory ? advisory : '', item.facts.untreatedFruit ? fruitNote : '', alcohol].filter(
    Boolean,
  )
  const whole = [ingredients, named, mayContain, storage, ...notes]
    .filter(Boolean)
    .map((text): Paragraph => ({ text, size: WHOLE, bold: text === named || text === mayContain }))
  const beside: Paragraph[] = [
    { text: made, size: 22, bold: false },
    {
      text: `${ready}${heatStatusWord(item.facts.heat, reader)} · ${measureWords(item.measure, reader)}`,
      size: 20,
      bold: false,
    },
    { text: kitchen, size: 16, bold: false },
  ].filter(({ text }) => text !== '')
  const frame = frameOf(size)
  const name: Paragraph = { text: item.name, size: 34, bold: true }
  // Together on one label where that has room, at first with all that is good to know, then with less and less of it.
  for (const scale of [1, 0.85, 0.7])
    for (let most = beside.length; most > 0; most--) {
      const less = beside.slice(0, most).map((each) => ({ ...each, size: each.size * scale }))
      const [first, ...others] = less
      const lines = placed([{ ...name, size: name.size * scale }, first!, ...whole, ...others], frame)
      if (lines.at(-1)!.y <= frame.bottom) return [drawn(lines, facts, size)]
    }
  return overLabels(name, beside[0]!, whole, frame).map((lines, i) => drawn(lines, facts, size, i === 0))
}

interface Frame {
  width: number
  /** Of the square code, at the right above; 0: it is on another label. */
  code: number
  bar: number
  /** No line stands under it. */
  bottom: number
}

/** Where on a label there is room, in tenths of a millimetre. */
function frameOf({ width, height }: Size): Frame {
  const [w, h] = [width * 10, height * 10]
  const bar = Math.round(h * 0.24)
  return { width: w, bar, code: Math.min(h - bar - 36, Math.round(w * 0.25)), bottom: h - bar - 8 }
}

interface Line extends Paragraph {
  y: number
}

/** Lines under each other, as wide as there is room: beside the code first, under it over the whole label. */
function placed(paragraphs: readonly Paragraph[], { width, code }: Frame, from = TOP): Line[] {
  const lines: Line[] = []
  let y = from
  for (const { text, size, bold } of paragraphs) {
    let words = wordsOf(text)
    while (words.length > 0) {
      y += size * LEADING
      const isBeside = code > 0 && y - size < code + 30
      const room = isBeside ? width - code - EDGE * 2 - 18 : width - EDGE * 2
      const most = Math.max(1, Math.floor(room / (size * (bold ? BOLD_LETTER : LETTER))))
      const fits = wordsThatFit(words, most)
      lines.push({ text: words.slice(0, fits).join(' '), size, bold, y })
      words = words.slice(fits)
    }
  }
  return lines
}

/** Words, and pieces of one that no line has room for. */
function wordsOf(text: string): string[] {
  return text.split(' ').flatMap((word) => word.match(/.{1,20}/gu) ?? [])
}

/** How many words one line has room for, one at least. */
function wordsThatFit(words: readonly string[], letters: number): number {
  let length = -1
  const over = words.findIndex((word) => (length += word.length + 1) > letters)
  return over < 0 ? words.length : Math.max(1, over)
}

/**
 * What has to be whole, on as many labels as it needs: each with the name, when it was made, and how many there are; the
 * code is on the first. A paragraph is broken only where no label has room for it alone.
 */
function overLabels(name: Paragraph, made: Paragraph, whole: readonly Paragraph[], frame: Frame): Line[][] {
  const labels: Line[][] = []
  let rest: Paragraph[] = [...whole]
  while (rest.length > 0) {
    const own = labels.length === 0 ? frame : { ...frame, code: 0 }
    const head = placed(
      [
        { ...name, size: 26 },
        { ...made, size: 20 },
      ],
      own,
    )
    const top = head.at(-1)!.y
    const last = own.bottom - WHOLE
    const linesOf = (paragraphs: readonly Paragraph[]) => placed(paragraphs, own, top)
    const fit = rest.findIndex((_, i) => linesOf(rest.slice(0, i + 1)).at(-1)!.y > last)
    const lines =
      fit < 0 ? linesOf(rest) : fit > 0 ? linesOf(rest.slice(0, fit)) : linesOf(rest).filter(({ y }) => y <= last)
    labels.push([...head, ...lines])
    rest = remaining(rest, lines)
  }
  return labels.map((lines, i) => [
    ...lines,
    { text: `label ${i + 1} of ${labels.length}`, size: 20, bold: true, y: frame.bottom },
  ])
}

/** What of the paragraphs those lines do not hold yet. */
function remaining(paragraphs: readonly Paragraph[], lines: readonly Line[]): Paragraph[] {
  let words = lines.reduce((sum, { text }) => sum + wordsOf(text).length, 0)
  return paragraphs.flatMap((each) => {
    const all = wordsOf(each.text)
    const left = all.slice(words)
    words = Math.max(0, words - all.length)
    return left.length > 0 ? [{ ...each, text: left.join(' ') }] : []
  })
}

function drawn(
  lines: readonly Line[],
  { item, reader, address }: LabelFacts,
  { width, height }: Size,
  coded = true,
): string {
  const { bar, code } = frameOf({ width, height })
  const [w, h] = [width * 10, height * 10]
  const texts = lines.map(({ text, size, bold, y }) => line(text, EDGE, y, size, bold))
  const { small, big } = dateOf(item, reader)
  const date = fit(big, bar * 0.5, w - 72, true)
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h}" width="${width}mm" height="${height}mm">
<rect width="${w}" height="${h}" fill="#fff"/>
${texts.join('\n')}
${coded ? `<g transform="translate(${w - code - EDGE} 20)">${squares(address, code)}</g>` : ''}
<rect y="${h - bar}" width="${w}" height="${bar}" fill="#000"/>
<rect x="${w - 20}" y="${h - bar + 8}" width="5" height="${bar - 16}" fill="#fff"/>
<rect x="${w - 11}" y="${h - bar + 8}" width="5" height="${bar - 16}" fill="#fff"/>
${line(small, EDGE, h - bar * 0.68, bar * 0.22, false, '#fff')}
${line(date.text, EDGE, h - bar * 0.17, date.size, true, '#fff')}
</svg>`
}

/** 'bin at the end of' and the day in words and figures; a frozen one says how many days are left. */
function dateOf(item: ItemState, reader: Reader): { small: string; big: string } {
  const { zone } = reader
  const [wall] = itemWalls(item, zone)
  if (!wall) return { small: 'no date:', big: 'DISCARD' }
  if (wall.lastDay === null) return { small: 'frozen, once thawed', big: daysWord(wall.daysLeft ?? 0, reader) }
  return wall.keep?.what === 'hours' && wall.until !== null
    ? { small: 'bin at', big: `${timeOfDay(wall.until, reader)} ${dayName(dayOf(wall.until, zone), reader)}` }
    : { small: 'bin at the end of', big: `${dayName(wall.lastDay, reader)} ${wall.lastDay.slice(0, 4)}` }
}

function squares(address: string, size: number): string {
  const { modules } = create(address, { errorCorrectionLevel: 'M' })
  const one = size / modules.size
  const dark = Array.from({ length: modules.size * modules.size }, (_, i) => i).filter((i) => modules.data[i])
  const path = dark.map((i) => {
    const [x, y] = [(i % modules.size) * one, Math.floor(i / modules.size) * one]
    return `M${x.toFixed(2)} ${y.toFixed(2)}h${one.toFixed(2)}v${one.toFixed(2)}h-${one.toFixed(2)}z`
  })
  return `<path d="${path.join('')}" fill="#000" shape-rendering="crispEdges"/>`
}

function line(text: string, x: number, y: number, size: number, bold: boolean, fill = '#000'): string {
  const weight = bold ? ' font-weight="bold"' : ''
  return `<text x="${x}" y="${y.toFixed(1)}" font-family="${FONT}" font-size="${size.toFixed(1)}"${weight} fill="${fill}">${escaped(text)}</text>`
}

/** Letters are about so wide, of their size. */
const LETTER = 0.6
const BOLD_LETTER = 0.69

/** A date that does not fit gets smaller. */
function fit(text: string, size: number, room: number, bold: boolean): { text: string; size: number } {
  const letter = bold ? BOLD_LETTER : LETTER
  const wide = text.length * letter * size
  if (wide <= room) return { text, size }
  const smaller = Math.max(size * 0.6, (size * room) / wide)
  const most = Math.floor(room / (letter * smaller))
  return { text: text.length <= most ? text : `${text.slice(0, most - 1)}…`, size: smaller }
}

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)
}
