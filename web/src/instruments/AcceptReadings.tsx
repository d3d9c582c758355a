import { useState } from 'react'
import { lookBackMessages } from '@logged-thermal/wording'
import type { LookedBackBatch } from '../app/api'
import { useLine } from '../app/kitchen'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import styles from './lookBack.module.css'

const say = speaks(lookBackMessages)

/** The lead lets what a failed instrument read count again, batch by batch or all that holds either way, with a reason. */
export function AcceptReadings({ batches, onClose }: { batches: readonly LookedBackBatch[]; onClose: () => void }) {
  const line = useLine()
  const [reason, setReason] = useState('')
  const [tried, setTried] = useState(false)
  const [signing, setSigning] = useState(false)
  const { lead, sign, busy, refusal } = useLeadSigns('entries-accepted', onClose)
  const told = reason.trim()
  const [only] = batches
  const what =
    batches.length === 1 ? say('theBatch', { code: only!.code }) : say('theBatches', { count: batches.length })
  const accept = (pin: string) => {
    const entries = batches.flatMap(({ id, doubted }) =>
      doubted.map((entry) => ({ type: 'batch' as const, id, entry })),
    )
    return sign(pin, line!.kitchen.id, { entries, reason: told })
  }
  return (
    <Sheet open onClose={onClose} title={say('letCountTitle', { what })}>
      {signing && lead ? (
        <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void accept(pin)} />
      ) : (
        <form
          className={styles.form}
          onSubmit={(event) => {
            event.preventDefault()
            setTried(true)
            if (told !== '') setSigning(true)
          }}
        >
          <Field
            label={say('reason')}
            value={reason}
            max={300}
            rows={2}
            placeholder={say('reasonExample')}
            onValue={setReason}
            error={tried && told === '' ? say('giveReason') : null}
            first
          />
          <Key look="primary" type="submit">
            {say('sign')}
          </Key>
        </form>
      )}
    </Sheet>
  )
}
