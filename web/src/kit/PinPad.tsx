import { kitMessages } from '@logged-thermal/wording'
import { useLayoutEffect, useRef, useState } from 'react'
import { DigitKeys } from './DigitKeys'
import { Key } from './Key'
import styles from './pinPad.module.css'
import { speaks } from './language'

const say = speaks(kitMessages)

/** No PIN has fewer digits, and none more; a lead’s has more than the fewest. */
const [LEAST, MOST] = [4, 12]

interface Props {
  /** `digits`: how many the PIN has, and the last one asks. null: not told on this tablet, so a key asks. */
  of: { name: string; digits: number | null }
  /** As few digits as a new one may have. */
  least?: number
  busy: boolean
  sentence: string | null
  onPin: (pin: string) => void
}

/** The digits of a PIN, by tap or by keyboard. */
export function PinPad({ of: { name, digits }, least = LEAST, busy, sentence, onPin }: Props) {
  const [typed, show] = useState('')
  // Keys come faster than a render: what was typed is read from here.
  const latest = useRef('')
  const setTyped = (next: string) => {
    latest.current = next
    show(next)
  }
  const ask = () => {
    const pin = latest.current
    if (busy || pin.length < least) return
    setTyped('')
    onPin(pin)
  }
  const press = (digit: string) => {
    if (busy || latest.current.length >= (digits ?? MOST)) return
    setTyped(latest.current + digit)
    if (latest.current.length === digits) ask()
  }
  // With the paint that says a PIN was wrong, not after it: the first digit of the next one was lost in between.
  useLayoutEffect(() => {
    const pressed = ({ key }: KeyboardEvent) => {
      if (/^\d$/.test(key)) press(key)
      if (key === 'Backspace') setTyped(latest.current.slice(0, -1))
      if (key === 'Enter' && digits === null) ask()
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  })
  const places = digits ?? Math.max(least, typed.length)
  return (
    <section aria-label={say('pin')} className={styles.pin}>
      <h2 className="title">{say('yourPin', { name })}</h2>
      <div className={styles.typed} role="img" aria-label={say('digitsTyped', { typed: typed.length })}>
        {Array.from({ length: places }, (_, i) => (
          <i key={i} className={i < typed.length ? styles.filled : undefined} />
        ))}
      </div>
      <DigitKeys disabled={busy} onDigit={press} onBack={() => setTyped(latest.current.slice(0, -1))} />
      {digits === null && (
        <Key look="primary" disabled={typed.length < least || busy} onClick={ask}>
          {say('done')}
        </Key>
      )}
      <p className={styles.said} role="alert">
        {sentence}
      </p>
    </section>
  )
}
