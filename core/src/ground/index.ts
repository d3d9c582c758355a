/**
 * Ground: what every other floor stands on.
 *
 * Instants and calendar days in a zone, temperatures and what was typed, amounts, canonical JSON, and the reading of
 * untrusted fields. Nothing here knows what a kitchen is.
 *
 * Imports: nothing of core.
 */
export * from './instant'
export {
  addDays,
  dayOf,
  dayOfYear,
  daysBetween,
  offsetMinutes,
  parseDay,
  startOfDay,
  weekdayOf,
  type Day,
} from './zone'
export { minutesOf, nextAt, timeOn, type TimeOfDay } from './timeOfDay'
export * from './temperature'
export { parseTemperature, unitDoubt, type Neighbour, type Parsed } from './parseTemperature'
export { canonical, isCanonical } from './canonical'
export { FieldError, isId, type FieldProblem } from './field'
export { nextItemCode, nextSplitCode } from './itemCode'
export { less, MEASURE_UNITS, type Measure, type MeasureUnit } from './measure'
export { nextCode } from './nextCode'
