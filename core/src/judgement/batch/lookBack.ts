import type { Instant } from '../../ground/instant'
import { comparedAs } from '../../ground/temperature'
import { rowsOf, stageOf } from '../../rules/compared'
import type { ReadingBody } from '../../ledger/entry'
import type { Id } from '../../ledger/subject'
import { isWorse, type Standing } from '../../ledger/standing'
import { failureOf, type FailedProbe } from '../../state/backing'
import type { BatchState } from '../../state/batch'
import type { Fact } from '../../state/fact'
import { celsiusRead } from '../../state/reading'
import type { Finding } from '../finding'
import type { World } from '../world'
import { batchStanding, isBinding, judgeBatch } from './judgeBatch'

/** How a batch that was read with a failed instrument, or with one that was checked against it, comes out if that was wrong all the time since its last pass. */
export interface LookedBack {
  /** With its readings at their word. */
  was: Standing
  /** With the error that was found taken off every one of them. */
  asFound: Standing
  /** With the same error the other way: only one check in one place showed its sign. */
  opposite: Standing
  /** missed: the error as found breaks a limit. unproven: something could, one way or the other. holds: neither does. */
  risk: Risk
  /** What breaks, the most serious first; null where nothing does. */
  breaks: Finding | null
  /** Whether it breaks with the error as it was found, or only with the opposite. */
  way: 'as found' | 'opposite' | null
  /** The reading that `breaks` hangs on: as shown, as it may have been, and the level it is held to, °C; null: it has none. */
  reading: { at: Instant; shown: number; shifted: number; level: number | null } | null
  /** The entries of the readings that are in doubt. */
  doubted: Id[]
  /** When the lead decided about it since the check failed; null: nobody has yet. */
  decidedAt: Instant | null
}

export type Risk = 'missed' | 'unproven' | 'holds'

/**
 * A batch judged again with the error of a failed instrument, both ways (science: look-back). What other instruments read
 * stands as it is.
 * @param check the entry of the failed check; RangeError where the batch does not know of it
 */
export function lookBack(batch: BatchState, check: Id, world: World, now: Instant): LookedBack {
  const failed = batch.failedProbes.filter(({ entry }) => entry === check)
  if (failed.length === 0) throw new RangeError(`check: ${check} throws no doubt on ${batch.code}`)
  const others = batch.failedProbes.filter(({ entry }) => entry !== check)
  const own = batch.facts['reading-taken'].filter((fact) => !fact.void && failureOf(bare(fact), failed))
  const errorOf = (fact: Fact<ReadingBody>) => failureOf(bare(fact), failed)?.error ?? 0
  const judged = (off: (fact: Fact<ReadingBody>) => number) =>
    judgeBatch({ ...shiftedBy(batch, own, off), failedProbes: others }, world, now)
  const [atWord, asFound, opposite] = [
    judged(({ value: { readBy } }) => readBy?.off ?? 0),
    judged(errorOf),
    judged((fact) => -errorOf(fact)),
  ]
  const broken = worsened(asFound, atWord, 'missed')
  const unsure = broken ?? worsened(asFound, atWord, 'worse') ?? worsened(opposite, atWord, 'worse')
  const way = unsure && (asFound.includes(unsure) ? 'as found' : 'opposite')
  return {
    was: batchStanding(atWord),
    asFound: batchStanding(asFound),
    opposite: batchStanding(opposite),
    risk: broken ? 'missed' : unsure ? 'unproven' : 'holds',
    breaks: unsure,
    way,
    reading: unsure && decidingReading(own, unsure, atWord, (fact) => (way === 'as found' ? 1 : -1) * errorOf(fact)),
    doubted: [...new Set(own.map(({ entry }) => entry))],
    decidedAt: decidedAt(batch, own, failed),
  }
}

const SERIOUS: Record<Risk, number> = { missed: 0, unproven: 1, holds: 2 }

/** The most serious first. */
export function bySeriousness(a: { risk: Risk }, b: { risk: Risk }): number {
  return SERIOUS[a.risk] - SERIOUS[b.risk]
}

/** As if nobody had accepted it since. */
function bare(fact: Fact<ReadingBody>): Fact<ReadingBody> {
  return { ...fact, accepted: null }
}

/** Every doubted reading as if it counted, with another error taken off. */
function shiftedBy(
  batch: BatchState,
  own: readonly Fact<ReadingBody>[],
  off: (fact: Fact<ReadingBody>) => number,
): BatchState {
  const readings = batch.facts['reading-taken'].map((fact) => {
    if (!own.includes(fact)) return fact
    return { ...fact, value: { ...fact.value, readBy: { backing: 'checked' as const, off: off(fact) } } }
  })
  return { ...batch, facts: { ...batch.facts, 'reading-taken': readings } }
}

/** What comes out worse than at its word, where a miss is asked for as a miss; the worst first. */
function worsened(now: readonly Finding[], before: readonly Finding[], as: 'missed' | 'worse'): Finding | null {
  const worse = now.filter((finding) => {
    const was = before.find(({ check }) => check.key === finding.check.key)
    return (
      (as === 'worse' || finding.standing === 'missed') &&
      isBinding(finding) &&
      (!was || isWorse(finding.standing, was.standing))
    )
  })
  return worse.find(({ standing }) => standing === 'missed') ?? worse[0] ?? null
}

/** The reading that it was proven by at its word, else one that it breaks by, else the last that is in doubt. */
function decidingReading(
  own: readonly Fact<ReadingBody>[],
  broken: Finding,
  atWord: readonly Finding[],
  off: (fact: Fact<ReadingBody>) => number,
): LookedBack['reading'] {
  const was = atWord.filter(({ check }) => check.key === broken.check.key)
  const told = [...was, broken].flatMap(({ because }) => ('at' in because ? [because.at] : []))
  const instants = [...told, ...[...was, broken].flatMap(({ deciding }) => deciding)]
  const read = instants.find((instant) => own.some(({ at }) => at === instant))
  const fact = own.find(({ at }) => at === read) ?? own.at(-1)
  if (!fact) return null
  const { typed } = fact.value
  const shown = celsiusRead({ typed })
  const shifted = celsiusRead({ typed, readBy: { backing: 'failed', off: off(fact) } })
  const levels = levelsOf(broken)
  const far = (level: number) => Math.abs(level - (shown + shifted) / 2)
  const level = levels.length ? levels.reduce((near, each) => (far(each) < far(near) ? each : near)) : null
  return { at: fact.at, shown, shifted, level }
}

/** What a check holds temperatures to, °C as compared. */
function levelsOf({ check: { limit, unit } }: Finding): number[] {
  const { rule } = limit
  if (rule.kind === 'hold') return rowsOf(rule, { unit, guard: 0 }).map(({ celsius }) => celsius)
  if (rule.kind === 'equivalent') return [rule.reference.atCelsius]
  if (rule.kind === 'reach') return [stageOf(limit.key, rule, { unit, guard: 0 }).to]
  return rule.kind === 'stay' ? [comparedAs(rule.level, unit, rule.side === 'over' ? 'reach' : 'under')] : []
}

/** By what the lead said of the whole batch since, or by letting every doubted reading count. */
function decidedAt(
  { disposition }: BatchState,
  own: readonly Fact<ReadingBody>[],
  failed: readonly Fact<FailedProbe>[],
): Instant | null {
  const [{ knownAt }] = failed as [Fact<FailedProbe>]
  if (disposition && !disposition.void && disposition.knownAt >= knownAt) return disposition.at
  const accepted = own.map((fact) => (failureOf(fact, failed) === null ? (fact.accepted?.at ?? null) : null))
  return accepted.length > 0 && accepted.every((at) => at !== null) ? Math.max(...accepted) : null
}
