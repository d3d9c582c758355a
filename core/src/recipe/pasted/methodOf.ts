import { celsiusOf, inUnit, type Degrees, type Typed } from '../../ground/temperature'
import { catalogue } from '../ingredient/catalogue'
import { families } from '../method/families'
import { newMethod, NO_INSTRUCTION } from '../method/newMethod'
import { STEP_KINDS, type Amount, type Instruction, type Method, type Step, type StepKind } from '../method/method'
import type { PastedMaterial } from './material'
import type { PastedRecipe } from './readRecipe'
import type { PastedStep } from './work'

/**
 * A draft of a method from a pasted recipe, as somebody confirmed it: the stages in the order of the text, each with the
 * words of its line, and those that its family cannot be without. What is not in the catalogue is left out.
 * @param key makes a key for an amount, a different one each time
 */
export function methodOf(
  { title, family, materials, steps: lines }: Pick<PastedRecipe, 'title' | 'family' | 'materials' | 'steps'>,
  { id, vesselId, key }: { id: string; vesselId: string; key: () => string },
): Method {
  const plain = newMethod({ id, vesselId, name: title, family })
  const { steps, instructions, stepOf } = staged(lines)
  const needed = plain.steps.filter(({ kind }) => families[family].needs.includes(kind))
  const whole = withNeeds(steps, steps.length === 0 ? plain.steps : needed)
  const amounts = materials.flatMap((material): Amount[] => {
    const { ingredient, grams, count, said } = material
    if (ingredient === null) return []
    const line = lines.findIndex((each) => mentions(each.line, material))
    const step = stepOf[line] ?? whole[0]!.key
    const kept = said !== null && !/^\s*[\d.,]+\s*g\s*$/i.test(said) ? { said } : {}
    return [{ key: key(), ingredient, grams, count, step, state: usualState(ingredient), ...kept }]
  })
  return { ...plain, steps: whole, instructions, amounts }
}

/** The stages that the lines speak of, each once; a line without one belongs to the stage before it. */
function staged(lines: readonly PastedStep[]): {
  steps: Step[]
  instructions: Record<string, Instruction>
  /** By line: the stage in which what it names goes in. */
  stepOf: (string | undefined)[]
} {
  const steps: Step[] = []
  const instructions: Record<string, Instruction> = {}
  const stepOf = lines.map(({ line, kinds, degrees, minutes }) => {
    const fresh = kinds.filter((kind) => !steps.some((step) => step.kind === kind))
    for (const kind of fresh) steps.push({ key: kind.replaceAll(' ', '-'), kind, measures: 'mixture' })
    const first = kinds[0] ?? steps.at(-1)?.kind
    if (first === undefined) return undefined
    const at = first.replaceAll(' ', '-')
    const before = instructions[at] ?? NO_INSTRUCTION
    const text = [before.text, line]
      .filter((each) => each !== '')
      .join(' ')
      .slice(0, 300)
    instructions[at] = { ...before, text }
    for (const kind of kinds) {
      const step = kind.replaceAll(' ', '-')
      instructions[step] = { ...(instructions[step] ?? NO_INSTRUCTION), ...figures(kind, degrees, minutes) }
    }
    return at
  })
  return { steps, instructions, stepOf }
}

function figures(kind: StepKind, degrees: Typed | null, minutes: number | null): Partial<Instruction> {
  if (kind === 'bake') return degrees ? { oven: degrees } : {}
  const heats = ['cook', 'boil out', 'heat dairy', 'infuse'].includes(kind)
  const passes = ['infuse', 'set'].includes(kind) && minutes !== null
  return {
    ...(heats && degrees ? { target: { from: both(degrees), to: both(degrees) } } : {}),
    ...(passes ? { passiveMinutes: { least: minutes, most: Math.max(minutes * 2, minutes) } } : {}),
  }
}

function both(typed: Typed): Degrees {
  const celsius = celsiusOf(typed)
  return typed.unit === 'C'
    ? { c: typed.value, f: Math.round(inUnit(celsius, 'F')) }
    : { c: Math.round(celsius), f: typed.value }
}

/** The stages of the text, and where their kind comes in the order of the work those of the family that it does not say. */
function withNeeds(steps: readonly Step[], needed: readonly Step[]): Step[] {
  return needed.reduce<Step[]>(
    (all, need) => {
      if (all.some(({ kind }) => kind === need.kind)) return all
      const rank = STEP_KINDS.indexOf(need.kind)
      const before = all.findIndex(({ kind }) => STEP_KINDS.indexOf(kind) > rank)
      return all.toSpliced(before < 0 ? all.length : before, 0, need)
    },
    [...steps],
  )
}

/** Frozen fruit is untreated until somebody says otherwise. */
function usualState(ingredient: string): Amount['state'] {
  return catalogue[ingredient]?.comesFrozen ? 'frozen' : 'as it is'
}

/** Whether a line of the work names an ingredient: by the last word of its name, whole or without its plural. */
function mentions(line: string, { name }: PastedMaterial): boolean {
  const words = name
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2)
  const said = line.toLowerCase()
  return [words.at(-1), words[0]].some((word) => word !== undefined && said.includes(word.replace(/s$/, '')))
}
