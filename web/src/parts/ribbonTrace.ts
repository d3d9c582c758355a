import {
  aimOf,
  mixtureTrace,
  rulingDate,
  stageOf,
  type Attention,
  type BatchState,
  type Finding,
  type Standing,
} from '@logged-thermal/core'

/** A bend of the ribbon. */
export interface Bend {
  at: number
  celsius: number
}

/** A gate on the ribbon. */
export interface RibbonGate {
  key: string
  kind: 'reach' | 'be under'
  at: number
  celsius: number
  standing: Standing
  finding: Finding
  /** What it would be at the gate, at best, when that is over the limit. */
  clash: number | null
}

/** All that a ribbon shows of a batch. */
export interface RibbonTrace {
  read: Bend[]
  /** As the open gates ask it, not a forecast: from the last reading through each gate to the wall. */
  ahead: Bend[]
  gates: RibbonGate[]
  wall: number | null
}

const TEN_MINUTES = 600_000

export function ribbonTrace(
  batch: BatchState,
  findings: readonly Finding[],
  asks: Attention,
  now: number,
): RibbonTrace {
  const read = mixtureTrace(batch).map(({ at, celsius }) => ({ at, celsius }))
  const gates = findings.flatMap((finding) => gateOf(finding, read, asks, now))
  const wall = rulingDate(findings)?.deadline ?? null
  const last = read.at(-1)
  const ahead = last ? [last, ...gatesAhead(gates, last.at)] : []
  const end = ahead.at(-1)
  if (end && wall !== null && wall > end.at) ahead.push({ at: wall, celsius: Math.min(end.celsius, 5) })
  return { read, ahead, gates, wall }
}

function gatesAhead(gates: readonly RibbonGate[], after: number): Bend[] {
  return gates
    .filter(({ at, standing }) => standing === 'open' && at > after)
    .map(({ at, celsius, clash }) => ({ at, celsius: clash ?? celsius }))
}

function gateOf(finding: Finding, read: readonly Bend[], asks: Attention, now: number): RibbonGate[] {
  const { check, standing, because } = finding
  const { rule } = check.limit
  if (rule.kind === 'hold' || rule.kind === 'equivalent') {
    const row = 'row' in because ? because.row.celsius : (aimOf(rule, check) ?? 70)
    const first = read.find(({ celsius }) => celsius >= row)
    const hottest = read.reduce<Bend | null>((a, b) => (a && a.celsius >= b.celsius ? a : b), null)
    const at = first?.at ?? (standing === 'open' ? now + TEN_MINUTES / 5 : (hottest?.at ?? now))
    return [{ key: check.key, kind: 'reach', at, celsius: row, standing, finding, clash: null }]
  }
  if (rule.kind !== 'reach') return []
  const { to } = stageOf(check.key, rule, check)
  const passed = standing === 'proven' ? finding.end?.latest : null
  const at = passed ?? finding.deadline ?? now + rule.withinMinutes * 60_000
  const clash = asks.kind === 'rescue' && asks.finding.check.key === check.key ? asks.celsius : null
  return [{ key: check.key, kind: 'be under', at, celsius: to, standing, finding, clash }]
}
