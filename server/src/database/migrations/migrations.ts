import { Migration0001Logbook } from './Migration0001Logbook'
import { Migration0002Bench } from './Migration0002Bench'

/** In order; a released one never changes. */
export const migrations = [
  { name: 'Migration0001Logbook', class: Migration0001Logbook },
  { name: 'Migration0002Bench', class: Migration0002Bench },
]
