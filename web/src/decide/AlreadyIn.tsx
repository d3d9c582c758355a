import { useState } from 'react'
import { timelineOf, type BatchState, type RawIn } from '@logged-thermal/core'
import { clock, type Reader } from '@logged-thermal/wording'
import { SignedSheet } from '../login/SignedSheet'
import { Key } from '../kit/Key'
import styles from './decide.module.css'

const WHAT: Record<RawIn['what'], string> = { egg: 'Raw egg', fruit: 'Untreated frozen fruit', part: 'A raw part' }
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
            {WHAT[raw.what]}, entered for {clock(raw.at, reader)}, after a reading: what was read before was without it.{' '}
            <Key look="outlined" onClick={() => setSigning(raw)}>
              It was in already
            </Key>
          </li>
        ))}
      </ul>
      {signing && (
        <SignedSheet
          title={`${WHAT[signing.what]} was in from the first?`}
          ask="How that is known. With it the earlier readings count as of the whole pot."
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
