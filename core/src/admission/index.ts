/**
 * Admission: what may be entered, by whom, and why not.
 *
 * `kinds` the register of all kinds · `admission` the rules for every entry · `guard` what the files of kinds share, and `refusal`
 * every reason there is · one file a kind, by subject: `making`, `reading`, `cooling`, `item`, `lot`, `equipment`, `house`.
 *
 * Imports: ground to advice.
 */
export { disputable, isAskedToo, isOfHistory, isUnheard, type OutOfSight } from './contest'
export { follows } from './reached'
export { kinds, needs, asFolded, upcast, touches } from './kinds'
export { admit, AHEAD_ALLOWED, parseClaim, type Author } from './admission'
export { backed } from './reading/readingTaken'
export type { BakeNotShown, Refusal } from './guard/refusal'
export { backOf, TAKEN_BACK_WITHIN } from './item/takenBack'
export { apply, NOTHING_YET } from './fold'
export type { Deviation } from './making/stepDeviated'
export type { Churning } from './making/churned'
export type { Note } from './making/noted'
export type { Placement } from './cooling/placed'
