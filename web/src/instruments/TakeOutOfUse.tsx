import { useState } from 'react'
import type { InstrumentState } from '@logged-thermal/core'
import { instrumentsMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

const HOWS = ['lost', 'retired'] as const

/** Lost or retired, with the reason, signed by the lead. */
export function TakeOutOfUse({ instrument, onClose }: { instrument: InstrumentState; onClose: () => void }) {
  const { id, code } = instrument
  const [how, setHow] = useState<(typeof HOWS)[number]>('lost')
  const [reason, setReason] = useState('')
  const [tried, setTried] = useState(false)
  const [signing, setSigning] = useState(false)
  const { lead, sign, busy, refusal } = useLeadSigns('instrument-gone', onClose)
  const told = reason.trim()
  const ask = () => {
    setTried(true)
    if (told !== '') setSigning(true)
  }
  return (
    <Sheet open onClose={onClose} title={signing ? say('leadSigns', { code }) : say('outOfUse')}>
      {signing && lead ? (
        <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void sign(pin, id, { how, reason: told })} />
      ) : (
        <div className={styles.form}>
          <ChoiceKeys
            name={say('outOfUse')}
            options={HOWS}
            chosen={how}
            words={(each) => say(each === 'lost' ? 'goneHow_lost' : 'goneHow_retired')}
            onChoose={setHow}
          />
          <Field
            label={say('goneWhy')}
            value={reason}
            max={200}
            onValue={setReason}
            error={tried && told === '' ? say('sayWhy') : null}
          />
          <p className="muted">{say('nothingMoreRead')}</p>
          <Key look="primary" onClick={ask}>
            {say('save')}
          </Key>
        </div>
      )}
    </Sheet>
  )
}
