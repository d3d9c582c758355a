/** Demo: a kitchen of our own invention, with a batch at every stage of its life and its cold units full. */
export { DEMO_KITCHEN, DEMO_PEOPLE, demoClaims, emptyDemo, seedDemo } from './seed'
