import { shellMessages } from '@logged-thermal/wording'
import { useState, type ReactNode } from 'react'
import type { Bodies, Id, Kind } from '@logged-thermal/core'
import { Sheet } from '../kit/Sheet'
import { PinPad } from '../kit/PinPad'
import { useLeadSigns } from './useLeadSigns'
import { Field } from '../kit/Field'
import styles from './signed.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

interface Props<K extends Kind> {
  title: string
  ask: string
  /** A reason is at least so long. */
  least: number
  kind: K
  about: Id
  body: (reason: string) => Bodies[K]
  onClose: () => void
  /** What it is decided by, over the reason. */
  children?: ReactNode
}

/** What the lead signs: a reason in writing, then the PIN. */
export function SignedSheet<K extends Kind>({ title, ask, least, kind, about, body, onClose, children }: Props<K>) {
  const [reason, setReason] = useState('')
  const { lead, sign, busy, refusal } = useLeadSigns(kind, onClose)
  return (
    <Sheet open onClose={onClose} title={title}>
      <div className={styles.signed}>
        <div>
          {children}
          <Field label={ask} value={reason} max={300} rows={4} onValue={setReason} />
        </div>
        {lead && reason.trim().length >= least ? (
          <PinPad
            of={lead}
            busy={busy}
            sentence={refusal}
            onPin={(pin) => void sign(pin, about, body(reason.trim()))}
          />
        ) : (
          <p className="muted">{say('foodSafetyLeadSigns')}</p>
        )}
      </div>
    </Sheet>
  )
}
