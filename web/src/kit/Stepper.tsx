import { kitMessages } from '@logged-thermal/wording'
import { Key } from './Key'
import styles from './stepper.module.css'
import { speaks } from './language'

const say = speaks(kitMessages)

/** A value with a key for less and one for more. */
export function Stepper({ name, value, onStep }: { name: string; value: string; onStep: (step: 1 | -1) => void }) {
  return (
    <div className={styles.stepper} role="group" aria-label={name}>
      <Key aria-label={say('lessName', { name })} onClick={() => onStep(-1)}>
        −
      </Key>
      <span aria-live="polite">{value}</span>
      <Key aria-label={say('moreName', { name })} onClick={() => onStep(1)}>
        +
      </Key>
    </div>
  )
}
