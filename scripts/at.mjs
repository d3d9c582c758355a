import { Told } from './run.mjs'

/** How far a time lies ahead of now, ms; null where none is given. Throws Told for what is no time with its zone. */
export function aheadOf(at) {
  if (at === undefined) return null
  const instant = /(Z|[+-]\d\d:\d\d)$/.test(at) ? Date.parse(at) : NaN
  if (Number.isNaN(instant)) throw new Told(`--at ${at} is no time with its zone: write it as 2027-03-28T01:30+01:00.`)
  return instant - Date.now()
}
