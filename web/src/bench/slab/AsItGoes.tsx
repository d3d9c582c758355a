import { MINUTE, timelineOf, type BatchState, type Forecast } from '@logged-thermal/core'
import {
  groundsSentence,
  passingSentence,
  slabMessages,
  span,
  waysMessages,
  type Reader,
} from '@logged-thermal/wording'
import styles from '../../board/slab.module.css'
import { speaks } from '../../kit/language'

const say = speaks(slabMessages)
const waysSay = speaks(waysMessages)

/** When it passes each open gate if it is left as it is, and what that rests on; nothing before enough was read. */
export function AsItGoes({
  batch,
  forecast,
  now,
  reader,
}: {
  batch: BatchState
  forecast: Forecast | null
  now: number
  reader: Reader
}) {
  const counter = timelineOf(batch).onCounter(now)
  if (!forecast?.told && counter < MINUTE) return null
  return (
    <div className={styles.asItGoes}>
      {counter >= MINUTE && <p>{waysSay('onCounter', { span: span(counter, reader) })}</p>}
      {forecast?.told &&
        forecast.gates.map((gate) => <p key={gate.finding.check.key}>{passingSentence(gate, now, reader)}</p>)}
      {forecast?.told && (
        <p className={styles.grounds}>
          {say('forecastProvesNothing', { groundsSentence: groundsSentence(forecast, reader) })}
        </p>
      )}
    </div>
  )
}
