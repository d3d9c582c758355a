import { useEffect, useRef, useState } from 'react'
import { Key } from '../parts/Key'
import './login.css'

/** Four digits, by tap or by keyboard. The fourth asks. */
export function PinPad({
  name,
  busy,
  sentence,
  onPin,
}: {
  name: string
  busy: boolean
  sentence: string | null
  onPin: (pin: string) => void
}) {
  const [digits, show] = useState('')
  // Keys come faster than a render: what was typed is read from here.
  const latest = useRef('')
  const setDigits = (next: string) => {
    latest.current = next
    show(next)
  }
  const press = (digit: string) => {
    if (busy) return
    const next = latest.current + digit
    if (next.length < 4) return setDigits(next)
    setDigits('')
    onPin(next)
  }
  useEffect(() => {
    const typed = ({ key }: KeyboardEvent) => {
      if (/^\d$/.test(key)) press(key)
      if (key === 'Backspace') setDigits(latest.current.slice(0, -1))
    }
    window.addEventListener('keydown', typed)
    return () => window.removeEventListener('keydown', typed)
  })
  return (
    <section aria-label="PIN">
      <h2 className="title">{name}, your four digits</h2>
      <div className="pin-digits" role="img" aria-label={`${digits.length} of 4 digits`}>
        {[0, 1, 2, 3].map((i) => (
          <i key={i} className={i < digits.length ? 'filled' : ''} />
        ))}
      </div>
      <div className="pin-pad">
        {[...'0123456789'].map((digit) => (
          <Key key={digit} onClick={() => press(digit)}>
            {digit}
          </Key>
        ))}
        <Key look="outlined" className="wide" onClick={() => setDigits('')}>
          Clear
        </Key>
      </div>
      <p className="sentence" role="alert">
        {sentence}
      </p>
    </section>
  )
}
