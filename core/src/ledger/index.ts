/**
 * Ledger: what an entry is.
 *
 * `entry` claim and seal, and the body of every kind · `chain` how each seal holds the one before · `late` when an entry was known
 * too late to better anything. Nothing here is folded or judged.
 *
 * Imports: ground to recipe.
 */
export * from './subject'
export type { Dating, Keep, PassedWall } from './dating'
export * from './entry'
export * from './instrumentEntries'
export * from './storeEntries'
export * from './tool'
export * from './matter'
export * from './dailyList'
export * from './traceTry'
export * from './ownIngredient'
export type { Deputy, OpenDay, Turn, Week } from './week'
export * from './chain'
export { type Standing } from './standing'
export { CORRECTED_WITHIN, knownAt, MARK_UNDONE_WITHIN, RULES } from './late'
