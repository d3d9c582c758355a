import { useState } from 'react'
import { CHECKED_EVERY, type InstrumentState } from '@logged-thermal/core'
import { instrumentsMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import { Terms } from './Terms'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

/** Where it hangs and how often it is checked: from now on, and the lead signs it. */
export function ChangeInstrument({ instrument, onClose }: { instrument: InstrumentState; onClose: () => void }) {
  const { id, code, kind, checks } = instrument
  const known = checks === 'not asked' ? { everyDays: CHECKED_EVERY[kind], overdue: 'counts' as const } : checks
  const [place, setPlace] = useState(instrument.place ?? '')
  const [tolerance, setTolerance] = useState(instrument.tolerance)
  const [days, setDays] = useState(known.everyDays)
  const [overdue, setOverdue] = useState(known.overdue)
  const [signing, setSigning] = useState(false)
  const { lead, sign, busy, refusal } = useLeadSigns('instrument-changed', onClose)
  const facts = { place: place.trim() || null, tolerance, checks: { everyDays: days, overdue } }
  return (
    <Sheet open onClose={onClose} title={signing ? say('leadSigns', { code }) : say('changeFacts')}>
      {signing && lead ? (
        <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void sign(pin, id, facts)} />
      ) : (
        <div className={styles.form}>
          <Field label={say('place')} value={place} max={60} onValue={setPlace} placeholder={say('placeExample')} />
          <Terms
            kind={kind}
            tolerance={tolerance}
            onTolerance={setTolerance}
            days={days}
            onDays={setDays}
            overdue={overdue}
            onOverdue={setOverdue}
          />
          <p className="muted">{say('changesFromNow')}</p>
          <Key look="primary" onClick={() => setSigning(true)}>
            {say('save')}
          </Key>
        </div>
      )}
    </Sheet>
  )
}
