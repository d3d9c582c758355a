import { lazy, Suspense } from 'react'
import { Field } from './Field'
import type { DateProps } from './pickers/props'

const Picker = lazy(() => import('./pickers/DatePick'))

/** A day, typed or picked from a calendar. The calendar comes with the first view that asks for a day. */
export function DateField(props: DateProps) {
  return (
    <Suspense fallback={<Field label={props.label} value={props.value} />}>
      <Picker {...props} />
    </Suspense>
  )
}
