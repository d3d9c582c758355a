import type { Finding } from '@logged-thermal/core'
import { checkTitle, findingSentence, type Reader, benchMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

interface Props {
  floor: Finding
  reader: Reader
  onClose: () => void
  onSure: () => void
}

/** It would come off the heat before its floor is proven: asked once, for what is off cannot be proven by heat any more. */
export function OffHeat({ floor, reader, onClose, onSure }: Props) {
  return (
    <Sheet open onClose={onClose} title={say('offHeatBeforeProven')}>
      <p className="sentence">
        {say('takenOffNowStays', { check: checkTitle(floor, reader), finding: findingSentence(floor, reader) })}
      </p>
      <KeyRow>
        <Key look="primary" onClick={onClose}>
          {say('keepOnHeat')}
        </Key>
        <Key look="outlined" onClick={onSure}>
          {say('offHeat')}
        </Key>
      </KeyRow>
    </Sheet>
  )
}
