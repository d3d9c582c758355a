import { MINUTE, type Instant } from '../../ground/instant'
import type { Typed } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { isWaiting, valid } from '../../state/fact'
import { ovenOf } from './baked'
import { judgeBatch } from './judgeBatch'
import { timelineOf } from '../timeline/timeline'

/** What a bake shows of a method's version: in an oven of that heat its middle was read at 90 °C after so long. */
export interface ShownBake {
  batch: string
  code: string
  startedAt: Instant
  version: number
  step: string
  /** As deep as it was filled, m. */
  depth: number
  oven: Typed
  /** From into the oven to the reading that proves it, minutes. */
  minutes: number
}

/** What a batch shows of its bake; null where its middle was not read at 90 °C, or oven and times were not told in time. */
export function shownBake(batch: BatchState, zone: string, now: Instant): ShownBake | null {
  const core = judgeBatch(batch, { zone }, now).find(({ check }) => check.limit.key === 'bake-core')
  const read = core?.standing === 'proven' ? core.deciding.at(-1) : undefined
  if (!core || read === undefined) return null
  const { step } = core.check
  const began = timelineOf(batch).marks.first({ step, edge: 'started' })
  const oven = ovenOf(step, batch)
  const late = valid(batch.facts['step-marked']).some((mark) => mark.value.step === step && isWaiting(mark))
  if (began === null || oven === null || late) return null
  const { id, code, startedAt, method, vessel } = batch
  const minutes = Math.max(0, read - began) / MINUTE
  return { batch: id, code, startedAt, version: method.version, step, depth: vessel.fillDepth, oven, minutes }
}
