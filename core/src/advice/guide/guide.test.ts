import fc from 'fast-check'
import type { Edge } from '../../rules/rule'
import { newMethod } from '../../recipe/method/newMethod'
import { FAMILY_KEYS, type Amount, type Method, type StepKind } from '../../recipe/method/method'
import { limitsFrom, Story } from '../../test/story'
import { at } from '../../test/traces'
import { cleaningDue } from './cleaning'
import { guideOf } from './guide'
import { leading } from './leading'
import { outOfOrder } from './order'
import { WARM_UP_CUE, warmUpOf } from './warmUp'

const limits = limitsFrom('us-food-code-2022')
const egg: Amount = { key: 'y', ingredient: 'yolk', grams: 300, count: null, step: 'temper', state: 'as it is' }
const made = (steps: [string, StepKind, string?][], more: Partial<Method> = {}): Method => ({
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Test cream', family: 'starch-custard' }),
  steps: steps.map(([key, kind, part]) => ({ key, kind, measures: part ? { part } : 'mixture' })),
  amounts: [egg],
  ...more,
})
const cream = made([
  ['weigh', 'mise', 'starch'],
  ['warm', 'infuse', 'milk'],
  ['temper', 'temper', 'milk'],
  ['cook', 'cook'],
  ['boil', 'boil out'],
  ['strain', 'strain'],
  ['cool', 'cool'],
  ['hold', 'hold'],
])
const begin = (method = cream) => new Story(limits, method)
const mark = (story: Story, minutes: number, step: string, edge: Edge, reason: string | null = null) =>
  story.enter('step-marked', minutes, { step, edge, reason })
const todos = (story: Story, minutes: number) => guideOf(story.batch, at(minutes)).todos.map(({ kind }) => kind)
const here = (story: Story, minutes: number) => guideOf(story.batch, at(minutes)).now?.key
const take = (story: Story, minutes: number) =>
  story.enter('eggs-taken', minutes, {
    step: 'temper',
    lot: 'lot',
    form: 'shell',
    as: 'separated',
    cracked: 18,
    rejected: 0,
    grams: { white: 5 },
    size: 'US L',
    item: null,
  })

describe('the way through a method', () => {
  it('leads from the first step to the last, by what it asks, and never out of order', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FAMILY_KEYS), fc.array(fc.boolean(), { maxLength: 60 }), (family, choices) => {
        const story = begin(newMethod({ id: 'm', vesselId: 'v', name: 'm', family }))
        const { steps } = story.batch.method
        let minutes = 1
        for (const later of choices) {
          const { now, todos: asked } = guideOf(story.batch, at(minutes))
          const next = asked.find((todo) => todo.kind === 'begin' || todo.kind === 'end')
          if (!now || !next) break
          const edge = next.kind === 'begin' ? 'started' : next.edge
          expect(outOfOrder(story.batch, next.step, edge, at(minutes))).toBeNull()
          mark(story, minutes, next.step, edge)
          minutes += later ? 3 : 1
          const on = guideOf(story.batch, at(minutes)).now
          const index = (key?: string) => steps.findIndex((step) => step.key === key)
          // A step begins or the next one comes: it never goes back.
          expect(on === null || index(on.key) >= index(now.key)).toBe(true)
        }
        if (choices.length === 60) {
          const end = guideOf(story.batch, at(minutes)).now
          expect(end === null || ['cool', 'hold', 'serve at once'].includes(end.kind)).toBe(true)
        }
      }),
    )
  })

  it('goes past preparations that nobody ticked once the batch has gone on', () => {
    const story = begin()
    expect(here(story, 1)).toBe('weigh')
    mark(story, 3, 'temper', 'combined')
    const { steps, now } = guideOf(story.batch, at(4))
    expect(now?.key).toBe('cook')
    expect(steps.map(({ state }) => state).slice(0, 4)).toEqual(['passed', 'passed', 'done', 'now'])
  })

  it('goes from the cook to the boil in one heat, and off it at the end of the last', () => {
    const story = begin()
    take(story, 1)
    mark(story, 2, 'temper', 'combined')
    story.read(4, 74)
    const asked = guideOf(story.batch, at(4))
    expect(leading(story.asks(4), asked, at(4))).toMatchObject({ kind: 'begin', step: 'boil' })
    mark(story, 5, 'boil', 'started')
    expect(here(story, 5)).toBe('boil')
    expect(guideOf(story.batch, at(5)).steps.find(({ key }) => key === 'cook')).toMatchObject({
      state: 'done',
      ended: at(5),
    })
    expect(outOfOrder(story.batch, 'boil', 'done', at(9))).toBeNull()
    mark(story, 7, 'boil', 'done')
    expect(here(story, 8)).toBe('strain')
  })

  it('goes back to the heat when a raw yolk goes in after it, and asks for all that follows again', () => {
    const story = begin()
    take(story, 1)
    mark(story, 2, 'temper', 'combined')
    story.read(4, 74)
    mark(story, 6, 'boil', 'done')
    mark(story, 8, 'strain', 'done')
    expect(here(story, 9)).toBe('cool')
    story.enter('added', 10, { step: 'cool', ingredient: 'yolk', grams: 40, state: 'as it is', lot: null })
    expect(here(story, 11)).toBe('cook')
    expect(outOfOrder(story.batch, 'strain', 'done', at(9))).toMatchObject({ code: 'before', step: 'cook' })
    story.read(12, 75)
    mark(story, 13, 'boil', 'done')
    expect(here(story, 14)).toBe('strain')
  })

  it('asks of a foam with syrup for all to be together first, then for a reading of the foam, then to end it', () => {
    const foam = made(
      [
        ['syrup', 'cook', 'syrup'],
        ['pour', 'combine'],
        ['hold', 'hold'],
      ],
      { family: 'white-foam', amounts: [{ ...egg, ingredient: 'white', step: 'pour' }] },
    )
    const story = begin(foam)
    mark(story, 5, 'syrup', 'done')
    const asked = (minutes: number) => guideOf(story.batch, at(minutes)).todos.find(({ kind }) => kind === 'end')
    expect(asked(6)).toMatchObject({ step: 'pour', edge: 'combined' })
    mark(story, 7, 'pour', 'combined')
    expect(here(story, 8)).toBe('pour')
    expect(asked(8)).toMatchObject({ step: 'pour', edge: 'done' })
    story.read(9, 71)
    expect(story.standing('egg', 9)).toBe('proven')
    mark(story, 10, 'pour', 'done')
    expect(here(story, 11)).toBe('hold')
  })

  it('times a step of the hands from the one before, and one that waits from its tap', () => {
    const told = {
      weigh: { text: '', activeMinutes: 5, passiveMinutes: null, target: null, oven: null },
      warm: { text: '', activeMinutes: 1, passiveMinutes: { least: 20, most: 40 }, target: null, oven: null },
    }
    const story = begin()
    const timer = (minutes: number) => guideOf(story.batch, at(minutes), told).now?.timer
    expect(timer(1)).toBe(at(5))
    mark(story, 3, 'weigh', 'done')
    expect(timer(4)).toBeNull()
    mark(story, 6, 'warm', 'started')
    expect(timer(7)).toBe(at(26))
  })
})

describe('what is out of order', () => {
  it('lets parts be prepared in any order, and asks why a step that matters is jumped or left out', () => {
    const story = begin()
    expect(outOfOrder(story.batch, 'warm', 'done', at(9))).toBeNull()
    expect(outOfOrder(story.batch, 'weigh', 'skipped', at(9))).toBeNull()
    expect(outOfOrder(story.batch, 'cook', 'started', at(9))).toBeNull()
    expect(outOfOrder(story.batch, 'boil', 'done', at(9))).toMatchObject({ code: 'before', step: 'temper' })
    expect(outOfOrder(story.batch, 'boil', 'skipped', at(9))).toMatchObject({ code: 'left out', step: 'boil' })
    expect(outOfOrder(story.batch, 'strain', 'done', at(9))).toMatchObject({ code: 'before', step: 'temper' })
    mark(story, 1, 'temper', 'combined')
    expect(outOfOrder(story.batch, 'boil', 'done', at(9))).toBeNull()
    expect(outOfOrder(story.batch, 'strain', 'done', at(9))).toMatchObject({ code: 'before', step: 'cook' })
    mark(story, 2, 'temper', 'skipped', 'made in one pan')
    mark(story, 9, 'boil', 'done')
    expect(outOfOrder(story.batch, 'hold', 'done', at(9))).toMatchObject({ code: 'before', step: 'cook' })
  })
})

describe('what is asked beside the steps', () => {
  it('asks for the eggs at their step, and stays until they are named', () => {
    const story = begin()
    expect(todos(story, 1)).toEqual(['end'])
    mark(story, 1, 'weigh', 'done')
    mark(story, 2, 'warm', 'started')
    mark(story, 3, 'warm', 'done')
    expect(todos(story, 4)).toEqual(['eggs', 'end'])
    mark(story, 5, 'temper', 'combined')
    expect(todos(story, 6)).toContain('eggs')
    take(story, 7)
    expect(todos(story, 8)).not.toContain('eggs')
  })

  it('prompts to clean after separating and at the boundary, once each, and not an hour late', () => {
    const story = begin()
    take(story, 1)
    expect(cleaningDue(story.batch, at(2))).toBe('separated by hand')
    story.enter('cleaned', 2, { step: 'temper' })
    expect(cleaningDue(story.batch, at(3))).toBeNull()
    mark(story, 4, 'temper', 'combined')
    story.read(6, 80)
    mark(story, 8, 'boil', 'done')
    expect(cleaningDue(story.batch, at(9))).toBe('raw to cooked')
    expect(todos(story, 9)[0]).toBe('clean')
    expect(cleaningDue(story.batch, at(69))).toBeNull()
    story.enter('cleaned', 9, { step: 'strain' })
    expect(cleaningDue(story.batch, at(10))).toBeNull()
  })

  it('asks how it is covered when it cools, and what becomes of the whites', () => {
    const story = begin()
    story.enter('eggs-taken', 1, { ...eggsBody(), grams: {} })
    story.enter('cleaned', 1, { step: 'temper' })
    mark(story, 2, 'temper', 'combined')
    expect(todos(story, 3)).toContain('settle')
    mark(story, 8, 'boil', 'done')
    story.enter('cleaned', 9, { step: 'strain' })
    mark(story, 10, 'strain', 'done')
    expect(todos(story, 11)).toEqual(['place', 'cover', 'settle'])
    story.enter('covered', 12, { cover: 'film on the surface' })
    expect(todos(story, 13)).toEqual(['place', 'settle'])
    story.enter('placed', 14, { place: 'ice bath', unit: null, air: null })
    expect(todos(story, 15)).toEqual(['settle'])
  })

  it('asks for a note once it was warm for longer than the house allows on its way up', () => {
    const story = begin()
    mark(story, 2, 'temper', 'combined')
    story.read(3, 40)
    story.read(20, 50)
    expect(warmUpOf(story.batch, at(20))).toMatchObject({ of: 'mixture', mostMs: 18 * 60_000, long: false })
    expect(warmUpOf(story.batch, at(33))).toMatchObject({ mostMs: 31 * 60_000, long: true, noted: false })
    expect(todos(story, 33)).toContain('warm-up')
    story.enter('noted', 34, { text: 'A slow flame', cue: WARM_UP_CUE })
    expect(todos(story, 35)).not.toContain('warm-up')
    // Once hot, the time stands: what follows is the cook's.
    story.read(36, 70)
    expect(warmUpOf(story.batch, at(90))!.mostMs).toBe(34 * 60_000)
  })

  it('counts what nobody read of milk that rests in infusion', () => {
    const story = begin()
    expect(warmUpOf(story.batch, at(5))).toBeNull()
    mark(story, 5, 'warm', 'started')
    const milk = { of: { part: 'milk' } }
    story.read(6, 80, milk)
    story.read(16, 62, milk)
    // From 80 to 62° it was above 57° all the time; from then on nobody knows.
    expect(warmUpOf(story.batch, at(40))).toMatchObject({ of: { part: 'milk' }, mostMs: 25 * 60_000 })
    mark(story, 41, 'warm', 'done')
    expect(warmUpOf(story.batch, at(60))).toBeNull()
  })
})

describe('what leads', () => {
  it('puts what is lost first, then what is due, then the hands, then what is due later', () => {
    const story = begin()
    take(story, 1)
    story.enter('cleaned', 1, { step: 'temper' })
    mark(story, 2, 'temper', 'combined')
    story.read(4, 74)
    mark(story, 6, 'boil', 'done')
    story.enter('cleaned', 6, { step: 'strain' })
    story.read(10, 57)
    const lead = (minutes: number) => leading(story.asks(minutes), guideOf(story.batch, at(minutes)), at(minutes))
    // The next reading is due in half an hour: until then the hands.
    expect(lead(11)).toMatchObject({ kind: 'end', step: 'strain' })
    expect(lead(41)).toBe('asks')
    story.read(60, 56)
    expect(story.asks(61).kind).toBe('rescue')
    expect(lead(61)).toBe('asks')
  })
})

function eggsBody() {
  return {
    step: 'temper',
    lot: 'lot',
    form: 'shell' as const,
    as: 'separated' as const,
    cracked: 18,
    rejected: 0,
    size: 'US L' as const,
    item: null,
  }
}
