import { useState } from 'react'
import { timelineOf, type BatchState, type RawIn } from '@logged-thermal/core'
import { clock, type Reader, decideMessages } from '@logged-thermal/wording'
import { SignedSheet } from '../login/SignedSheet'
import { Key } from '../kit/Key'
import styles from './decide.module.css'
import { speaks } from '../kit/language'

const say = speaks(decideMessages)

const WHAT: Record<RawIn['what'], string> = {
  egg: say('rawEgg'),
  fruit: say('untreatedFrozenFruit'),
  part: say('rawPart'),
}
/** A reason is at least so long. */
const LEAST = 10

/** What went in raw after the mixture was read opened the floor again. Where it was only entered late, the lead says so. */
export function AlreadyIn({ batch, reader }: { batch: BatchState; reader: Reader }) {
  const [signing, setSigning] = useState<RawIn | null>(null)
  const after = timelineOf(batch).rawAfterReading
  if (after.length === 0) return null
  return (
    <div className={styles.lateReading}>
      <ul>
        {after.map((raw) => (
          <li key={raw.entry}>
            {say('enteredForAfterReading', { what: WHAT[raw.what], time: clock(raw.at, reader) })}{' '}
            <Key look="outlined" onClick={() => setSigning(raw)}>
              {say('itWasInAlready')}
            </Key>
          </li>
        ))}
      </ul>
      {signing && (
        <SignedSheet
          title={say('fromFirst', { what: WHAT[signing.what] })}
          ask={say('howKnownWithEarlier')}
          least={LEAST}
          kind="already-in"
          about={batch.id}
          body={(reason) => ({ target: signing.entry, reason })}
          onClose={() => setSigning(null)}
        />
      )}
    </div>
  )
}
