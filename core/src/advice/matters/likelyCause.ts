import type { Instant } from '../../ground/instant'
import type { MatterOf } from '../../ledger/matter'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import { standAt } from '../../judgement/log/standsFrom'
import { sharedBy, type Common, type Raised } from './raised'

/** Matters of one kind, and what so many of them have in common that the cause may lie there. null: nothing. */
export interface LikelyCause {
  of: MatterOf
  count: number
  common: Common | null
  /** How many of them have it. */
  shared: number
}

/** So many of a kind are looked into; fewer say nothing. */
export const LOOKED_INTO = 10
/** This share of them has to have it. */
const MOST_OF_THEM = 0.6
/** Batches with it have to fail so much oftener than those without, of which there are at least so many. */
const OFTENER = 1.5
const COMPARED = 5

/**
 * Where the cause may lie of what came up more than ten times: in a limit, a probe, a place, a habit. Advice to look, with the
 * counts it rests on. What all batches have alike, that failed or not, is none: whoever cooks every day is no cause.
 * @param batches all of the same time, those that held too
 */
export function likelyCauses(raised: readonly Raised[], batches: readonly LoggedBatch[], now: Instant): LikelyCause[] {
  return [...new Set(raised.map(({ of }) => of))].flatMap((of): LikelyCause[] => {
    const own = raised.filter((each) => each.of === of)
    if (own.length <= LOOKED_INTO) return []
    const tallies = new Map<string, { common: Common; shared: number }>()
    for (const { common } of own)
      for (const each of distinct(common)) {
        const known = tallies.get(keyOf(each)) ?? { common: each, shared: 0 }
        tallies.set(keyOf(each), { ...known, shared: known.shared + 1 })
      }
    const [first] = [...tallies.values()]
      .filter(({ shared }) => shared >= MOST_OF_THEM * own.length)
      .filter(({ common }) => of !== 'batch' || common.of === 'check' || failsOftener(common, batches, now))
      .sort((a, b) => b.shared - a.shared)
    return [{ of, count: own.length, common: first?.common ?? null, shared: first?.shared ?? 0 }]
  })
}

function failsOftener(common: Common, batches: readonly LoggedBatch[], now: Instant): boolean {
  const key = keyOf(common)
  const settled = batches.filter((batch) => standAt(batch.stands, now).standing !== 'open')
  const has = (batch: LoggedBatch) => sharedBy(batch).some((each) => keyOf(each) === key)
  const rate = (some: LoggedBatch[]) => some.filter((batch) => failed(batch, now)).length / some.length
  const [withIt, without] = [settled.filter(has), settled.filter((batch) => !has(batch))]
  return without.length >= COMPARED && rate(withIt) >= OFTENER * rate(without)
}

function failed({ stands }: LoggedBatch, now: Instant): boolean {
  const { standing } = standAt(stands, now)
  return standing === 'missed' || standing === 'unproven'
}

/** The same for the same. */
function keyOf(common: Common): string {
  switch (common.of) {
    case 'check':
      return `check ${common.check.key}`
    case 'vessel':
    case 'list':
      return `${common.of} ${common.name}`
    case 'time':
      return `time ${common.time}`
    default:
      return `${common.of} ${common.id}`
  }
}

function distinct(all: readonly Common[]): Common[] {
  return [...new Map(all.map((each) => [keyOf(each), each])).values()]
}
