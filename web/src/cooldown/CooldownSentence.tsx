import { isTooLate } from '@logged-thermal/core'
import { limitDegreesOf, span, type Reader, cooldownMessages } from '@logged-thermal/wording'
import type { Trials } from './useTrials'
import type { Way } from './ways'
import { speaks } from '../kit/language'

const say = speaks(cooldownMessages)

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
  if (!result) return <strong>{say('howWillCool')}</strong>
  const late = result.stages.find(isTooLate)
  const [first] = result.stages
  const spare = first?.likely != null ? first.stage.withinMinutes - first.likely : 0
  return (
    <>
      <strong>
        {late
          ? say('tooSlowForAt', { ways: ways[index]!.name, degrees: limitDegreesOf(late.stage.to, reader) })
          : say('clearsWithSpareBy', {
              ways: ways[index]!.name,
              degrees: limitDegreesOf(first?.stage.to ?? 21, reader),
              span: span(spare * 60_000, reader),
            })}
      </strong>{' '}
      {missed && !late ? say('tooSlow', { missed: missed.name }) : ''}
    </>
  )
}
