import { kitMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { DigitKeys } from './DigitKeys'
import { Field } from './Field'
import { Key } from './Key'
import styles from './numberPad.module.css'
import { speaks } from './language'

const say = speaks(kitMessages)

interface Props {
  /** What the number is: 'Weighed'. */
  name: string
  unit: string
  /** Decimals that can be typed; 0 for a count. */
  decimals?: 0 | 1 | 2
  /** It may be below zero. */
  signed?: boolean
  /** What the key says that takes it. */
  take: string
  disabled?: boolean
  onTake: (value: number) => void
}

/** A number with a wet thumb: large keys, and one that takes it. The keyboard writes into it too. */
export function NumberPad({ name, unit, decimals = 0, signed = false, take, disabled = false, onTake }: Props) {
  const [text, setText] = useState('')
  const value = ['', '.', '-', '-.'].includes(text) ? null : Number(text)
  const put = (next: string) => {
    if (new RegExp(`^${signed ? '-?' : ''}\\d{0,6}${decimals ? `(\\.\\d{0,${decimals}})?` : ''}$`).test(next))
      setText(next)
  }
  const done = () => {
    if (value === null || disabled) return
    onTake(value)
    setText('')
  }
  return (
    <div className={styles.pad} role="group" aria-label={name}>
      <Field
        className={styles.value}
        label={name}
        mode="none"
        unit={unit}
        value={text}
        onValue={(typed) => put(typed.replace(',', '.').replace('−', '-'))}
        onDone={done}
      />
      <DigitKeys
        onDigit={(digit) => put(text + digit)}
        onBack={() => setText(text.slice(0, -1))}
        left={decimals ? <Key onClick={() => put(`${text}.`)}>.</Key> : undefined}
      />
      {signed && (
        <Key look="outlined" onClick={() => put(text.startsWith('-') ? text.slice(1) : `-${text}`)}>
          {say('belowZero')}
        </Key>
      )}
      <Key look="primary" disabled={disabled || value === null} onClick={done}>
        {take}
      </Key>
    </div>
  )
}
