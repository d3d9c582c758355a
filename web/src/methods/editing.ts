import { methodsMessages } from '@logged-thermal/wording'
import {
  families,
  canonical,
  heatPlan,
  newMethod,
  NO_INSTRUCTION,
  type Amount,
  type Component,
  type Ingredient,
  type Instruction,
  type Method,
  type Problem,
  type Step,
  type StepKind,
} from '@logged-thermal/core'
import { speaks } from '../kit/language'

const say = speaks(methodsMessages)

/** Changes to a method while it is written: each gives a new method, nothing is changed in place. */
export type Edit =
  | { kind: 'replace'; method: Method }
  | {
      kind: 'set'
      fields: Partial<
        Pick<
          Method,
          'name' | 'houseDays' | 'portions' | 'schedule' | 'cooling' | 'ceiling' | 'raw' | 'untreatedFruit' | 'vessel'
        >
      >
    }
  | { kind: 'family'; family: Method['family']; vesselId: string }
  | { kind: 'add step'; step: StepKind; before: string | null }
  | { kind: 'move step'; key: string; to: number }
  | { kind: 'change step'; key: string; step: Pick<Step, 'kind' | 'measures'>; instruction: Instruction }
  | { kind: 'remove step'; key: string }
  | { kind: 'put own'; ingredient: Ingredient }
  | { kind: 'put amount'; amount: Amount }
  | { kind: 'remove amount'; key: string }
  | { kind: 'put component'; component: Component }
  | { kind: 'justify'; problem: string; reason: string }

export function edited(method: Method, edit: Edit): Method {
  switch (edit.kind) {
    case 'replace':
      return edit.method
    case 'set':
      return { ...method, ...edit.fields }
    case 'family': {
      // A method that holds nothing yet takes the steps of its family; one with contents keeps its own.
      if (method.amounts.length > 0) {
        const { crumb, cooling } = families[edit.family]
        return {
          ...method,
          family: edit.family,
          cooling: method.cooling === 'dry' && !crumb ? cooling : method.cooling,
        }
      }
      const { id, version, name } = method
      return { ...newMethod({ id, vesselId: edit.vesselId, name, family: edit.family }), version }
    }
    case 'add step': {
      const step: Step = { key: freeKey(method.steps, edit.step), kind: edit.step, measures: 'mixture' }
      const index =
        edit.before === null ? method.steps.length : method.steps.findIndex(({ key }) => key === edit.before)
      return { ...method, steps: method.steps.toSpliced(index, 0, step) }
    }
    case 'move step': {
      const from = method.steps.findIndex(({ key }) => key === edit.key)
      const to = Math.max(0, Math.min(method.steps.length - 1, edit.to))
      if (from < 0) return method
      return { ...method, steps: method.steps.toSpliced(from, 1).toSpliced(to, 0, method.steps[from]!) }
    }
    case 'change step':
      return {
        ...method,
        steps: method.steps.map((step) => (step.key === edit.key ? { ...step, ...edit.step } : step)),
        instructions: withInstruction(method, edit.key, edit.instruction),
      }
    case 'remove step':
      return withoutStep(method, edit.key)
    case 'put own':
      return { ...method, own: put(method.own, edit.ingredient) }
    case 'put amount':
      return { ...method, amounts: put(method.amounts, edit.amount) }
    case 'remove amount':
      return {
        ...method,
        amounts: method.amounts.filter(({ key }) => key !== edit.key),
        components: method.components.filter(({ key }) => key !== edit.key),
      }
    case 'put component':
      return { ...method, components: put(method.components, edit.component) }
    case 'justify':
      return {
        ...method,
        justified: [
          ...method.justified.filter(({ problem }) => problem !== edit.problem),
          ...(edit.reason === '' ? [] : [{ problem: edit.problem, reason: edit.reason }]),
        ],
      }
  }
}

/** The edits that would mend a problem, each with its key's words. */
export function mends(problem: Problem, method: Method): { words: string; edit: Edit }[] {
  const amount = method.amounts.find(({ key }) => key === problem.amount)
  const pasteurized = amount && {
    words: say('usePasteurizedLot'),
    edit: { kind: 'put amount', amount: { ...amount, state: 'pasteurized lot' } } as Edit,
  }
  switch (problem.code) {
    case 'egg after the last heat': {
      const kill = method.steps.findIndex(({ key }) => key === heatPlan(method).killed?.step)
      const before = method.steps.slice(0, kill + 1)
      const heat = before.find(({ kind }) => kind === 'temper' || kind === 'combine') ?? before.at(-1)
      const move = amount &&
        heat && {
          words: say('moveItTo', { kind: heat.kind }),
          edit: { kind: 'put amount', amount: { ...amount, step: heat.key } } as Edit,
        }
      return [move, pasteurized].filter((mend) => mend !== undefined)
    }
    case 'egg not heated':
      return pasteurized ? [pasteurized] : []
    case 'starch not boiled': {
      const boil = method.steps.find(({ kind }) => kind === 'boil out' || kind === 'bake')
      if (boil && amount) {
        return [
          {
            words: say('moveItTo', { kind: boil.kind }),
            edit: { kind: 'put amount', amount: { ...amount, step: boil.key } },
          },
        ]
      }
      const joins = method.steps.findIndex(({ key }) => key === problem.step)
      const cook = method.steps.findIndex(({ kind }, i) => kind === 'cook' && i >= joins)
      const before = method.steps[Math.max(joins, cook) + 1]?.key ?? null
      return [{ words: say('addBoilOut'), edit: { kind: 'add step', step: 'boil out', before } }]
    }
    case 'frozen fruit not treated': {
      if (!amount) return []
      const treated = { ...amount, state: 'treated' } as const
      const lot = { words: say('useTreatedLot'), edit: { kind: 'put amount', amount: treated } } as const
      const boil = { words: say('boilHere'), edit: { kind: 'set', fields: { untreatedFruit: true } } } as const
      return heatedAfter(method, amount.step) ? [boil, lot] : [lot]
    }
    case 'step missing':
      return [
        { words: say('addStep'), edit: { kind: 'add step', step: problem.values.kind as StepKind, before: null } },
      ]
    default:
      return []
  }
}

export function instructionOf(method: Method, key: string): Instruction {
  return method.instructions[key] ?? NO_INSTRUCTION
}

function heatedAfter(method: Method, step: string): boolean {
  const at = (wanted: string | undefined) => method.steps.findIndex(({ key }) => key === wanted)
  return at(heatPlan(method).lastHeat?.step) >= at(step)
}

/** An empty instruction is none: what says nothing is no change. */
function withInstruction({ instructions }: Method, key: string, instruction: Instruction): Method['instructions'] {
  const others = Object.fromEntries(Object.entries(instructions).filter(([step]) => step !== key))
  return canonical(instruction) === canonical(NO_INSTRUCTION) ? others : { ...others, [key]: instruction }
}

function withoutStep(method: Method, key: string): Method {
  const index = method.steps.findIndex((step) => step.key === key)
  const neighbour = method.steps[index - 1] ?? method.steps[index + 1]
  if (index < 0 || !neighbour) return method
  // What went in here goes in with the step before: nothing of a method is lost by taking a step away.
  const moved = <T extends { step: string }>(each: T): T =>
    each.step === key ? { ...each, step: neighbour.key } : each
  return {
    ...method,
    steps: method.steps.toSpliced(index, 1),
    instructions: withInstruction(method, key, NO_INSTRUCTION),
    amounts: method.amounts.map(moved),
    components: method.components.map(moved),
  }
}

function freeKey(steps: readonly Step[], kind: StepKind): string {
  const plain = kind.replaceAll(' ', '-')
  const taken = new Set(steps.map(({ key }) => key))
  if (!taken.has(plain)) return plain
  let number = 2
  while (taken.has(`${plain}-${number}`)) number++
  return `${plain}-${number}`
}

function put<T extends { key: string }>(list: readonly T[], item: T): T[] {
  return list.some(({ key }) => key === item.key)
    ? list.map((each) => (each.key === item.key ? item : each))
    : [...list, item]
}
