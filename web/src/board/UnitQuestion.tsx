import { boardMessages } from '@logged-thermal/wording'
import type { Typed, TemperatureScale } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { Notice } from '../kit/Notice'
import { speaks } from '../kit/language'

const say = speaks(boardMessages)

/** A number that is plausible only in the other unit: asked once, never blocked. */
export function UnitQuestion({
  typed,
  other,
  onAnswer,
  onAgain,
}: {
  typed: Typed
  other: TemperatureScale
  onAnswer: (typed: Typed) => void
  onAgain: () => void
}) {
  const { value, unit: scale } = typed
  return (
    <Notice
      title={`${value}: °${other}?`}
      keys={
        <>
          <Key look="primary" onClick={() => onAnswer({ value, unit: other })}>
            {value} °{other}
          </Key>
          <Key look="outlined" onClick={() => onAnswer(typed)}>
            {say('isRight', { value, scale })}
          </Key>
          <Key look="outlined" onClick={onAgain}>
            {say('readAgain')}
          </Key>
        </>
      }
    >
      <p>{say('notLoggedYetNothing', { value, scale })}</p>
    </Notice>
  )
}
