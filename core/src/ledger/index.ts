/**
 * Ledger: what an entry is.
 *
 * `entry` claim and seal, and the body of every kind · `chain` how each seal holds the one before · `late` when an entry was known
 * too late to better anything. Nothing here is folded or judged.
 *
 * Imports: ground to recipe.
 */
export { MOST_BROUGHT_IN, type BroughtIn, type SourceFile } from './broughtIn'
export * from './subject'
export type { Dating, Keep, PassedWall } from './dating'
export * from './entry'
export * from './instrumentEntries'
export * from './storeEntries'
export * from './tool'
export * from './matter'
export type { Contest } from './contest'
export type { Contested } from './contested'
export * from './dailyList'
export * from './traceTry'
export * from './transcribed'
export * from './ownIngredient'
export type { Deputy, OpenDay, Turn, Week } from './week'
export * from './chain'
export { type Standing } from './standing'
export { claimedRuns, madeAway, type Contact, type Gap, type MadeAway } from './away'
export { CORRECTED_WITHIN, enteredAt, knownAt, MARK_UNDONE_WITHIN, RULES } from './late'
