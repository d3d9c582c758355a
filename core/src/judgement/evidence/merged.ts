import type { BatchState } from '../../state/batch'
import type { Doubt } from '../doubt'
import { doubtsIn } from './evidence'
import type { Finding } from '../finding'
import { worst } from '../../ledger/standing'

interface Found {
  /** By every view that the entries leave open. */
  every: readonly Finding[]
  /** With every doubtful reading. */
  all: Finding | null
  sure: Finding | null
  /** Without what only the lead's acceptance lets count; null where nothing is. */
  unaccepted: Finding | null
  batch: BatchState
}

/** How a check stands by all views together: at the worst of them, and why. Nothing where no view has that check. */
export function mergedFinding({ every, all, sure, unaccepted, batch }: Found): Finding[] {
  if (every.length === 0) return []
  const ordered = [...(all ? [all] : []), ...(sure ? [sure] : []), ...every]
  const found = cappedBy(unaccepted, worst(ordered))
  const alike = every.filter(({ standing }) => standing === found.standing)
  const finding = {
    ...found,
    deadline: earliest(alike.map(({ deadline }) => deadline)) ?? found.deadline,
    nextAt: earliest(every.map(({ nextAt }) => nextAt)),
  }
  const denied =
    all?.standing === 'proven' &&
    finding.standing !== 'proven' &&
    found.because.code !== 'missed before it was accepted'
  if (!denied) return [finding]
  const doubts = doubtsAbout(batch, all)
  return [doubts.length ? { ...finding, doubts, because: { code: 'doubtful', doubts } } : finding]
}

/** What was missed before the lead let something count is at most not proven with it. */
function cappedBy(before: Finding | null, finding: Finding): Finding {
  const lifted = before?.standing === 'missed' && finding.standing !== 'missed' && finding.standing !== 'unproven'
  return lifted ? { ...finding, standing: 'unproven', because: { code: 'missed before it was accepted' } } : finding
}

/** The doubts of the readings that would have proven it, and of what was entered late. */
function doubtsAbout(batch: BatchState, { deciding }: Finding): Doubt[] {
  const doubts = doubtsIn(batch)
  const own = batch.facts['reading-taken']
    .filter(({ at }) => deciding.includes(at))
    .flatMap(({ entry }) => doubts.get(entry) ?? [])
  const found = own.length ? own : [...doubts.values()].flat()
  return [...new Set(found)]
}

function earliest(instants: readonly (number | null)[]): number | null {
  const known = instants.filter((at) => at !== null)
  return known.length ? Math.min(...known) : null
}
