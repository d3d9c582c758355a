import type { Finding } from '@logged-thermal/core'
import { checkTitle, findingSentence, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'

interface Props {
  floor: Finding
  reader: Reader
  onClose: () => void
  onSure: () => void
}

/** It would come off the heat before its floor is proven: asked once, for what is off cannot be proven by heat any more. */
export function OffHeat({ floor, reader, onClose, onSure }: Props) {
  return (
    <Sheet open onClose={onClose} title="Off the heat before it is proven?">
      <p className="sentence">
        {checkTitle(floor, reader)}: {findingSentence(floor, reader)} Taken off now, it stays unproven until the lead
        decides.
      </p>
      <KeyRow>
        <Key look="primary" onClick={onClose}>
          Keep it on the heat
        </Key>
        <Key look="outlined" onClick={onSure}>
          It is off the heat
        </Key>
      </KeyRow>
    </Sheet>
  )
}
