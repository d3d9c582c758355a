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
  const amount = { amounts: ahead ? [{ ...ahead, unit: null }] : [], said: ahead && part }
  return keys.map((key) => measured(part, part, catalogue[key]!, amount, 'understood', system))
}

function materialOf(part: string, system: MeasureSystem): PastedMaterial {
  const { name, ...amount } = amountAndName(part, system)
  const found = foodNamed(name)
  if (found) return measured(part, bare(name), found.food, amount, found.exact ? 'understood' : 'guessed', system)
  // What it is nobody knows: it weighs what is written, if a weight is.
  const weighed = measured(part, bare(name), UNKNOWN, amount, 'guessed', system)
  return { ...weighed, ingredient: null, count: null, understood: 'left' }
}

/** How heavy a cup or a piece of it is nobody knows. */
const UNKNOWN: Ingredient = { ...catalogue.water!, key: '', density: null }

/** What of a line says how much: mostly one amount, sometimes "1 cup plus 2 tablespoons"; and its words. */
interface SaidAmount {
  amounts: AmountAhead[]
  said: string | null
}

function measured(
  line: string,
  name: string,
  food: Ingredient,
  { amounts, said: words }: SaidAmount,
  sure: 'understood' | 'guessed',
  system: MeasureSystem,
): PastedMaterial {
  const known = { line, name, ingredient: food.key, said: words?.slice(0, LONGEST_SAID) ?? null }
  const readings = amounts.map((ahead) => inGrams(ahead, food, system))
  // Of two readings one is proposed, as a guess: somebody says which.
  const taken = readings.flatMap((each) =>
    each.kind === 'read' ? each : each.kind === 'either' ? each.readings[0]! : [],
  )
  // A bare number of what nobody counts says no amount.
  const isBare = taken.some(({ assumed }) => assumed.some(({ what }) => what === 'grams'))
  if (taken.length === 0 || taken.length < amounts.length || isBare)
    return { ...known, grams: null, count: null, understood: 'guessed' }
  return {
    ...known,
    grams: Math.round(taken.reduce((sum, { grams }) => sum + grams, 0) * 100) / 100,
    count: food.egg && taken.length === 1 ? taken[0]!.count : null,
    understood: readings.every(({ kind }) => kind === 'read') ? sure : 'guessed',
  }
}

/** As many letters of an amount's words are kept. */
const LONGEST_SAID = 60

/** Where the amount stands: before the name, behind it, or beside it in brackets; grams are believed before cups. */
function amountAndName(part: string, system: MeasureSystem): SaidAmount & { name: string } {
  const text = part.replace(/^(?:a\s+)?(pinch|dash|drop)\b/i, '1 $1').replace(/(?<=[a-z])\s*\/\s*(?=\d)/i, ' (')
  const first = amountAhead(text, system)
  if (first && first.rest !== '') {
    const before = (rest: string) => text.slice(0, text.length - rest.length).trim()
    const more = /^(?:plus|\+|and)\s+/i.exec(first.rest)
    const second = more && amountAhead(first.rest.slice(more[0].length), system)
    if (second && first.unit && second.unit)
      return { amounts: [first, second], said: before(second.rest), name: second.rest }
    const aside = /^\(([^)]*)\)?\s*(.*)$/.exec(first.rest)
    const name = aside ? aside[2]! : first.rest
    const bracketed = aside?.[1] ?? /\((\d[^)]*)\)/.exec(first.rest)?.[1]
    const metric = bracketed === undefined ? null : amountAhead(bracketed, system)
    if (isMetric(metric)) return { amounts: [metric], said: bracketed!.trim(), name }
    return { amounts: [first], said: before(first.rest).replace(/\s+of$/i, ''), name }
  }
  // "Sugar 200 g", "Sugar: 200 g", "Eggs 3"
  const behind = /^(.*?[^\d\s:.…|-])[\s:.…|-]+([\d½⅓⅔¼¾⅛][\d½⅓⅔¼¾⅛.,/\s-]*\s*[a-z]*\.?)$/i.exec(text)
  const after = behind && amountAhead(behind[2]!, system)
  if (after) return { amounts: [after], said: behind[2]!.trim(), name: behind[1]! }
  return { amounts: first ? [first] : [], said: first && text, name: text }
}

function isMetric(ahead: AmountAhead | null): ahead is AmountAhead {
  return ahead !== null && ['g', 'kg', 'ml', 'cl', 'dl', 'l'].includes(ahead.unit ?? '')
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
