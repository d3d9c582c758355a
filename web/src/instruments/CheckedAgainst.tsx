import {
  boilingPoint,
  HIGHEST_ALTITUDE,
  LOWEST_ALTITUDE,
  type Against,
  type Id,
  type InstrumentState,
} from '@logged-thermal/core'
import { degrees, instrumentCheckMessages, type Reader } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Field } from '../kit/Field'
import { speaks } from '../kit/language'
import styles from './check.module.css'

const say = speaks(instrumentCheckMessages)

/** What a thermometer is checked against in the kitchen. */
export type How = Exclude<Against['kind'], 'buffers' | 'certificate'>

/** What was said of what it is checked against, as it was written. */
export interface Said {
  altitude: string
  other: Id | null
  shown: string
}

export const NOT_SAID: Said = { altitude: '0', other: null, shown: '' }

interface Props {
  how: How
  said: Said
  /** What it may be compared with. */
  others: readonly InstrumentState[]
  reader: Reader
  onSaid: (said: Said) => void
}

/** What has to be known of it: of ice nothing, of boiling water how high this kitchen lies, of another what it shows. */
export function CheckedAgainst({ how, said, others, reader, onSaid }: Props) {
  if (how === 'ice') return <p className="muted">{say('probeCheckLate')}</p>
  if (how === 'boiling') {
    const altitude = altitudeIn(said.altitude)
    return (
      <div className={styles.said}>
        <Field
          label={say('altitude')}
          value={said.altitude}
          mode="numeric"
          unit="m"
          onValue={(next) => onSaid({ ...said, altitude: next })}
          error={altitude === null ? say('wrongAltitude') : null}
          hint={
            altitude === null ? undefined : say('waterBoilsAt', { degrees: degrees(boilingPoint(altitude), reader) })
          }
        />
      </div>
    )
  }
  const other = others.find(({ id }) => id === said.other) ?? null
  if (others.length === 0) return <p className="muted">{say('noneToCompare')}</p>
  return (
    <div className={styles.said}>
      <span>{say('whichOther')}</span>
      <ChoiceKeys
        name={say('whichOther')}
        options={others.map(({ id }) => id)}
        chosen={said.other ?? ''}
        words={(id) => others.find((each) => each.id === id)?.code ?? ''}
        onChoose={(id) => onSaid({ ...said, other: id })}
      />
      {other && (
        <Field
          label={say('otherShows', { code: other.code })}
          value={said.shown}
          mode="decimal"
          unit={`°${reader.scale}`}
          onValue={(shown) => onSaid({ ...said, shown })}
        />
      )}
    </div>
  )
}

/** An altitude as it was written, m; null: it is none. */
export function altitudeIn(text: string): number | null {
  const altitude = Number(text.trim().replace('−', '-'))
  return text.trim() !== '' && altitude >= LOWEST_ALTITUDE && altitude <= HIGHEST_ALTITUDE ? altitude : null
}
