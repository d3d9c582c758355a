import fc from 'fast-check'
import type { Reading } from '../physics/trace/reading'

/** Ten in the morning of an ordinary day, UTC. */
export const TEN = Date.UTC(2027, 2, 3, 10)

/** Minutes after ten. */
export const at = (minutes: number) => TEN + minutes * 60_000

/** A core reading so many minutes after ten, °C. */
export const core = (minutes: number, celsius: number): Reading => ({ at: at(minutes), celsius, where: 'core' })

/** The same typed in °F. */
export const coreF = (minutes: number, fahrenheit: number): Reading => core(minutes, ((fahrenheit - 32) * 5) / 9)

/** Any trace a kitchen could log: up to 30 readings over ten hours, some at the same instant. */
export const traces: fc.Arbitrary<Reading[]> = fc.array(
  fc.record({
    at: fc.integer({ min: 0, max: 600 }).map(at),
    celsius: fc.integer({ min: -200, max: 1000 }).map((tenths) => tenths / 10),
    where: fc.constant('core' as const),
  }),
  { maxLength: 30 },
)

/** A trace of pairs: minutes after ten, °C. */
export const trace = (...pairs: [minutes: number, celsius: number][]): Reading[] =>
  pairs.map(([minutes, celsius]) => core(minutes, celsius))
