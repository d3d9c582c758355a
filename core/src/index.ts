// The face of core: what other programs call. Names and shapes here stay; more may be added. Each floor's own face says
// what is on it and what it may import.
export { CORE_VERSION } from './version'
export * from './ground'
export * from './physics'
export * from './rules'
export * from './recipe'
export * from './ledger'
export * from './state'
export * from './judgement'
export * from './advice'
export * from './admission'
export * from './proof'
export * from './kitchen'
