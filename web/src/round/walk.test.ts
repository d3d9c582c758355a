import { NOTHING_YET } from '@logged-thermal/core'
import type { JudgedBatch } from '../app/kitchen'
import { stopsDue, walkOn } from './walk'

const TEN = Date.UTC(2027, 2, 3, 10)
const at = (minutes: number) => TEN + minutes * 60_000
const steps = [
  { key: 'cook', kind: 'cook', measures: 'mixture' },
  { key: 'cool', kind: 'cool', measures: 'mixture' },
]

/** A batch that asks for a reading; off the heat unless it says otherwise. */
function asked(id: string, minutes: number, offHeat = true): JudgedBatch {
  const mark = { at: at(-30), void: false, value: { step: 'cook', edge: 'done' } }
  const batch = {
    id,
    startedAt: at(-60),
    method: { steps, cooling: 'stages', family: 'fruit-curd' },
    checks: [],
    ...NOTHING_YET,
    facts: { ...NOTHING_YET.facts, 'step-marked': offHeat ? [mark] : [] },
  }
  return { batch, asks: { kind: 'read', at: at(minutes) } } as unknown as JudgedBatch
}
const ids = (judged: JudgedBatch[], now: number) => stopsDue(judged, at(now)).map(({ one }) => one.batch.id)

it('walks what is due and what will be shortly, the first due first', () => {
  const pans = [asked('later', 30), asked('soon', 8), asked('late', -5), asked('now', 0)]
  expect(ids(pans, 0)).toEqual(['late', 'now', 'soon'])
  expect(ids(pans, -10)).toEqual([])
})

it('leaves a pot on the heat to whoever stands at it', () => {
  expect(ids([asked('pot', -1, false), asked('pan', -1)], 0)).toEqual(['pan'])
})

it('goes on in its order as more falls due, and walks nothing twice', () => {
  const first = stopsDue([asked('a', 0), asked('b', 5)], at(0))
  const walk = walkOn([], first)
  expect(walk).toEqual(['a', 'b'])
  const more = stopsDue([asked('c', 3), asked('b', 5)], at(5))
  expect(walkOn(walk, more)).toEqual(['a', 'b', 'c'])
})
