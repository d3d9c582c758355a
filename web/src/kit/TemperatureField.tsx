import { kitMessages } from '@logged-thermal/wording'
import type { parseTemperature, TemperatureScale } from '@logged-thermal/core'
import { Field } from './Field'
import { Key } from './Key'
import styles from './temperatureField.module.css'
import { speaks } from './language'

const say = speaks(kitMessages)

interface Props {
  label: string
  value: string
  placeholder?: string
  /** What the core makes of the value; null while nothing is written. */
  parsed: ReturnType<typeof parseTemperature> | null
  onValue: (value: string) => void
}

/** A temperature with its unit: a bare number is asked about, never guessed. */
export function TemperatureField({ label, value, placeholder, parsed, onValue }: Props) {
  const wrong = parsed && !parsed.ok ? parsed : null
  return (
    <div>
      <Field
        label={label}
        value={value}
        placeholder={placeholder}
        onValue={onValue}
        error={
          wrong &&
          (wrong.problem === 'no unit'
            ? say('cOrFWrong', { wrong: wrong.value })
            : say('noTemperatureWrite70', { value }))
        }
      />
      {wrong?.problem === 'no unit' && (
        <div className={styles.units}>
          {(['C', 'F'] as TemperatureScale[]).map((scale) => (
            <Key key={scale} onClick={() => onValue(`${wrong.value} °${scale}`)}>
              °{scale}
            </Key>
          ))}
        </div>
      )}
    </div>
  )
}
