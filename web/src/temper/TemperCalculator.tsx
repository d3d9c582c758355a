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
import { degrees, grams, limitDegreesOf, temperSentence, type Reader, temperMessages } from '@logged-thermal/wording'
import { colourOf } from '../parts/temperatureScale'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import styles from './temper.module.css'
import { speaks } from '../kit/language'

const say = speaks(temperMessages)

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
      <Field label={say('eggsAt', { scale })} value={eggsAt} mode="decimal" onValue={setEggsAt} />
      <Field label={say('hotLiquidAt', { scale })} value={hotAt} mode="decimal" onValue={setHotAt} />
      <div className={styles.ladles} role="group" aria-label={say('howManyLadles')}>
        <Key aria-label={say('oneLadleLess')} disabled={ladles <= 1} onClick={() => setLadles(ladles - 1)}>
          −
        </Key>
        <output>{say('ladlesLadles', { ladles })}</output>
        <Key aria-label={say('oneLadleMore')} disabled={ladles >= MOST_LADLES} onClick={() => setLadles(ladles + 1)}>
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
          {say('bothTemperaturesNeededAs', { scale, shown: shown(-5, scale), shown2: shown(120, scale) })}
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
        <p>{say('eggMixtureHotLiquid', { grams: grams(base.kg * 1000), grams2: grams(poured.kg * 1000) })}</p>
        <p className={styles.largest}>
          {say('firstLadleAtMost')} <strong>{grams(largest * 1000)}</strong>
          <small>
            {say('raisesEggsByNo', {
              value: scale === 'C' ? LADLE_STEP : LADLE_STEP * 1.8,
              degrees: onset === null ? null : limitDegreesOf(onset, reader),
              hasOnset: onset !== null,
            })}
          </small>
        </p>
        <p className={styles.verdict}>{temperSentence(temperVerdict(combined, rows), reader)}</p>
        <p className="muted">{say('heatBalanceWithoutLoss')}</p>
      </div>
      <ol className={styles.steps} aria-label={say('afterEachLadle')}>
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
                {say('tooMuchAtOnce', {
                  grams: grams(each * 1000 * (i + 1)),
                  hasI: i === 0 && rise > LADLE_STEP + 0.05,
                  hasOnset: onset !== null && celsius >= onset,
                })}
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
