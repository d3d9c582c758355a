import Stack from '@mui/material/Stack'
import { useState } from 'react'
import { outOfOrder, type BatchState, type Edge, type OutOfOrder } from '@logged-thermal/core'
import { orderSentence, benchSheetsMessages, type Reader } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

const OFTEN = [say('doneNotTicked'), say('anotherWayMaking'), say('forgotten')]

interface Props {
  batch: BatchState
  step: string
  edge: Edge
  now: number
  reader: Reader
  onClose: () => void
  onReason: (reason: string) => void
}

function titleOf(why: OutOfOrder | null): string {
  if (why?.code === 'cut short') return say('soonerThanSaid')
  return why?.code === 'too long' ? say('longerThanSaid') : say('outOrder')
}

/** A step is marked where another comes first, or one that matters is left out: with a word why, or not at all. */
export function MarkReason({ batch, step, edge, now, reader, onClose, onReason }: Props) {
  const [said, setSaid] = useState('')
  const why = outOfOrder(batch, step, edge, now)
  return (
    <Sheet open onClose={onClose} title={titleOf(why)}>
      <Stack spacing={2} useFlexGap>
        <p className="sentence">{why ? orderSentence(why, reader) : say('nothingStandsWayAny')}</p>
        <NameKeys>
          {OFTEN.map((text) => (
            <Key key={text} onClick={() => onReason(text)}>
              {text}
            </Key>
          ))}
        </NameKeys>
        <Field label={say('orYourOwnWords')} value={said} max={300} onValue={setSaid} />
        <Key look="primary" why={said.trim() === '' && say('writeItFirst')} onClick={() => onReason(said.trim())}>
          {say('markWith')}
        </Key>
      </Stack>
    </Sheet>
  )
}
