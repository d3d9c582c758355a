/**
 * Rules: what rule sets print, as data with their sources, and what a kitchen makes of them.
 *
 * `rule` what can be required · `limit` one printed limit · `sets` each published set as printed · `implies` which of two is
 * stricter · `houseLine` and `limitSet` the kitchen's own version of them · `practice` how the house works beside its limits.
 *
 * Imports: ground, physics.
 */
export type { Source, Variance } from './source'
export { aimOf, rowsOf, stageOf, type Comparing, type CoolingStage, type HoldRow } from './compared'
export * from './rule'
export * from './limit'
export {
  locksAfter,
  LOTS_ASKED,
  MEASURE_SYSTEMS,
  PERMITS,
  permitted,
  PRACTICE,
  type Permits,
  type ClockHours,
  type LotsAsked,
  type MeasureSystem,
  type Practice,
} from './practice'
export { inForce, isLooser, limitSetOf, limitsAt, linesOf } from './limitSet'
export { implies } from './implies'
export { comparedWithPrinted, degreesTyped, limitChanges, templateOf, type LimitChange } from './houseLine'
export { movable, SIGNED_DAYS, type Movable, type SignedLine } from './signedLine'
export { coolingStages, heatRows, nameIn, ruleSets } from './sets/ruleSets'
export { schedules } from './sets/schedules'
export { printedFahrenheit } from './sets/printedFahrenheit'
export { sampleRule, type SampleRule } from './samples'
export { judged } from './judged'
export {
  backShut,
  fitnessRule,
  SYMPTOMS,
  unfitness,
  type BackShut,
  type FitAgain,
  type FitnessRule,
  type Symptom,
  type Unfit,
  type Unfitness,
} from './fitness'
