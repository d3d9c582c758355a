import { MINUTE, type Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import { standAt } from '../../judgement/log/standsFrom'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import { COOLING_KEYS } from '../../rules/sets/ruleSets'

/**
 * The coolings of a method in a vessel since the last one that missed, and what they say of the next: advice for how often
 * the house asks for readings, and evidence of nothing.
 */
export interface Alike {
  method: Id
  name: string
  vessel: string
  /** Since the last miss: one starts the count anew. Those not proven are among them. */
  coolings: number
  proven: number
  /** Readings that a proven one had while it cooled, and how many of them decided it: the medians. null: none is proven. */
  read: number | null
  decided: number | null
  /** When those that had just so many were read, minutes off the heat, in order: the medians. Empty: not known. */
  decidedAfter: number[]
  /** With 95 % confidence at least this share of them passes, from 0 to 1; null: fewer than 20 say nothing. */
  passes: number | null
}

/** Fewer coolings alike say nothing of the next one. */
export const ENOUGH_ALIKE = 20

/** Every method in every vessel that cooled in these batches, what was cooled most often first. */
export function alikeIn(batches: readonly LoggedBatch[], now: Instant): Alike[] {
  const groups = new Map<string, LoggedBatch[]>()
  for (const batch of [...batches].sort((a, b) => a.startedAt - b.startedAt)) {
    const key = `${batch.method} ${batch.vessel}`
    groups.set(key, [...(groups.get(key) ?? []), batch])
  }
  return [...groups.values()].flatMap((group) => alikeOf(group, now)).sort((a, b) => b.coolings - a.coolings)
}

function alikeOf(group: readonly LoggedBatch[], now: Instant): Alike[] {
  const cooled = group.flatMap((batch) => {
    const gates = standAt(batch.stands, now).gates.filter(({ key }) => COOLING_KEYS.some((each) => each === key))
    if (gates.length === 0 || gates.some(({ standing }) => standing === 'open')) return []
    const missed = gates.some(({ standing }) => standing === 'missed')
    const deciding = [...new Set(gates.flatMap((gate) => gate.deciding))].sort((a, b) => a - b)
    const { off, readings } = batch.pace
    const after = off === null ? [] : deciding.map((at) => Math.max(0, (at - off) / MINUTE))
    return [
      {
        missed,
        proven: gates.every(({ standing }) => standing === 'proven'),
        read: readings,
        decided: deciding.length,
        after,
      },
    ]
  })
  const [first] = group
  if (!first || cooled.length === 0) return []
  const running = cooled.slice(cooled.findLastIndex(({ missed }) => missed) + 1)
  const proven = running.filter((one) => one.proven)
  const coolings = running.length
  const decided = median(proven.map((one) => one.decided))
  const usual = proven.filter((one) => one.decided === decided && one.after.length === decided)
  return [
    {
      method: first.method,
      name: first.name,
      vessel: first.vessel,
      coolings,
      proven: proven.length,
      read: median(proven.map(({ read }) => read)),
      decided,
      decidedAfter: Array.from({ length: usual.length ? (decided ?? 0) : 0 }, (_, i) =>
        Math.round(median(usual.map(({ after }) => after[i]!)) ?? 0),
      ),
      passes: coolings < ENOUGH_ALIKE ? null : atLeast(proven.length, coolings),
    },
  ]
}

function median(values: readonly number[]): number | null {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? null
}

const UNSURE = 0.05

/**
 * The share that with 95 % confidence at least passes where so many of all did: the exact lower bound of C. J. Clopper and
 * E. S. Pearson, Biometrika 26, 1934. Of 20 that all passed it is 0.861.
 */
export function atLeast(passed: number, all: number): number {
  if (passed === 0) return 0
  // The share at which so many or more pass by chance in one of twenty: it grows with the share, so halving finds it.
  let [low, high] = [0, 1]
  for (let i = 0; i < 60; i++) {
    const share = (low + high) / 2
    if (orMore(passed, all, share) > UNSURE) high = share
    else low = share
  }
  return low
}

/** How likely so many or more of all pass, each with this share: a sum of binomial terms. */
function orMore(passed: number, all: number, share: number): number {
  let logTerm = all * Math.log(share)
  let sum = Math.exp(logTerm)
  for (let k = all - 1; k >= passed; k--) {
    logTerm += Math.log(((k + 1) / (all - k)) * ((1 - share) / share))
    sum += Math.exp(logTerm)
  }
  return sum
}
