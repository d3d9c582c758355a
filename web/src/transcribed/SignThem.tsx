import { useState } from 'react'
import type { TranscribedCooling, TranscribedLog } from '@logged-thermal/core'
import { transcribedMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useBringIn } from './useBringIn'

const say = speaks(transcribedMessages)

interface Props {
  file: Pick<TranscribedLog, 'source' | 'sha256'>
  rows: readonly TranscribedCooling[]
  onDone: () => void
}

/** The lead signs once, and all of it comes in; where it is interrupted, signing again goes on. */
export function SignThem({ file, rows, onDone }: Props) {
  const { lead, bringIn, busy, progress } = useBringIn(file, rows)
  const [open, setOpen] = useState(false)
  const count = rows.length
  const isAllIn = progress?.done === count
  return (
    <>
      <Key look="primary" onClick={() => setOpen(true)}>
        {say('bringThemIn', { count })}
      </Key>
      <Sheet
        open={open}
        onClose={() => (isAllIn ? onDone() : setOpen(false))}
        title={say('bringThemIn', { count })}
        saved={isAllIn}
      >
        <p className="sentence">{say('leadSigns')}</p>
        {progress && (
          <p role="status">
            <strong>{isAllIn ? say('allIn') : say('done', { done: progress.done, count })}</strong> {say('restIn')}
          </p>
        )}
        {lead && !isAllIn && (
          <PinPad of={lead} busy={busy} sentence={progress?.refusal ?? null} onPin={(pin) => void bringIn(pin)} />
        )}
      </Sheet>
    </>
  )
}
