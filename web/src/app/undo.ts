/** For so long a tap is taken back with another, ms. */
export const UNDO_MS = 10_000
