/** What is written otherwise in America than in Britain, as far as the catalogue says it; a word begins so. */
const AMERICAN: readonly [british: string, american: string][] = [
  ['aluminium', 'aluminum'],
  ['cancelled', 'canceled'],
  ['centre', 'center'],
  ['colour', 'color'],
  ['flavour', 'flavor'],
  ['grey', 'gray'],
  ['icing sugar', 'powdered sugar'],
  ['labelled', 'labeled'],
  ['mould', 'mold'],
  ['odour', 'odor'],
  ['practise', 'practice'],
]
const BEGUN_SO = new RegExp(`\\b(${AMERICAN.map(([british]) => british).join('|')})`, 'gi')
/** Also of what is a thousandth of one. */
const MEASURES = /(lit|met)re(?=s?\b)/gi
const known = new Map<string, string>()

/** A text as it is written in America. */
export function american(text: string): string {
  let written = known.get(text)
  if (written === undefined) {
    written = text
      .replace(BEGUN_SO, (word) => likeCase(word, AMERICAN.find(([british]) => british === word.toLowerCase())![1]))
      .replace(MEASURES, (word) => `${word.slice(0, 3)}${word.endsWith('RE') ? 'ER' : 'er'}`)
    known.set(text, written)
  }
  return written
}

function likeCase(word: string, other: string): string {
  return /^[A-Z]/.test(word) ? `${other[0]!.toUpperCase()}${other.slice(1)}` : other
}
