import { guideOf } from '../advice/guide/guide'
import type { Instruction, Method } from '../recipe/method/method'
import { waysOf } from '../recipe/method/ways'
import { MINUTE } from '../ground/instant'
import { timelineOf } from '../judgement/timeline/timeline'
import { KitchenStory } from '../test/kitchenStory'
import { eggs, Pot, written } from '../test/pot'
import { at } from '../test/traces'

/** Two schools of one curd: what each says, and that neither moves a limit. Minutes are after ten. */

function curd(
  name: string,
  said: Partial<Instruction>,
  cooking: Partial<Instruction> = {},
  more: Partial<Method> = {},
) {
  return written(
    name,
    'fruit-curd',
    [
      ['mix', 'combine'],
      ['cook', 'cook', cooking],
      ['butter', 'add after heat'],
      ['cool', 'cool', said],
      ['set', 'set', { passiveMinutes: { least: 60, most: 600 } }],
      ['hold', 'hold'],
    ],
    [
      ['egg', 500, 'mix'],
      ['lemon-juice', 400, 'mix'],
      ['butter', 300, 'butter'],
    ],
    more,
  )
}

function kitchen(method: Method) {
  const story = new KitchenStory({}, [method])
  story.air(0, 3)
  const pot = new Pot(story, method)
  pot.cracks(1, eggs(story), 10)
  pot.ends(2, 'mix')
  pot.reads([8, 83])
  pot.mark(9, 'cook', 'done')
  pot.mark(10, 'butter', 'done')
  return { story, pot }
}

const todos = (pot: Pot, minutes: number) => guideOf(pot.state, at(minutes)).todos.map(({ kind }) => kind)

it('says of each school which way it goes, and of what nobody said that it is not said', () => {
  const ways = (method: Method) => Object.fromEntries(waysOf(method).map(({ about, way }) => [about, way]))
  expect(ways(curd('One', { first: 'counter', cover: 'when set' }, { over: 'water' }))).toEqual({
    heat: 'water',
    butter: 'after the proof',
    strain: 'never',
    cooling: 'counter',
    cover: 'when set',
  })
  expect(ways(curd('Two', {}))).toMatchObject({ heat: 'not said', cooling: 'not said', cover: 'not said' })
  const early = curd('Three', {}, {}, { amounts: [{ ...curd('x', {}).amounts[2]!, step: 'mix' }] })
  expect(ways(early)).toMatchObject({ butter: 'before the proof' })
})

it('is held to the same limits whichever way it goes', () => {
  const checks = ({ pot }: ReturnType<typeof kitchen>) => pot.state.checks
  const other = kitchen(curd('One', { first: 'cold', cover: 'at once' }, { over: 'flame' }))
  const one = kitchen(curd('One', { first: 'counter', cover: 'when set' }, { over: 'water' }))
  expect(checks(one)).toEqual(checks(other))
})

it('covered when set it asks for the cover once it sets, and never as it begins to cool', () => {
  const { story, pot } = kitchen(curd('One', { cover: 'when set' }))
  expect(todos(pot, 12)).toContain('place')
  expect(todos(pot, 12)).not.toContain('cover')
  story.enter('placed', pot.id, 12, { place: 'counter', unit: null, air: null })
  pot.reads([20, 57], [90, 20], [230, 4.6])
  expect(pot.at(231)).toBe('set')
  expect(todos(pot, 231)).toContain('cover')
  story.enter('covered', pot.id, 232, { cover: 'film on the surface' })
  expect(todos(pot, 233)).not.toContain('cover')
  expect(todos(kitchen(curd('Two', {})).pot, 12)).toEqual(expect.arrayContaining(['place', 'cover']))
})

it('on the counter first its minutes are counted until it goes on, and count in the clock of the law', () => {
  const { story, pot } = kitchen(curd('One', { first: 'counter' }))
  expect(pot.state.terms.counterFirst).toBe(true)
  story.enter('placed', pot.id, 12, { place: 'counter', unit: null, air: null })
  const onCounter = (minutes: number) => timelineOf(pot.state).onCounter(at(minutes)) / MINUTE
  expect([onCounter(10), onCounter(25)]).toEqual([0, 13])
  pot.reads([20, 57])
  story.enter('placed', pot.id, 30, { place: 'stirred ice bath', unit: null, air: null })
  expect([onCounter(30), onCounter(90)]).toEqual([18, 18])
  // Two hours from 57°, wherever it stood.
  pot.reads([145, 23])
  expect(pot.stands('cool-first', 146)).toBe('missed')
})
