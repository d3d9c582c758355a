import { lazy, Suspense } from 'react'
import { Field } from './Field'
import type { TimeProps } from './pickers/props'

const Picker = lazy(() => import('./pickers/TimePick'))

/** A time of day, typed or picked, as the kitchen's clock shows it. */
export function TimeField(props: TimeProps) {
  return (
    <Suspense fallback={<Field label={props.label} value={props.value} />}>
      <Picker {...props} />
    </Suspense>
  )
}
