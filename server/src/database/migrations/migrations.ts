import { Migration0001Logbook } from './Migration0001Logbook'

/** In order; a released one never changes. */
export const migrations = [{ name: 'Migration0001Logbook', class: Migration0001Logbook }]
