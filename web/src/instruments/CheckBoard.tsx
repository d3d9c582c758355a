import { useState, type CSSProperties } from 'react'
import { celsiusOf, inUnit, type TemperatureScale, type Typed } from '@logged-thermal/core'
import { instrumentCheckMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { colourOf } from '../parts/temperatureScale'
import styles from './check.module.css'

const say = speaks(instrumentCheckMessages)

interface Props {
  code: string
  scale: TemperatureScale
  /** What it should show, °C: the board is laid out around it. */
  reference: number
  shown: readonly Typed[]
  shut: boolean
  onTake: (typed: Typed) => void
  onMoving: () => void
  onStartOver: () => void
}

/** What the instrument shows, a key for each tenth near what it should show: one tap is one reading. */
export function CheckBoard({ code, scale, reference, shown, shut, onTake, onMoving, onStartOver }: Props) {
  const [typing, setTyping] = useState(false)
  const middle = Math.round(inUnit(reference, scale) * 10)
  const rows = [tenths(10, 19), tenths(0, 9), [null, ...tenths(-1, -9)]]
  const take = (value: number) => onTake({ value, unit: scale })
  return (
    <section className={styles.board} aria-label={say('tapWhat', { code })}>
      <div className={styles.asked}>
        <h2 className="title">{say('tapWhat', { code })}</h2>
        <span className="muted">{say('oneTap')}</span>
        <ol className={styles.slots}>
          {[0, 1, 2].map((i) => (
            <li key={i} aria-label={say('slot', { number: i + 1 })} data-empty={shown[i] === undefined || undefined}>
              {shown[i] ? shown[i].value.toFixed(1) : ''}
            </li>
          ))}
        </ol>
      </div>
      <div className={styles.tenths}>
        {rows.flatMap((row, r) =>
          row.map((offset, i) => {
            if (offset === null) return <span key={`${r} ${i}`} className={styles.blank} />
            const value = (middle + offset) / 10
            return (
              <Key
                key={`${r} ${i}`}
                className={styles.tenth}
                data-row={r}
                disabled={shut}
                style={{ '--degree': colourOf(celsiusOf({ value, unit: scale })) } as CSSProperties}
                onClick={() => take(value)}
              >
                {value.toFixed(1).replace('-', '−')}
              </Key>
            )
          }),
        )}
      </div>
      <div className={styles.under}>
        <Key disabled={shut} onClick={() => setTyping(true)}>
          {say('typeIt')}
        </Key>
        <Key look="outlined" disabled={shut} onClick={onMoving}>
          {say('moving')}
        </Key>
        <Key look="outlined" disabled={shown.length === 0} onClick={onStartOver}>
          {say('startOver')}
        </Key>
      </div>
      {typing && (
        <Sheet open onClose={() => setTyping(false)} title={say('typeIt')}>
          <Another
            code={code}
            scale={scale}
            onTake={(value) => {
              setTyping(false)
              take(value)
            }}
          />
        </Sheet>
      )}
    </section>
  )
}

function tenths(from: number, to: number): number[] {
  const step = from <= to ? 1 : -1
  return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => from + step * i)
}

/** What is further off than the board reaches, typed. */
function Another({ code, scale, onTake }: { code: string; scale: TemperatureScale; onTake: (value: number) => void }) {
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const enter = () => {
    const value = temperatureIn(text, scale)
    if (value === null) setWrong(say('notATemperature', { text: text.trim() || '–' }))
    else onTake(value)
  }
  return (
    <form
      className={styles.another}
      onSubmit={(event) => {
        event.preventDefault()
        enter()
      }}
    >
      <Field
        label={say('itShows', { code, scale })}
        value={text}
        onValue={(next) => {
          setText(next)
          setWrong(null)
        }}
        error={wrong}
        first
      />
      <Key look="primary" type="submit">
        {say('enterIt')}
      </Key>
    </form>
  )
}

/** A number that is a temperature in that unit; null: it is none. */
export function temperatureIn(text: string, unit: TemperatureScale): number | null {
  const value = Number(text.trim().replace(',', '.').replace('−', '-'))
  if (text.trim() === '' || !Number.isFinite(value)) return null
  try {
    celsiusOf({ value, unit })
    return value
  } catch {
    return null
  }
}
