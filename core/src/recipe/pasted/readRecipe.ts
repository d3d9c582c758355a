import { families } from '../method/families'
import type { MeasureSystem } from '../../rules/practice'
import { catalogue } from '../ingredient/catalogue'
import type { FamilyKey } from '../method/method'
import { familyOf } from './family'
import { laidOut } from './layout'
import { materialsIn, type PastedMaterial } from './material'
import { stepsIn, type PastedStep } from './work'

/** A recipe as somebody pasted it, read as far as it goes. Nothing of it is taken before somebody has looked at it. */
export interface PastedRecipe {
  title: string
  family: FamilyKey
  materials: PastedMaterial[]
  steps: PastedStep[]
  notes: string[]
  missing: Missing[]
}

/** What the text does not say, and somebody has to. */
export type Missing =
  | { code: 'no materials' }
  | { code: 'no steps' }
  | { code: 'no amount'; of: string }
  /** Nothing of the catalogue is called so. */
  | { code: 'not on the list'; name: string }
  /** Raw egg goes in, and nothing heats it. */
  | { code: 'egg not heated' }
  /** The heat after the egg names no temperature. */
  | { code: 'no degrees'; line: string }
  | { code: 'starch not boiled' }
  /** The text says that it keeps so long: the rules decide that. */
  | { code: 'keeps'; days: number; line: string }

/** As much text as one recipe has at most, letters. */
export const LONGEST_RECIPE = 20_000

/**
 * Reads a recipe from paper or a page. RangeError for a text longer than LONGEST_RECIPE.
 * @param system whose cups and spoons are meant
 */
export function readRecipe(text: string, system: MeasureSystem): PastedRecipe {
  if (text.length > LONGEST_RECIPE) throw new RangeError(`text: more than ${LONGEST_RECIPE} letters`)
  const { title, materials: lines, steps: work, notes } = laidOut(text)
  const materials = lines.flatMap((line) => materialsIn(line, system))
  const steps = stepsIn(work)
  const family = familyOf(title, materials, steps)
  const found = { title, family, materials, steps, notes }
  return { ...found, missing: missingOf(found) }
}

/** What a recipe does not say, as it stands after somebody changed it. */
export function missingOf({ family, materials, steps, notes, title }: Omit<PastedRecipe, 'missing'>): Missing[] {
  const foods = materials.flatMap(({ ingredient }) => (ingredient === null ? [] : (catalogue[ingredient] ?? [])))
  const heats = steps.filter(({ kinds }) => kinds.some((kind) => HEATS.includes(kind)))
  const egg = foods.some(({ egg: part }) => part !== null)
  const unmeasured = heats.find(({ degrees }) => degrees === null)
  const keeps = [title, ...notes, ...steps.map(({ line }) => line)].flatMap(keptDays)
  return [
    ...(materials.length === 0 ? [{ code: 'no materials' } as const] : []),
    ...(steps.length === 0 ? [{ code: 'no steps' } as const] : []),
    ...materials.flatMap(({ ingredient, name, grams }): Missing[] =>
      ingredient === null
        ? [{ code: 'not on the list', name }]
        : grams === null
          ? [{ code: 'no amount', of: name }]
          : [],
    ),
    ...(egg && heats.length === 0 ? [{ code: 'egg not heated' } as const] : []),
    ...(egg && !families[family].crumb && unmeasured && !heats.some(({ degrees }) => degrees !== null)
      ? [{ code: 'no degrees', line: unmeasured.line } as const]
      : []),
    ...(foods.some(({ starch }) => starch) && !steps.some(({ kinds }) => kinds.some((kind) => BOILS.includes(kind)))
      ? [{ code: 'starch not boiled' } as const]
      : []),
    ...keeps,
  ]
}

const HEATS: readonly string[] = ['cook', 'boil out', 'bake']
const BOILS: readonly string[] = ['boil out', 'bake']
const MANY: Record<string, number> = { a: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, ten: 10 }
const DAYS: Record<string, number> = { day: 1, week: 7, month: 30 }

/** "Keeps three weeks", "keeps for up to 10 days". */
function keptDays(line: string): Missing[] {
  const found = /\bkeeps?\b[^.]{0,30}?\b(\d+|[a-z]+)\s+(day|week|month)s?\b/i.exec(line)
  const many = found && (MANY[found[1]!.toLowerCase()] ?? Number(found[1]))
  return found && many ? [{ code: 'keeps', days: many * DAYS[found[2]!.toLowerCase()]!, line: found[0] }] : []
}
