import {
  celsiusOf,
  type AnyClaim,
  type BatchState,
  type Change,
  type ReadingBody,
  type Told,
} from '@logged-thermal/core'
import { speaker, type Spoken } from './catalogue/say'
import { changesMessages } from './catalogue/changes'
import { doneWords } from './doneWords'
import { clock, degrees, type Reader } from './figures'

const say = speaker(changesMessages)

/** What an entry of a kind told, and of when: '64.2° at 14:05'. */
export function toldWords(
  kind: Change['kind'],
  { at, value }: Told,
  steps: BatchState['method']['steps'],
  reader: Reader,
): string {
  return say(reader, 'toldAt', { what: whatWords(kind, value, steps, reader), time: clock(at, reader) })
}

function whatWords(
  kind: Change['kind'],
  value: Told['value'],
  steps: BatchState['method']['steps'],
  reader: Reader,
): string {
  if (kind === 'reading-taken') return degrees(celsiusOf((value as ReadingBody).typed), reader)
  const claim = { kind, body: value } as unknown as Pick<AnyClaim, 'kind' | 'body'>
  return doneWords(claim, { method: { steps } as BatchState['method'] }, reader) ?? say(reader, 'somethingDone')
}

const REASONS = ['undo', 'mistyped', 'wrong pot', 'touched the pan', 'other'] as const

/** Why something was corrected, as it was tapped; what somebody wrote stays as it is. */
export function correctionReason(reason: string, reader: Spoken): string {
  const known = REASONS.find((each) => each === reason)
  return known ? say(reader, `reason_${known}`) : reason
}
