import type { BatchState } from '@logged-thermal/core'
import { toolsMessages } from '@logged-thermal/wording'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { ToolKeys } from './ToolKeys'

const say = speaks(toolsMessages)

/** Any tool of the kitchen that a batch went through, at whatever step. */
export function ToolSheet({ batch, step, onClose }: { batch: BatchState; step: string; onClose: () => void }) {
  return (
    <Sheet open onClose={onClose} title={say('throughWhich', { kind: 'other' })}>
      <ToolKeys batch={batch} step={step} of={null} open onTold={onClose} />
    </Sheet>
  )
}
