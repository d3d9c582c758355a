import type { BatchState } from '@logged-thermal/core'
import { cuesOf, benchSheetsMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchSheetsMessages)

/** How it looks, sounds and moves, with one tap: kept beside the trace, and never proof of anything. */
export function CueSheet({
  batch,
  open,
  onClose,
  onCue,
}: {
  batch: BatchState
  open: boolean
  onClose: () => void
  onCue: (cue: { key: string; text: string }) => void
}) {
  return (
    <Sheet open={open} onClose={onClose} title={say('whatDoYouSee')}>
      <NameKeys>
        {cuesOf(batch.method.family, spoken).map((cue) => (
          <Key key={cue.key} onClick={() => onCue(cue)}>
            {cue.text}
          </Key>
        ))}
      </NameKeys>
      <p className="sentence">{say('cueStandsBesideTrace')}</p>
    </Sheet>
  )
}
