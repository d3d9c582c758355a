import { useState } from 'react'
import {
  inUnit,
  LADLE_STEP,
  largestLadle,
  onsetOf,
  temper,
  temperVerdict,
  toCelsius,
  type HoldRow,
  type TemperParts,
  type TemperatureScale,
} from '@logged-thermal/core'
import { degrees, grams, limitDegreesOf, temperSentence, type Reader } from '@logged-thermal/wording'
import { colourOf } from '../parts/temperatureScale'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import styles from './temper.module.css'

interface Props {
  parts: TemperParts
  /** As last read, °C; null where nobody read it. */
  hotCelsius: number | null
  rows: readonly HoldRow[]
  reader: Reader
}

/** Where eggs stand before anything is poured on, °C. */
const EGGS_AT = 18
const HOT_AT = 82
const MOST_LADLES = 12

/** What each ladle does to the eggs, the largest that is kind to them, and what all of it comes to. */
export function TemperCalculator({ parts, hotCelsius, rows, reader }: Props) {
  const { scale } = reader
  const [eggsAt, setEggsAt] = useState(() => shown(EGGS_AT, scale))
  const [hotAt, setHotAt] = useState(() => shown(hotCelsius ?? HOT_AT, scale))
  const [ladles, setLadles] = useState(4)
  const egg = celsiusIn(eggsAt, scale)
  const hot = celsiusIn(hotAt, scale)
  const fields = (
    <div className={styles.fields}>
      <Field label={`Eggs at, °${scale}`} value={eggsAt} mode="decimal" onValue={setEggsAt} />
      <Field label={`Hot liquid at, °${scale}`} value={hotAt} mode="decimal" onValue={setHotAt} />
      <div className={styles.ladles} role="group" aria-label="How many ladles">
        <Key aria-label="One ladle less" disabled={ladles <= 1} onClick={() => setLadles(ladles - 1)}>
          −
        </Key>
        <output>{ladles} ladles</output>
        <Key aria-label="One ladle more" disabled={ladles >= MOST_LADLES} onClick={() => setLadles(ladles + 1)}>
          +
        </Key>
      </div>
    </div>
  )
  if (egg === null || hot === null)
    return (
      <div className={styles.temper}>
        {fields}
        <p role="alert">
          Both temperatures are needed, in °{scale}, as 18 or 82.5: from {shown(-5, scale)} to {shown(120, scale)}.
        </p>
      </div>
    )
  const base = { ...parts.base, celsius: egg }
  const poured = { ...parts.hot, celsius: hot }
  const onset = onsetOf(parts.base.eggs)
  const { afterEach, combined } = temper(base, poured, ladles)
  const largest = largestLadle(base, poured, onset ?? Infinity)
  const each = poured.kg / ladles
  return (
    <div className={styles.temper}>
      <div>
        {fields}
        <p>
          {grams(base.kg * 1000)} of egg mixture, {grams(poured.kg * 1000)} of hot liquid.
        </p>
        <p className={styles.largest}>
          First ladle at most <strong>{grams(largest * 1000)}</strong>
          <small>
            it raises the eggs by no more than {scale === 'C' ? LADLE_STEP : LADLE_STEP * 1.8}°
            {onset === null ? '' : `, and stays under ${limitDegreesOf(onset, reader)}, where they begin to set`}
          </small>
        </p>
        <p className={styles.verdict}>{temperSentence(temperVerdict(combined, rows), reader)}</p>
        <p className="muted">
          A heat balance without loss: an upper bound. Sugar and dilution let the eggs bear more than alone; that is not
          promised here.
        </p>
      </div>
      <ol className={styles.steps} aria-label="After each ladle">
        {afterEach.map((celsius, i) => {
          const rise = celsius - (afterEach[i - 1] ?? egg)
          return (
            <li key={i}>
              <span>{i + 1}</span>
              <span className={styles.bar} aria-hidden="true">
                <i style={{ width: `${Math.max(2, Math.min(100, celsius))}%`, background: colourOf(celsius) }} />
              </span>
              <strong>{degrees(celsius, reader)}</strong>
              <small>
                {grams(each * 1000 * (i + 1))} in
                {i === 0 && rise > LADLE_STEP + 0.05 ? ', too much at once' : ''}
                {onset !== null && celsius >= onset ? ', eggs alone would set' : ''}
              </small>
            </li>
          )
        })}
      </ol>
    </div>
  )
}

function shown(celsius: number, scale: TemperatureScale): string {
  return String(Math.round(inUnit(celsius, scale) * 10) / 10)
}

/** What was typed, as °C; null for what is no number, or no temperature of a kitchen's eggs and milk. */
function celsiusIn(text: string, scale: TemperatureScale): number | null {
  const value = Number(text.trim().replace(',', '.'))
  if (text.trim() === '' || !Number.isFinite(value)) return null
  const celsius = scale === 'C' ? value : value > -100 && value < 700 ? toCelsius(value) : 999
  return celsius >= -5 && celsius <= 120 ? celsius : null
}
