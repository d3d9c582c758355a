import { useState } from 'react'
import type { Bodies, Id } from '@logged-thermal/core'
import { planMessages } from '@logged-thermal/wording'
import { Columns } from '../../kit/Columns'
import { Field } from '../../kit/Field'
import { PinPad } from '../../kit/PinPad'
import { Sheet } from '../../kit/Sheet'
import { speaks } from '../../kit/language'
import { useLeadSigns } from '../../login/useLeadSigns'
import styles from './plan.module.css'

const say = speaks(planMessages)

const LONGEST = 2000

interface Props {
  method: { id: Id; name: string }
  /** What the lead has before them, and a note of before to begin with. */
  body: Bodies['plan-signed']
  onClose: () => void
}

/** The lead's note, and the PIN under the plan as it is shown. */
export function SignPlan({ method, body, onClose }: Props) {
  const [note, setNote] = useState(body.note)
  const { lead, sign, busy, refusal } = useLeadSigns('plan-signed', onClose)
  const put = (pin: string) => void sign(pin, method.id, { ...body, note: note.trim() })
  return (
    <Sheet open onClose={onClose} title={say('signTitle', { method: method.name, version: body.version })}>
      <Columns>
        <div>
          <p className={styles.says}>{say('signSays')}</p>
          <Field
            label={say('note')}
            rows={4}
            max={LONGEST}
            value={note}
            placeholder={say('notePlaceholder')}
            onValue={setNote}
          />
        </div>
        {lead && <PinPad of={lead} busy={busy} sentence={refusal} onPin={put} />}
      </Columns>
    </Sheet>
  )
}
