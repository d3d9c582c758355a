import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { Step } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { inOrder, valid } from '../../state/fact'
import { timelineOf } from '../timeline/timeline'

/** A step of a batch as it was cooked. */
export interface CookedStep {
  step: Step
  began: Instant | null
  ended: Instant | null
  leftOut: boolean
  /** What was not as the method says, in order: who told it, and in which words. */
  otherwise: { at: Instant; by: Id; said: string }[]
}

/** Every step of the method that a batch was begun by, and what of it was told. */
export function asCooked(batch: BatchState): CookedStep[] {
  const timeline = timelineOf(batch)
  const { 'step-marked': marks, 'step-deviated': deviated } = batch.facts
  return batch.method.steps.map((step) => {
    const own = valid(marks).filter(({ value }) => value.step === step.key)
    const told = [
      ...own.flatMap(({ at, by, value }) => (value.reason === null ? [] : [{ at, by, said: value.reason }])),
      ...inOrder(deviated)
        .filter(({ value }) => value.step === step.key)
        .map(({ at, by, value }) => ({ at, by, said: value.said })),
    ]
    const first = (edge: 'started' | 'combined' | 'done') => timeline.marks.first({ step: step.key, edge })
    const leftOut = own.some(({ value }) => value.edge === 'skipped')
    return {
      step,
      began: first('started') ?? first('combined'),
      ended: leftOut ? null : (timeline.stepEnded(step.key) ?? first('done')),
      leftOut,
      otherwise: told.sort((a, b) => a.at - b.at),
    }
  })
}
