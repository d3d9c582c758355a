import type { Forecast } from '@logged-thermal/core'
import { groundsSentence, passingSentence, slabMessages, type Reader } from '@logged-thermal/wording'
import styles from '../../board/slab.module.css'
import { speaks } from '../../kit/language'

const say = speaks(slabMessages)

/** When it passes each open gate if it is left as it is, and what that rests on; nothing before enough was read. */
export function AsItGoes({ forecast, now, reader }: { forecast: Forecast | null; now: number; reader: Reader }) {
  if (!forecast?.told) return null
  return (
    <div className={styles.asItGoes}>
      {forecast.gates.map((gate) => (
        <p key={gate.finding.check.key}>{passingSentence(gate, now, reader)}</p>
      ))}
      <p className={styles.grounds}>
        {say('forecastProvesNothing', { groundsSentence: groundsSentence(forecast, reader) })}
      </p>
    </div>
  )
}
