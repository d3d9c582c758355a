import type { MeasureSystem } from '../../rules/practice'
import { amountAhead, inGrams, type AmountAhead } from '../amount/readAmount'
import { catalogue } from '../ingredient/catalogue'
import { findIngredients, isNamed } from '../ingredient/find'
import type { Ingredient } from '../ingredient/ingredient'

/** One ingredient of a pasted recipe: as it was written, and what was understood of it. */
export interface PastedMaterial {
  /** The words of the line that say it. */
  line: string
  /** What it is called there, without its amount. */
  name: string
  /** Key of the catalogue; null: nothing there is called so. */
  ingredient: string | null
  grams: number | null
  count: number | null
  /** Its amount as it was written; null: none was. */
  said: string | null
  /** Understood: name and amount are just what was written. Guessed: somebody looks at it. Left: it is not read. */
  understood: 'understood' | 'guessed' | 'left'
}

/** Every ingredient that a line names: mostly one, sometimes "4 eggs plus 2 yolks" or "zest and juice of 1 lemon". */
export function materialsIn(line: string, system: MeasureSystem): PastedMaterial[] {
  return partsOf(line, system).flatMap((part) => peeled(part, system) ?? materialOf(part, system))
}

/** "5 yolks, 100 g sugar, 1 tbsp lemon juice" and "4 eggs plus 2 yolks" name several things, each with its amount. */
function partsOf(line: string, system: MeasureSystem): string[] {
  const listed = line.split(/\s*[,;]\s+(?=(?:\d|[½¼¾⅓⅔]|a pinch|an? ))/i)
  const all = listed.length > 1 && listed.every((each) => /\d|[½¼¾⅓⅔]|pinch/.test(each)) ? listed : [line]
  return all.flatMap((each) => {
    const joined = each.split(/\s+(?:plus|and|\+)\s+(?=\d|[½¼¾⅓⅔])/i)
    // "1 cup plus 2 tablespoons sugar" is one thing: what stands before the plus is an amount alone.
    const apart = joined.length === 2 && amountAhead(joined[0]!, system)?.rest !== ''
    return apart ? joined : [each]
  })
}

/** Zest and juice come by the fruit. */
function peeled(part: string, system: MeasureSystem): PastedMaterial[] | null {
  const found =
    /(zest|rind|juice)(?:\s+(?:and|&)\s+(zest|rind|juice))?(?:\s+only)?\s+(?:of|from)\s+(.+)$/i.exec(part) ??
    /^(?<of>.+?),\s*(zest|rind|juice)(?:\s+(?:and|&)\s+(zest|rind|juice))?(?:\s+only)?$/i.exec(part)
  if (!found) return null
  const of = found.groups?.of ?? found[3]!
  const kinds = (found.groups?.of ? [found[2], found[3]] : [found[1], found[2]]).filter((kind) => kind !== undefined)
  const ahead = amountAhead(of, system)
  const fruit = (ahead?.rest ?? of)
    .replace(/s?\s*(?:,.*)?$/i, '')
    .trim()
    .toLowerCase()
  const keys = kinds.map((kind) => `${fruit}-${/juice/i.test(kind) ? 'juice' : 'zest'}`)
  if (!keys.every((key) => catalogue[key])) return null
  return keys.map((key) =>
    measured(part, part, catalogue[key]!, ahead && { ...ahead, unit: null }, 'understood', system),
  )
}

function materialOf(part: string, system: MeasureSystem): PastedMaterial {
  const { ahead, name } = amountAndName(part, system)
  const found = foodNamed(name)
  if (!found) {
    const said = ahead ? saidOf(part, ahead) : null
    return {
      line: part,
      name: bare(name),
      ingredient: null,
      grams: massOf(ahead),
      count: null,
      said,
      understood: 'left',
    }
  }
  return measured(part, bare(name), found.food, ahead, found.exact ? 'understood' : 'guessed', system)
}

function measured(
  line: string,
  name: string,
  food: Ingredient,
  ahead: AmountAhead | null,
  sure: 'understood' | 'guessed',
  system: MeasureSystem,
): PastedMaterial {
  const known = { line, name, ingredient: food.key }
  if (!ahead) return { ...known, grams: null, count: null, said: null, understood: 'guessed' }
  const said = saidOf(line, ahead)
  const reading = inGrams(ahead, food, system)
  if (reading.kind === 'unread') return { ...known, grams: null, count: null, said, understood: 'guessed' }
  // Of two readings one is proposed, as a guess: somebody says which.
  const taken = reading.kind === 'read' ? reading : reading.readings[0]!
  const bareNumber = taken.assumed.some(({ what }) => what === 'grams')
  return {
    ...known,
    grams: bareNumber ? null : taken.grams,
    count: food.egg ? taken.count : null,
    said,
    understood: reading.kind === 'read' && !bareNumber ? sure : 'guessed',
  }
}

/** Where the amount stands: before the name, behind it, or beside it in brackets; grams are believed before cups. */
function amountAndName(part: string, system: MeasureSystem): { ahead: AmountAhead | null; name: string } {
  const text = part.replace(/^(?:a\s+)?(pinch|dash|drop)\b/i, '1 $1').replace(/(?<=[a-z])\s*\/\s*(?=\d)/i, ' (')
  const first = amountAhead(text, system)
  if (first && first.rest !== '') {
    const more = /^(?:plus|\+|and)\s+/i.exec(first.rest)
    const second = more && amountAhead(first.rest.slice(more[0].length), system)
    if (second && first.unit && second.unit) return { ahead: together(first, second, system), name: second.rest }
    const aside = /^\(([^)]*)\)?\s*(.*)$/.exec(first.rest)
    if (!aside) {
      const behind = /\((\d[^)]*)\)/.exec(first.rest)
      const metric = behind && amountAhead(behind[1]!, system)
      return { ahead: isMetric(metric) ? { ...metric, rest: first.rest } : first, name: first.rest }
    }
    const beside = amountAhead(aside[1]!, system)
    return { ahead: isMetric(beside) ? { ...beside, rest: aside[2]! } : first, name: aside[2]! }
  }
  // "Sugar 200 g", "Sugar: 200 g", "Eggs 3"
  const behind = /^(.*?[^\d\s:.…|-])[\s:.…|-]+([\d½⅓⅔¼¾⅛][\d½⅓⅔¼¾⅛.,/\s-]*\s*[a-z]*\.?)$/i.exec(text)
  const after = behind && amountAhead(behind[2]!, system)
  return after ? { ahead: after, name: behind[1]! } : { ahead: first, name: text }
}

function isMetric(ahead: AmountAhead | null): ahead is AmountAhead {
  return ahead !== null && ['g', 'kg', 'ml', 'cl', 'dl', 'l'].includes(ahead.unit ?? '')
}

/** "1 cup + 2 tbsp" in the unit of the first. */
function together(first: AmountAhead, second: AmountAhead, system: MeasureSystem): AmountAhead {
  const ml = (ahead: AmountAhead) => {
    const read = inGrams(ahead, catalogue.water!, system)
    return read.kind === 'read' ? read.grams : read.kind === 'either' ? read.readings[0]!.grams : 0
  }
  const share = ml(second) / ml({ ...first, quantity: { from: 1, to: 1 } })
  const { from, to } = first.quantity
  return { ...first, quantity: { from: from + share, to: to + share }, rest: second.rest }
}

function massOf(ahead: AmountAhead | null): number | null {
  if (ahead?.unit !== 'g' && ahead?.unit !== 'kg') return null
  const many = (ahead.quantity.from + ahead.quantity.to) / 2
  return ahead.unit === 'kg' ? many * 1000 : many
}

/** The words of the amount alone. */
function saidOf(line: string, { rest }: AmountAhead): string {
  const at = rest === '' ? -1 : line.lastIndexOf(rest)
  return (at > 0 ? line.slice(0, at) : line)
    .replace(/\s*(?:of|\()\s*$/i, '')
    .trim()
    .slice(0, 60)
}

/** What says nothing about which food it is. */
const ASIDE =
  /^(?:freshly|fresh|cold|warm|hot|large|small|medium|soft|softened|melted|ripe|good|quality|finely|coarsely|roughly|grated|chopped|sliced|diced|cubed|crushed|sifted|split|the|of|some|a|an|little|whole|ground|toasted|roasted|unsalted|squeezed|heaped|level|handful|few|extra)\s+/i

/** The name without what stands in brackets or behind a comma. */
function bare(name: string): string {
  return name
    .replaceAll(/\([^)]*\)?/g, ' ')
    .replace(/\s*(?:,|;| - | – |\bto taste\b|\bfor \w+ing\b|\bas needed\b).*$/i, '')
    .replaceAll(/\s+/g, ' ')
    .trim()
    .replace(/[.:]$/, '')
}

/** The food that a name means: first as it stands, then without what only describes it, then by its words. */
function foodNamed(name: string): { food: Ingredient; exact: boolean } | null {
  let words = bare(name)
  const exactly = (text: string) =>
    findIngredients(text).find((food) => isNamed(food, text) || isNamed(food, text.replace(/e?s$/i, '')))
  for (;;) {
    const found = exactly(words) ?? exactly(words.replace(/s$/i, ''))
    if (found) return { food: found, exact: true }
    const shorter = words.replace(ASIDE, '')
    if (shorter === words || shorter === '') break
    words = shorter
  }
  if (words === '') return null
  const [near] = findIngredients(words.replace(/s$/i, ''))
  if (near) return { food: near, exact: false }
  // The last words say what it is, those before them which kind.
  const parts = words.split(' ')
  for (let i = 1; i < parts.length; i++) {
    const found = exactly(parts.slice(i).join(' '))
    if (found) return { food: found, exact: false }
  }
  return null
}
