import { HOUR, MINUTE } from '../ground/instant'
import { transcribedStanding } from '../judgement/log/transcribed'
import type { TranscribedCooling, TranscribedLog } from '../ledger/transcribed'
import { limitSetOf } from '../rules/limitSet'
import { ruleSets } from '../rules/sets/ruleSets'
import { COOK, idOf, KitchenStory, LEAD, sha256 } from '../test/kitchenStory'
import { at, TEN } from '../test/traces'
import fc from 'fast-check'

/** Coolings out of logs that were kept elsewhere. */

const row = (line: number, more: Partial<TranscribedCooling> = {}): TranscribedCooling => ({
  line,
  what: 'Custard',
  method: null,
  readings: [{ at: TEN - 24 * HOUR, typed: { value: 57, unit: 'C' } }],
  note: null,
  ...more,
})
const log = (rows: TranscribedCooling[], more: Partial<TranscribedLog> = {}): TranscribedLog => ({
  source: 'winter.csv',
  sha256: sha256('winter'),
  rows,
  ...more,
})

describe('bringing in an old log', () => {
  const bring = (story: KitchenStory, body: TranscribedLog, by = LEAD) =>
    story.post('log-transcribed', story.kitchen.id, 0, body, { by }).posted

  it('is the lead’s, and takes no line of a file twice, in whatever parts it comes', () => {
    const story = new KitchenStory()
    expect(bring(story, log([row(2)]), COOK)).toMatchObject({ ok: false, code: 'may not' })
    expect(bring(story, log([row(2), row(3), row(7)]))).toMatchObject({ ok: true })
    expect(bring(story, log([row(3)]))).toMatchObject({ ok: false, code: 'already there' })
    expect(bring(story, log([row(8), row(8)]))).toMatchObject({ ok: false, code: 'already there' })
    expect(bring(story, log([row(4), row(5)]))).toMatchObject({ ok: true })
    expect(bring(story, log([row(3)], { sha256: sha256('another') }))).toMatchObject({ ok: true })
    expect(story.kitchen.read('kitchen', story.kitchen.id)!.transcribed.map(({ spans }) => spans)).toEqual([
      [
        [2, 5],
        [7, 7],
      ],
      [[3, 3]],
    ])
  })

  it.each([
    ['nothing', log([]), 'body.rows'],
    [
      'what was not read yet',
      log([row(1, { readings: [{ at: at(1), typed: { value: 5, unit: 'C' } }] })]),
      'body.rows.0.readings',
    ],
    ['a method that is not there', log([row(1, { method: idOf('none') })]), 'body.rows.0.method'],
    ['a cooling without a reading', log([row(1, { readings: [] })]), 'body.rows[0].readings'],
    [
      'readings out of order',
      log([row(1, { readings: [...row(1).readings, { at: TEN - 25 * HOUR, typed: { value: 40, unit: 'C' } }] })]),
      'body.rows[0].readings',
    ],
    ['a hash that is none', log([row(1)], { sha256: 'x' }), 'body.sha256'],
  ])('refuses %s', (_, body, field) => {
    expect(bring(new KitchenStory(), body)).toMatchObject({ ok: false, field })
  })
})

describe('a cooling out of an old log', () => {
  const limits = limitSetOf(ruleSets['us-food-code-2022']!, { id: idOf('limits'), from: 0 })
  const stands = (read: [minutes: number, celsius: number][]) =>
    transcribedStanding(
      { readings: read.map(([minutes, value]) => ({ at: TEN + minutes * MINUTE, typed: { value, unit: 'C' } })) },
      [limits],
      'UTC',
    )

  it.each([
    [
      'was in time',
      'unproven',
      [
        [0, 60],
        [10, 56],
        [100, 20],
        [240, 4],
      ],
    ],
    [
      'was read too warm after two hours',
      'missed',
      [
        [0, 60],
        [10, 56],
        [140, 30],
      ],
    ],
    [
      'was read too warm after six',
      'missed',
      [
        [0, 56],
        [100, 20],
        [380, 9],
      ],
    ],
    ['has one reading', 'unproven', [[0, 4]]],
    [
      'was cold too late to be known',
      'unproven',
      [
        [0, 60],
        [400, 4],
      ],
    ],
  ] as const)('that %s is %s', (_, standing, read) => {
    expect(stands(read.map(([minutes, celsius]) => [minutes, celsius]))).toBe(standing)
  })

  it('that was in time is never said to be too slow, whenever it was read', () => {
    // A cup that falls towards 3°: with this constant or less, min, it is through both stages in time.
    const IN_TIME = 105
    const minutes = fc.uniqueArray(fc.integer({ min: 0, max: 600 }), { minLength: 1, maxLength: 10 })
    fc.assert(
      fc.property(minutes, fc.double({ min: 20, max: IN_TIME, noNaN: true }), (read, constant) => {
        const celsius = (minute: number) => Math.round((3 + 77 * Math.exp(-minute / constant)) * 10) / 10
        const all = read.sort((a, b) => a - b).map((minute): [number, number] => [minute, celsius(minute)])
        expect(stands(all)).toBe('unproven')
      }),
    )
  })
})
