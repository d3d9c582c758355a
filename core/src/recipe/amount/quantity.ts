/** How many: one number, or from one to another. */
export interface Quantity {
  from: number
  to: number
}

const FRACTIONS: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
const WORDS: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  half: 0.5,
  quarter: 0.25,
}

const SIGNS = Object.keys(FRACTIONS).join('')
const PLAIN = String.raw`\d+(?:[.,]\d+)*`
/** 1½ · 1 1/2 · 3/4 · ½ · 1.5 · 1,5 */
const NUMBER = String.raw`(?:${PLAIN}\s*[${SIGNS}]|${PLAIN}[\s-]+\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|[${SIGNS}]|${PLAIN})`
const RANGE = new RegExp(String.raw`^(${NUMBER})(?:\s*(?:-|–|—|to|or)\s*(${NUMBER}))?(?![\d/⁄])`, 'i')
const SPOKEN = new RegExp(
  String.raw`^(?:a\s+(?=half|quarter|dozen))?((?:${Object.keys(WORDS).join('|')})(?:\s+(?:and\s+a\s+half|a|an|of\s+an?|dozen))?)\b`,
  'i',
)

/** The number at the beginning of a text, in digits, fractions or words, and what follows it; null where there is none. */
export function quantityAhead(text: string): { quantity: Quantity; rest: string } | null {
  const trimmed = text.trimStart()
  const digits = RANGE.exec(trimmed)
  if (digits) {
    const from = numberOf(digits[1]!)
    const to = digits[2] === undefined ? from : numberOf(digits[2])
    if (from === null || to === null) return null
    return {
      quantity: to < from ? { from, to: from } : { from, to },
      rest: trimmed
        .slice(digits[0].length)
        .replace(/^-(?=[a-z])/i, '')
        .trimStart(),
    }
  }
  const spoken = SPOKEN.exec(trimmed)
  if (!spoken) return null
  const [first = '', ...others] = spoken[1]!.toLowerCase().split(/\s+/)
  const base = WORDS[first]!
  const said = others.join(' ')
  const value = said === 'dozen' ? base * 12 : said === 'and a half' ? base + 0.5 : base
  return { quantity: { from: value, to: value }, rest: trimmed.slice(spoken[0].length).trimStart() }
}

function numberOf(text: string): number | null {
  const sign = text.at(-1)!
  if (sign in FRACTIONS) {
    const whole = text.slice(0, -1).trim()
    const before = whole === '' ? 0 : plain(whole)
    return before === null ? null : before + FRACTIONS[sign]!
  }
  const fraction = /^(?:(\S+)[\s-]+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(text)
  if (!fraction) return plain(text)
  const [, whole, above, below] = fraction
  const before = whole === undefined ? 0 : plain(whole)
  return before === null || Number(below) === 0 ? null : before + Number(above) / Number(below)
}

/** "1,000" is a thousand, as nobody writes three zeros after a decimal comma; "1,5" is one and a half. */
function plain(text: string): number | null {
  const value = Number(/^\d{1,3}(,\d{3})+(\.\d+)?$/.test(text) ? text.replaceAll(',', '') : text.replace(',', '.'))
  return Number.isFinite(value) ? value : null
}
