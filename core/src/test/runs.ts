import fc from 'fast-check'

/**
 * Before each file of tests. A full run (`npm run test:full`) asks every property so many times over, from seeds of its own:
 * the daily run is quick, and the same from day to day where a property says so.
 */
const times = Number(process.env.LT_TIMES ?? 1)
const DAILY = 100

fc.configureGlobal({ numRuns: DAILY * times })
