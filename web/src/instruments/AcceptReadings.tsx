import { useState } from 'react'
import { lookBackMessages } from '@logged-thermal/wording'
import type { Accepted } from '@logged-thermal/core'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { AcceptPin } from '../login/AcceptPin'
import styles from './lookBack.module.css'

const say = speaks(lookBackMessages)

interface Props {
  /** What it is of, in words. */
  what: string
  entries: Accepted[]
  onClose: () => void
}

/** The lead lets what a failed instrument read count again, batch by batch or all that holds either way, with a reason. */
export function AcceptReadings({ what, entries, onClose }: Props) {
  const [reason, setReason] = useState('')
  const [tried, setTried] = useState(false)
  const [signing, setSigning] = useState(false)
  const told = reason.trim()
  return (
    <Sheet open onClose={onClose} title={say('letCountTitle', { what })}>
      {signing ? (
        <AcceptPin body={{ entries, reason: told }} onAccepted={onClose} />
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
