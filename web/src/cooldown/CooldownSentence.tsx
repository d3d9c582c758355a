import { isTooLate } from '@logged-thermal/core'
import { limitDegreesOf, span, type Reader } from '@logged-thermal/wording'
import type { Trials } from './useTrials'
import type { Way } from './ways'

/** What the chosen way comes to, and one that does not make it. */
export function CooldownSentence({
  ways,
  trials,
  index,
  reader,
}: {
  ways: readonly Way[]
  trials: Trials
  index: number
  reader: Reader
}) {
  const result = trials.results[index]
  const missed = ways.find((_, i) => i !== index && trials.results[i]?.stages.some(isTooLate))
  if (!result) return <strong>How will it cool?</strong>
  const late = result.stages.find(isTooLate)
  const [first] = result.stages
  const spare = first?.likely != null ? first.stage.withinMinutes - first.likely : 0
  return (
    <>
      <strong>
        {late
          ? `${ways[index]!.name} is too slow for ${limitDegreesOf(late.stage.to, reader)} at this depth.`
          : `${ways[index]!.name} clears ${limitDegreesOf(first?.stage.to ?? 21, reader)} with ${span(spare * 60_000)} to spare, by estimate.`}
      </strong>{' '}
      {missed && !late ? `${missed.name} is too slow.` : ''}
    </>
  )
}
