import { nextReading, type HeatSignal, type HeatWindow } from '@logged-thermal/core'
import { limitDegreesOf, readAgainWords, span, type Reader, benchMessages } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import styles from './guide.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

interface Props {
  signal: HeatSignal | null
  window: HeatWindow
  now: number
  reader: Reader
}

/** A frame round the whole screen and a line across it: the visible twin of the sound, to be seen from two metres. */
export function HeatFlash({ signal, window: { floor, ceiling }, now, reader }: Props) {
  // The gate's own banner says that it is proven.
  if (signal === null || signal === 'proven' || !floor) return null
  const next = nextReading(floor.finding, now)
  const words = {
    floor: say('atFloorHold', { span: span(next?.inMs ?? 0, reader) }),
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
