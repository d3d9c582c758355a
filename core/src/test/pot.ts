import { guideOf } from '../advice/guide/guide'
import { leading } from '../advice/guide/leading'
import type { Bodies } from '../ledger/entry'
import type { Id } from '../ledger/subject'
import type { Amount, FamilyKey, Instruction, Method, StepKind } from '../recipe/method/method'
import { newMethod, NO_INSTRUCTION } from '../recipe/method/newMethod'
import { itemWalls } from '../judgement/dates/walls'
import { idOf, type KitchenStory } from './kitchenStory'
import { at } from './traces'

type Told = Partial<Instruction> & { part?: string }

/** A method as its cook tells it: the steps in their order, and what goes in where. */
export function written(
  name: string,
  family: FamilyKey,
  steps: [key: string, kind: StepKind, told?: Told][],
  amounts: [ingredient: string, grams: number, step: string, state?: Amount['state']][],
  more: Partial<Method> = {},
): Method {
  return {
    ...newMethod({ id: idOf(name), vesselId: idOf(`pan of ${name}`), name, family }),
    steps: steps.map(([key, kind, told]) => ({ key, kind, measures: told?.part ? { part: told.part } : 'mixture' })),
    instructions: Object.fromEntries(
      steps.map(([key, , { part: _, ...told } = {}]) => [key, { ...NO_INSTRUCTION, ...told }]),
    ),
    amounts: amounts.map(([ingredient, grams, step, state = 'as it is'], i) => ({
      key: `a${i}`,
      ingredient,
      grams,
      count: null,
      step,
      state,
    })),
    ...more,
  }
}

/** A batch at the bench: what the slab leads with is what hands do. Minutes are after ten. */
export class Pot {
  readonly id: Id

  constructor(
    private readonly story: KitchenStory,
    readonly method: Method,
    minutes = 0,
    name = method.name.slice(0, 12),
  ) {
    this.id = story.begin(name, minutes, method)
  }

  get state() {
    return this.story.kitchen.read('batch', this.id)!
  }

  /** Where the rail stands. */
  at(minutes: number): string | undefined {
    return guideOf(this.state, at(minutes)).now?.key
  }

  /** What the batch asks for. */
  asks(minutes: number) {
    return this.story.kitchen.attention(this.id, at(minutes))
  }

  /** What stands large on the slab: a reading or a decision, or what hands do. */
  leads(minutes: number): string {
    const asks = this.asks(minutes)
    const lead = leading(asks, guideOf(this.state, at(minutes)), at(minutes))
    return lead === 'asks' ? asks.kind : 'step' in lead ? `${lead.kind} ${lead.step}` : lead.kind
  }

  /** Ends the step that the rail stands at, as the guide says it ends; it must be that one. */
  ends(minutes: number, step: string): void {
    expect([minutes, this.at(minutes)]).toEqual([minutes, step])
    const todo = guideOf(this.state, at(minutes)).todos.find(({ kind }) => kind === 'begin' || kind === 'end')
    const edge = todo?.kind === 'end' && todo.step === step ? todo.edge : 'done'
    this.mark(minutes, step, edge)
  }

  mark(minutes: number, step: string, edge: Bodies['step-marked']['edge']): void {
    this.story.enter('step-marked', this.id, minutes, { step, edge, reason: null })
  }

  reads(...readings: [minutes: number, celsius: number, part?: string][]): void {
    for (const [minutes, celsius, part] of readings)
      this.story.read(this.id, minutes, celsius, part ? { of: { part } } : {})
  }

  puts(minutes: number, ingredient: string, grams: number, more: Partial<Bodies['added']> = {}): void {
    const step = this.at(minutes) ?? this.method.steps.at(-1)!.key
    const body = { step, ingredient, grams, state: 'as it is' as const, lot: null, ...more }
    this.story.enter('added', this.id, minutes, body)
  }

  /** Whole eggs of a lot in the shell, cracked into it. */
  cracks(minutes: number, lot: Id, cracked: number): void {
    const step = this.at(minutes)!
    const body = { as: 'whole' as const, cracked, rejected: 0, grams: {}, size: 'US L' as const, item: null }
    this.story.enter('eggs-taken', this.id, minutes, { step, lot, form: 'shell', ...body })
  }

  stands(key: string, minutes: number) {
    return this.story.kitchen.findings(this.id, at(minutes)).find(({ check }) => check.key === key)?.standing
  }
}

export const waits = (least: number, most: number) => ({ passiveMinutes: { least, most } })
/** Off the heat at ten past, cold in time. */
export const COOLED: [number, number][] = [
  [20, 57],
  [90, 20],
  [230, 4.6],
]
/** A lot of egg at the door. */
export function received(story: KitchenStory, ingredient: string, form: 'shell' | 'pasteurized'): Id {
  return story.receive(idOf(`lot of ${ingredient}`), -30, ingredient, form)
}
export const eggs = (story: KitchenStory) => received(story, 'egg', 'shell')
export const item = (story: KitchenStory, id: string) => story.kitchen.read('item', id)!
export const lastDay = (story: KitchenStory, id: string) => itemWalls(item(story, id), 'UTC')[0]?.lastDay
