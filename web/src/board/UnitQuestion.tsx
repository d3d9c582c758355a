import type { Typed, TemperatureScale } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { Notice } from '../kit/Notice'

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
            {value} °{scale} is right
          </Key>
          <Key look="outlined" onClick={onAgain}>
            Read again
          </Key>
        </>
      }
    >
      <p>
        Not logged yet. {value} °{scale} is nothing this pan does.
      </p>
    </Notice>
  )
}
