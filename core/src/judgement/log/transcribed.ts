import { celsiusOf } from '../../ground/temperature'
import { dayOf } from '../../ground/zone'
import type { TranscribedCooling } from '../../ledger/transcribed'
import { limitsOf } from '../../recipe/checks/checksFor'
import { stageOf } from '../../rules/compared'
import type { LimitSet } from '../../rules/limit'
import { limitsAt } from '../../rules/limitSet'
import { COOLING_KEYS } from '../../rules/sets/ruleSets'
import { judgeCooling } from '../watch/judgeCooling'

/**
 * How a cooling out of a log that was kept elsewhere stands under the limits of law and house of its first day: missed where
 * its readings show that it was too slow, else not proven. Nobody here knows by whom and with what it was read: nothing of it
 * is ever proven.
 */
export function transcribedStanding(
  { readings }: Pick<TranscribedCooling, 'readings'>,
  versions: readonly LimitSet[],
  zone: string,
): 'missed' | 'unproven' {
  const [first] = readings
  const last = readings.at(-1)
  if (!first || !last) return 'unproven'
  // What is older than this kitchen stands under its first limits.
  const limits = limitsAt(versions, first.at) ?? versions[0]
  if (!limits) return 'unproven'
  const day = dayOf(first.at, zone)
  const stages = COOLING_KEYS.flatMap((key) => limitsOf(limits, key, day)).flatMap(({ key, rule, force }) =>
    rule.kind === 'reach' && (force === 'law' || force === 'house')
      ? [stageOf(key, rule, { unit: limits.unit, guard: 0 })]
      : [],
  )
  const read = readings.map(({ at, typed }) => ({ at, celsius: celsiusOf(typed), where: 'core' as const }))
  const isTooSlow = judgeCooling(read, stages, last.at).some(({ standing }) => standing === 'missed')
  return isTooSlow ? 'missed' : 'unproven'
}
