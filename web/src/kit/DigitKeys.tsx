import { kitMessages } from '@logged-thermal/wording'
import type { ReactNode } from 'react'
import { Key } from './Key'
import styles from './digitKeys.module.css'
import { speaks } from './language'

const say = speaks(kitMessages)

interface Props {
  onDigit: (digit: string) => void
  onBack: () => void
  /** Left of the 0: a point, or nothing. */
  left?: ReactNode
  disabled?: boolean
}

/** The one layout of digits in the program: 7 8 9 above, 0 below between what a pad adds and taking back. */
export function DigitKeys({ onDigit, onBack, left, disabled = false }: Props) {
  return (
    <div className={styles.digits}>
      {['7', '8', '9', '4', '5', '6', '1', '2', '3'].map((digit) => (
        <Key key={digit} disabled={disabled} onClick={() => onDigit(digit)}>
          {digit}
        </Key>
      ))}
      {left ?? <span />}
      <Key disabled={disabled} onClick={() => onDigit('0')}>
        0
      </Key>
      <Key look="outlined" aria-label={say('takeBackDigit')} onClick={onBack}>
        ⌫
      </Key>
    </div>
  )
}
