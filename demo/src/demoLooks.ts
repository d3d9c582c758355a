import { addDays, dayOf, MINUTE, minutesOf, startOfDay, type Instant } from '@logged-thermal/core'

const DAYS = 24 * 60

/** How cold a unit was when somebody looked. */
export interface UnitLook {
  unit: string
  minutesAgo: number
  celsius: number
}

/** What each unit usually shows, °C. */
const USUAL: [unit: string, celsius: number][] = [
  ['Walk-in 1', 3.1],
  ['Reach-in 2', 3.6],
  ['Blast drawer', 1.2],
  ['Egg fridge', 5.4],
  ['Display case', 3.8],
  ['Chest freezer', -19.4],
]

/** The last hours: the reach-in's door did not close this afternoon. */
const LATELY: UnitLook[] = [
  { unit: 'Reach-in 2', minutesAgo: 55, celsius: 6.3 },
  { unit: 'Reach-in 2', minutesAgo: 24, celsius: 7.4 },
  { unit: 'Reach-in 2', minutesAgo: 6, celsius: 7.9 },
  { unit: 'Walk-in 1', minutesAgo: 58, celsius: 3.2 },
  { unit: 'Display case', minutesAgo: 58, celsius: 4.0 },
  { unit: 'Chest freezer', minutesAgo: 58, celsius: -19.1 },
]

/**
 * Looks at every round of the last days.
 * @param times of the day at which the house goes round
 */
export function unitLooks(times: readonly string[], zone: string, now: Instant): UnitLook[] {
  const today = dayOf(now, zone)
  const rounds = Array.from({ length: 10 }, (_, i) => addDays(today, i - 9)).flatMap((day) =>
    times.map((time) => (now - startOfDay(day, zone)) / MINUTE - minutesOf(time)),
  )
  const usual = USUAL.flatMap(([unit, celsius], u) =>
    rounds.flatMap((minutesAgo, i): UnitLook[] => {
      // Nobody came by the blast drawer once, and the last hours are told apart.
      const missed = unit === 'Blast drawer' && i === rounds.length - 5
      if (minutesAgo < 70 || minutesAgo > 9 * DAYS - 10 || missed) return []
      return [
        { unit, minutesAgo: minutesAgo - u, celsius: Math.round((celsius + Math.sin(i * 2.3 + u) * 0.4) * 10) / 10 },
      ]
    }),
  )
  return [...usual, ...LATELY]
}
