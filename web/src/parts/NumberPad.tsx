import { useState } from 'react'
import { Key } from './Key'
import './numberPad.css'

interface Props {
  /** What the number is, and its unit: 'Weighed, g'. */
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
    if (value === null || !(signed || value >= 0)) return
    onTake(value)
    setText('')
  }
  return (
    <div className="number-pad" role="group" aria-label={name}>
      <label className="form-field">
        {name}
        <span className="number-pad-value">
          <input
            inputMode="none"
            value={text}
            onChange={({ target }) => put(target.value.replace(',', '.').replace('−', '-'))}
            onKeyDown={({ key }) => key === 'Enter' && done()}
          />
          {unit}
        </span>
      </label>
      <div className="number-pad-keys">
        {['7', '8', '9', '4', '5', '6', '1', '2', '3'].map((digit) => (
          <Key key={digit} onClick={() => put(text + digit)}>
            {digit}
          </Key>
        ))}
        {decimals ? <Key onClick={() => put(`${text}.`)}>.</Key> : <span />}
        <Key onClick={() => put(`${text}0`)}>0</Key>
        <Key look="outlined" aria-label="Take back a digit" onClick={() => setText(text.slice(0, -1))}>
          ⌫
        </Key>
      </div>
      {signed && (
        <Key look="outlined" onClick={() => put(text.startsWith('-') ? text.slice(1) : `-${text}`)}>
          below zero, −
        </Key>
      )}
      <Key look="primary" disabled={disabled || value === null} onClick={done}>
        {take}
      </Key>
    </div>
  )
}
