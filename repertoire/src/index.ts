/**
 * Repertoire: what every new kitchen begins with. Methods of our own invention, the vessels and units of a small pastry
 * kitchen, its first lots.
 */
export { repertoire } from './repertoire'
export { receivedLot, starter, type Starter } from './starter'
