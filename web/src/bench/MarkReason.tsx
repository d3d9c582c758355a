import { useState } from 'react'
import { outOfOrder, type BatchState, type Edge } from '@logged-thermal/core'
import { orderSentence, benchSheetsMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchSheetsMessages)

const OFTEN = [say('doneNotTicked'), say('anotherWayMaking'), say('forgotten')]

interface Props {
  batch: BatchState
  step: string
  edge: Edge
  onClose: () => void
  onReason: (reason: string) => void
}

/** A step is marked where another comes first, or one that matters is left out: with a word why, or not at all. */
export function MarkReason({ batch, step, edge, onClose, onReason }: Props) {
  const [said, setSaid] = useState('')
  const why = outOfOrder(batch, step, edge)
  return (
    <Sheet open onClose={onClose} title={say('outOrder')}>
      <p className="sentence">{why ? orderSentence(why, spoken) : say('nothingStandsWayAny')}</p>
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
    </Sheet>
  )
}
