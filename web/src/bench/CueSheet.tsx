import type { BatchState } from '@logged-thermal/core'
import { cuesOf } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'

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
    <Sheet open={open} onClose={onClose} title="What do you see?">
      <NameKeys>
        {cuesOf(batch.method.family).map((cue) => (
          <Key key={cue.key} onClick={() => onCue(cue)}>
            {cue.text}
          </Key>
        ))}
      </NameKeys>
      <p className="sentence">
        A cue stands beside the trace. It closes no check, and neither does browning: only a probe in the core does.
      </p>
    </Sheet>
  )
}
