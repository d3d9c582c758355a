import fc from 'fast-check'
import { attention } from '../advice/attention'
import { forecastOf, NO_MEANS } from '../advice/cooling/forecast'
import { guideOf } from '../advice/guide/guide'
import { windowOf } from '../advice/heating/window'
import type { Instant } from '../ground/instant'
import { judgeOf } from '../judgement/batch/judge'
import type { BatchState } from '../state/batch'
import { acts, deeds } from '../test/deeds'
import { History } from '../test/history'
import { at } from '../test/traces'

/** What is found of a state is kept beside it, and a tablet judges old states and new ones by turns. */

const WORLD = { zone: 'UTC', means: NO_MEANS }

function foundOf(batch: BatchState, now: Instant) {
  const findings = judgeOf(batch, [], WORLD).findings(now)
  const forecast = forecastOf(batch, findings)
  return {
    findings,
    window: windowOf(batch, findings),
    guide: guideOf(batch, now),
    asks: attention(batch, findings, WORLD, now),
    gates: forecast?.gates ?? null,
  }
}

/** A state that throws when anything in it is set. */
function frozen<T>(value: T): T {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value
  for (const each of Object.values(value)) frozen(each)
  return ArrayBuffer.isView(value) ? value : Object.freeze(value)
}

describe('a state of a batch', () => {
  it('is judged as if there were no other, in whatever order states are judged, and never changes', () => {
    fc.assert(
      fc.property(deeds, fc.array(fc.nat(), { minLength: 20, maxLength: 20 }), (all, order) => {
        const history = new History([true, false])
        const seen: { batch: BatchState; now: Instant; alone: ReturnType<typeof foundOf> }[] = []
        const look = () => {
          for (const pot of history.pots) {
            const batch = frozen(history.story.kitchen.read('batch', pot)!)
            const now = Math.round(at(history.now))
            seen.push({ batch, now, alone: foundOf(structuredClone(batch), now) })
          }
        }
        look()
        for (const deed of all) {
          history.act(deed, acts[deed.kind]!)
          look()
        }
        for (const pick of order) {
          const { batch, now, alone } = seen[pick % seen.length]!
          expect(foundOf(batch, now)).toEqual(alone)
        }
      }),
      { numRuns: 40, seed: 20270304 },
    )
  })
})
