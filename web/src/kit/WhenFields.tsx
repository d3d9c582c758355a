import { dayOf, timeOn, type Instant } from '@logged-thermal/core'
import { timeOfDay, type Reader } from '@logged-thermal/wording'
import { DateField } from './DateField'
import { FieldRow } from './FieldRow'
import { TimeField } from './TimeField'

interface Props {
  /** Of the day. */
  label: string
  /** Of the time. */
  time: string
  at: Instant
  reader: Reader
  onAt: (at: Instant) => void
}

/** A day and a time of it, on the kitchen's clock. */
export function WhenFields({ label, time: timeLabel, at, reader, onAt }: Props) {
  const { zone, hours } = reader
  const time = timeOfDay(at, { ...reader, hours: 24 })
  const day = dayOf(at, zone)
  return (
    <FieldRow>
      <DateField label={label} value={day} onValue={(next) => next && onAt(timeOn(next, time, zone))} />
      <TimeField
        label={timeLabel}
        value={time}
        onValue={(next) => next && onAt(timeOn(day, next, zone))}
        hours={hours}
      />
    </FieldRow>
  )
}
