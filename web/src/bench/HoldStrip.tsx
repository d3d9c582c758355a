import { isHeld, type BatchState } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import styles from './holdStrip.module.css'

interface Props {
  batch: BatchState
  open: boolean
  onDecide: () => void
}

/** On hold, and still to be cooled and read: the lead's decision stands beside what hands have to do. */
export function HoldStrip({ batch, open, onDecide }: Props) {
  if (!isHeld(batch)) return null
  return (
    <section className={styles.strip} aria-label="On hold">
      <p>
        <strong>On hold. Do not use.</strong> {batch.disposition?.value.reason} Go on cooling and reading it.
      </p>
      <Key look="outlined" disabled={!open} onClick={onDecide}>
        Decide
      </Key>
    </section>
  )
}
