import { create } from 'qrcode'
import { dayOf, itemWalls, type ItemState, type Level } from '@logged-thermal/core'
import { timeOfDay, dayName, heatStatusWord, levelDegrees, measureWords, type Reader } from '@logged-thermal/wording'

/** What stands on a label beside the item itself. */
export interface LabelFacts {
  item: ItemState
  /** Where the code leads. */
  address: string
  initials: string
  /** Whose it is: the kitchen’s name, and its address where the lead gave one. */
  kitchen: string
  /** How cold it is kept, as the kitchen's limit says: '4° or under'. */
  storage: string
  advisory: string
  /** Of frozen fruit that nobody treated. */
  fruitNote: string
  reader: Reader
}

/** A label's size, mm. */
export interface Size {
  width: number
  height: number
}

export const FONT = 'DejaVu Sans'

/** One label as a drawing: black on white, the date largest, in words and in figures. */
export function labelArt(facts: LabelFacts, { width, height }: Size): string {
  const { item, reader, initials, kitchen, storage, advisory, fruitNote } = facts
  const [w, h] = [width * 10, height * 10]
  const bar = Math.round(h * 0.3)
  const code = Math.min(h - bar - 36, Math.round(w * 0.27))
  const room = w - code - 66
  const made = `${item.code} · made ${dayName(dayOf(item.made, reader.zone), reader)} ${timeOfDay(item.made, reader)} · ${initials}`
  const ready =
    item.ready === null
      ? ''
      : `ready ${dayName(dayOf(item.ready, reader.zone), reader)} ${timeOfDay(item.ready, reader)} · `
  const allergens = item.facts.allergens.length ? item.facts.allergens.join(', ') : 'no named allergen'
  const unknown = item.facts.unknown.length ? ` · unknown: ${item.facts.unknown.join(', ')}` : ''
  const letters = (size: number, bold: boolean) => Math.floor(room / (size * (bold ? BOLD_LETTER : LETTER)))
  const lines: [text: string, size: number, bold: boolean][] = [
    ...wrapped(item.name, letters(34, true)).map((text): [string, number, boolean] => [text, 34, true]),
    [made, 22, false],
    ...wrapped(allergens + unknown, letters(22, true)).map((text): [string, number, boolean] => [text, 22, true]),
    [`${ready}${storage}`, 20, false],
    [`${heatStatusWord(item.facts.heat, reader)} · ${measureWords(item.measure, reader)}`, 20, false],
    ...[item.facts.advisory ? advisory : '', item.facts.untreatedFruit ? fruitNote : '']
      .filter(Boolean)
      .flatMap((note) => wrapped(note, letters(18, true)).map((text): [string, number, boolean] => [text, 18, true])),
    ...wrapped(kitchen, letters(16, false)).map((text): [string, number, boolean] => [text, 16, false]),
  ]
  const scale = Math.min(1.25, (h - bar - 24) / lines.reduce((sum, [, size]) => sum + size * 1.3, 0))
  let y = 10
  const texts = lines.map(([text, size, bold]) => {
    const fitted = fit(text, size * scale, room, bold)
    y += size * 1.28 * scale
    return line(fitted.text, 24, y, fitted.size, bold)
  })
  const { small, big } = dateOf(item, reader)
  const date = fit(big, bar * 0.5, w - 72, true)
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h}" width="${width}mm" height="${height}mm">
<rect width="${w}" height="${h}" fill="#fff"/>
${texts.join('\n')}
<g transform="translate(${w - code - 24} 20)">${squares(facts.address, code)}</g>
<rect y="${h - bar}" width="${w}" height="${bar}" fill="#000"/>
<rect x="${w - 20}" y="${h - bar + 8}" width="5" height="${bar - 16}" fill="#fff"/>
<rect x="${w - 11}" y="${h - bar + 8}" width="5" height="${bar - 16}" fill="#fff"/>
${line(small, 24, h - bar * 0.68, bar * 0.22, false, '#fff')}
${line(date.text, 24, h - bar * 0.17, date.size, true, '#fff')}
</svg>`
}

/** 'bin at the end of' and the day in words and figures; a frozen one says how many days are left. */
function dateOf(item: ItemState, reader: Reader): { small: string; big: string } {
  const { zone } = reader
  const [wall] = itemWalls(item, zone)
  if (!wall) return { small: 'no date:', big: 'DISCARD' }
  if (wall.lastDay === null) return { small: 'frozen, once thawed', big: `${wall.daysLeft} days` }
  return wall.keep?.what === 'hours' && wall.until !== null
    ? { small: 'bin at', big: `${timeOfDay(wall.until, reader)} ${dayName(dayOf(wall.until, zone), reader)}` }
    : { small: 'bin at the end of', big: `${dayName(wall.lastDay, reader)} ${wall.lastDay.slice(0, 4)}` }
}

/** How cold it is kept, for the label. */
export function storageWords(level: Level | null, reader: Reader): string {
  return level === null ? 'keep dry' : `keep at ${levelDegrees(level, reader)}${reader.scale} or under`
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

/** Words on lines of so many letters, three at most: the last holds what is left. */
function wrapped(text: string, most: number): string[] {
  const lines: string[] = []
  for (const word of text.split(' ')) {
    const last = lines.at(-1)
    if (last !== undefined && (last.length + 1 + word.length <= most || lines.length === 3))
      lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  return lines
}

/** What does not fit gets smaller, then shorter. */
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
