import type { Instant } from '../../ground/instant'
import { aimOf } from '../../rules/compared'
import { comparedAs } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import type { Bracket } from '../../physics/trace/reading'
import { floorOf } from '../attention'
import { mixtureTrace } from '../../judgement/evidence/evidence'
import type { Finding } from '../../judgement/finding'
import { timelineOf } from '../../judgement/timeline/timeline'
import { reachesAt, riseOf, type Rise } from '../../physics/heating/rise'

/** The band to stay in while something is on the heat: floor below, ceiling above, and when each comes as it goes. */
export interface HeatWindow {
  rise: Rise | null
  floor: HeatEdge | null
  ceiling: HeatEdge | null
  /** Where starch has to boil: quality. */
  boil: HeatEdge | null
}

export interface HeatEdge {
  finding: Finding
  /** °C as compared. */
  celsius: number
  /** When it is reached as it goes; null without a rise, or when it is reached already. */
  at: Bracket | null
}

/** So long before the ceiling the pot is to come off, ms: hands and the bottom of a pan take their time. */
export const OFF_BEFORE_CEILING = 45_000

/** The window of a batch on the heat by its findings. A forecast: it moves no standing. */
export function windowOf(batch: BatchState, findings: readonly Finding[]): HeatWindow {
  const floor = floorOf(findings)
  const ceiling =
    findings.find(({ check }) => check.limit.rule.kind === 'stay' && check.limit.force === 'quality') ?? null
  const from = floor?.check.evidence.from ?? 'batch started'
  const { heatSince, marks } = timelineOf(batch)
  const since = Math.max(heatSince, marks.first(from) ?? -Infinity)
  const rise = riseOf(mixtureTrace(batch), since)
  const aim = floor && aimOf(floor.check.limit.rule, floor.check)
  return {
    rise,
    floor: floor && aim !== null ? { finding: floor, celsius: aim, at: reach(rise, aim) } : null,
    ceiling: ceiling && edgeOf(ceiling, rise),
    boil: boilOf(findings, rise),
  }
}

/** Whether the ceiling comes so soon that the pot is to come off now. */
export function offNow({ ceiling, floor }: HeatWindow, now: Instant): boolean {
  const at = ceiling?.at?.likely ?? null
  return floor?.finding.standing === 'proven' && at !== null && at - now <= OFF_BEFORE_CEILING
}

function boilOf(findings: readonly Finding[], rise: Rise | null): HeatEdge | null {
  const finding = findings.find(({ check }) => check.limit.key === 'boil-out')
  const celsius = finding && aimOf(finding.check.limit.rule, finding.check)
  return finding && celsius != null ? { finding, celsius, at: reach(rise, celsius) } : null
}

function edgeOf(finding: Finding, rise: Rise | null): HeatEdge | null {
  const { rule } = finding.check.limit
  if (rule.kind !== 'stay') return null
  const celsius = comparedAs(rule.level, finding.check.unit, 'under')
  return { finding, celsius, at: reach(rise, celsius) }
}

function reach(rise: Rise | null, celsius: number): Bracket | null {
  return rise && reachesAt(rise, celsius)
}
