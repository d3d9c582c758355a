import { nextReading, type CoolTarget, type HeatWindow } from '@logged-thermal/core'
import {
  limitDegrees,
  limitDegreesOf,
  stepName,
  readAgainWords,
  span,
  type Reader,
  benchMessages,
} from '@logged-thermal/wording'
import { clsx } from 'clsx'
import type { BenchSignal } from './heatAlerts'
import styles from './guide.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

interface Props {
  signal: BenchSignal | null
  window: HeatWindow
  /** In which window the next step now belongs. */
  goesOn: CoolTarget | null
  now: number
  reader: Reader
}

/** A frame round the whole screen and a line across it: the visible twin of the sound, to be seen from two metres. */
export function HeatFlash({ signal, window: { floor, ceiling }, goesOn, now, reader }: Props) {
  // The gate's own banner says that it is proven.
  if (signal === null || signal === 'proven') return null
  const next = floor && nextReading(floor.finding, now)
  const words = {
    floor: say('atFloorHold', { span: span(next?.inMs ?? 0, reader) }),
    there:
      goesOn &&
      say('atTargetNow', {
        degrees: limitDegrees(goesOn.to, 'C', reader, 'under'),
        step: goesOn.then === null ? '' : stepName(goesOn.then, reader),
      }),
    again: readAgainWords(next?.proves ?? true, reader),
    ceiling: say('offHeatNowTop', {
      degrees: ceiling && limitDegreesOf(ceiling.celsius, reader),
      hasCeiling: Boolean(ceiling),
    }),
  }[signal]
  return (
    <div className={clsx(styles.heatFlash, styles[signal])} role="status">
      <strong>{words}</strong>
    </div>
  )
}
