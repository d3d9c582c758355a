import { v7 as uuid } from 'uuid'
import {
  catalogue,
  eggGrams,
  newMethod,
  NO_INSTRUCTION,
  type Amount,
  type FamilyKey,
  type Instruction,
  type Method,
  type Step,
  type StepKind,
} from '@logged-thermal/core'

/** A step as the repertoire writes it down. */
export interface StepShape extends Partial<Instruction> {
  key: string
  kind: StepKind
  /** Name of the part that is measured; the mixture when it is not given. */
  part?: string
}

/** An amount: grams, or with `count` a number of eggs, yolks or whites of a large egg. */
export type AmountShape = [
  ingredient: string,
  grams: number,
  step: string,
  more?: { count?: number; state?: Amount['state'] },
]

export interface MethodShape extends Partial<
  Pick<Method, 'schedule' | 'cooling' | 'raw' | 'untreatedFruit' | 'houseDays' | 'justified'>
> {
  name: string
  family: FamilyKey
  vessel: [name: string, fillDepth: number]
  portions: number
  steps: StepShape[]
  amounts: AmountShape[]
  /** Other methods of the repertoire that go in: name, grams, step. */
  components?: [name: string, grams: number, step: string][]
}

/** The shape as a method; components are found among those made before it. */
export function made(shape: MethodShape, before: readonly Method[]): Method {
  const { name, family, vessel, portions, steps, amounts, components = [], ...rest } = shape
  return {
    ...newMethod({ id: uuid(), vesselId: uuid(), name, family }),
    ...rest,
    steps: steps.map(({ key, kind, part }): Step => ({ key, kind, measures: part ? { part } : 'mixture' })),
    instructions: Object.fromEntries(steps.map((step) => [step.key, instruction(step)])),
    vessel: { id: uuid(), name: vessel[0], fillDepth: vessel[1] },
    portions,
    amounts: amounts.map((amount, i) => amountOf(amount, i)),
    components: components.map(([other, grams, step], i) => {
      const method = before.find((each) => each.name === other)
      if (!method) throw new RangeError(`components: ${other} is not in the repertoire before ${name}`)
      return { key: `part-${i + 1}`, method: method.id, name: other, grams, step }
    }),
  }
}

function instruction({ text, activeMinutes, passiveMinutes, target, oven }: StepShape): Instruction {
  return {
    text: text ?? NO_INSTRUCTION.text,
    activeMinutes: activeMinutes ?? 0,
    passiveMinutes: passiveMinutes ?? null,
    target: target ?? null,
    oven: oven ?? null,
  }
}

function amountOf([ingredient, grams, step, more = {}]: AmountShape, i: number): Amount {
  const part = catalogue[ingredient]?.egg
  const { count = null, state = 'as it is' } = more
  const counted = count !== null && part ? Math.round(count * eggGrams(part) * 10) / 10 : grams
  return { key: `amount-${i + 1}`, ingredient, grams: counted, count, step, state }
}
