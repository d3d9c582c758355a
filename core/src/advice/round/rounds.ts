import { HOUR, type Instant } from '../../ground/instant'
import { timeOn } from '../../ground/timeOfDay'
import { addDays, dayOf } from '../../ground/zone'
import type { Practice } from '../../rules/practice'
import type { UnitState } from '../../state/unit'

/** A look at all units that the house asks for. */
export interface Round {
  at: Instant
  /** Units that were looked at for it. */
  read: string[]
  /** Units nobody looked at; while it is due they may still be. */
  left: string[]
  state: 'due' | 'done' | 'missed'
  /** When the last unit of it was looked at; null while any is left. */
  walkedAt: Instant | null
}

/** A look counts for a round from an hour before it; three hours after it the round is missed, ms. */
const EARLY = HOUR
const LATE = 3 * HOUR

/** From when a round of that time is missed. */
export function roundMissedAt(at: Instant): Instant {
  return at + LATE
}

/** The house's rounds of a day and the day before that have come, the latest last. */
export function roundsOf(
  units: readonly UnitState[],
  { rounds }: Pick<Practice, 'rounds'>,
  zone: string,
  now: Instant,
): Round[] {
  const today = dayOf(now, zone)
  return [addDays(today, -1), today]
    .flatMap((day) => rounds.map((time) => timeOn(day, time, zone)))
    .filter((at) => at - EARLY <= now)
    .flatMap((at): Round[] => {
      // What is told afterwards, as if it had been in time, walks no round.
      const looked = (unit: UnitState) =>
        unit.airs.find((air) => air.at >= at - EARLY && Math.max(air.at, air.enteredAt) < roundMissedAt(at))?.at ?? null
      const asked = units.filter((unit) => unit.kind !== 'ambient shelf')
      const looks = asked.map((unit) => ({ id: unit.id, at: looked(unit) }))
      const read = looks.filter((look) => look.at !== null).map(({ id }) => id)
      const left = looks.filter((look) => look.at === null).map(({ id }) => id)
      const state = left.length === 0 ? 'done' : now < roundMissedAt(at) ? 'due' : 'missed'
      const walkedAt = left.length > 0 ? null : Math.max(...looks.map((look) => look.at ?? 0))
      return asked.length === 0 || (at > now && state === 'due' && read.length === 0)
        ? []
        : [{ at, read, left, state, walkedAt }]
    })
}

/** When the next round is due. */
export function nextRoundAt({ rounds }: Pick<Practice, 'rounds'>, zone: string, now: Instant): Instant | null {
  const today = dayOf(now, zone)
  const all = [today, addDays(today, 1)].flatMap((day) => rounds.map((time) => timeOn(day, time, zone)))
  return all.find((at) => at > now) ?? null
}

/** Whether the list of what ends at midnight is asked for: from the house's closing time to the end of the day. */
export function isClosing({ closing }: Pick<Practice, 'closing'>, zone: string, now: Instant): boolean {
  return now >= timeOn(dayOf(now, zone), closing, zone)
}
