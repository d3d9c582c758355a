import { useState } from 'react'
import type { Matter } from '@logged-thermal/core'
import { mattersMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import styles from './review.module.css'

const say = speaks(mattersMessages)

const WHY = [say('why_door'), say('why_overfilled'), say('why_failing'), say('why_rushed'), say('why_other')]

/** What was done, why it came about and what stops it next time; then the lead's PIN. */
export function CloseMatter({ matter, title, onClose }: { matter: Matter; title: string; onClose: () => void }) {
  const [action, setAction] = useState('')
  const [why, setWhy] = useState('')
  const [prevents, setPrevents] = useState('')
  const { lead, sign, busy, refusal } = useLeadSigns('matter-closed', onClose)
  const told = [action, why, prevents].every((each) => each.trim() !== '')
  const { id, of, subject, since } = matter
  const close = (pin: string) =>
    void sign(pin, id, { of, subject, since, action: action.trim(), why: why.trim(), prevents: prevents.trim() })
  return (
    <Sheet open onClose={onClose} title={say('closeTitle', { title })}>
      <div className={styles.closing}>
        <div>
          <Field label={say('action')} rows={2} max={500} value={action} onValue={setAction} />
          <Field label={say('why')} rows={2} max={500} value={why} onValue={setWhy} />
          <KeyRow label={say('why')}>
            {WHY.map((each) => (
              <Key key={each} look={each === why ? 'primary' : 'outlined'} onClick={() => setWhy(each)}>
                {each}
              </Key>
            ))}
          </KeyRow>
          <Field label={say('prevents')} rows={2} max={500} value={prevents} onValue={setPrevents} />
        </div>
        {lead && told ? (
          <PinPad of={lead} busy={busy} sentence={refusal} onPin={close} />
        ) : (
          <p className="muted">{say('closesLead')}</p>
        )}
      </div>
    </Sheet>
  )
}
