/**
 * Kitchen: everything joined up.
 *
 * `append` the one way to append, for a database or a map · `memoryKitchen` a whole kitchen in memory, for tests, exports and
 * simulations.
 *
 * Imports: every floor.
 */
export { append, parsedClaim, type Appended, type Book, type Poster, type ReadClaim } from './append'
export { type ItemAsIs } from './judgedItem'
export { openKitchen, type KitchenSetup, type MemoryKitchen, type Posted } from './memoryKitchen'
export { columnsOf, parentsOf, type Columns } from './projection'
