import { benchMessages } from '@logged-thermal/wording'
import { isHeld, type BatchState } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import styles from './holdStrip.module.css'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(benchMessages)

interface Props {
  batch: BatchState
  open: boolean
  onDecide: () => void
}

/** On hold, and still to be cooled and read: the lead's decision stands beside what hands have to do. */
export function HoldStrip({ batch, open, onDecide }: Props) {
  if (!isHeld(batch)) return null
  return (
    <section className={styles.strip} aria-label={say('onHold')}>
      <p>
        <strong>{say('onHoldDoNot')}</strong> {batch.disposition?.value.reason} {say('goOnCoolingReading')}
      </p>
      <Key look="outlined" why={shutUnless(open)} onClick={onDecide}>
        {say('decide')}
      </Key>
    </section>
  )
}
