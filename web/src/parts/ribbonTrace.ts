import {
  fanOf,
  gateAt,
  mixtureTrace,
  rulingDate,
  type BatchState,
  type FanPoint,
  type Finding,
  type Forecast,
  type Gate,
  type Posterior,
  type Standing,
} from '@logged-thermal/core'

/** A bend of the ribbon. */
export interface Bend {
  at: number
  celsius: number
}

/** A gate on the ribbon. */
export interface RibbonGate extends Gate {
  key: string
  standing: Standing
  finding: Finding
  /** What it would be at the gate as it goes, when that is likely over the limit. */
  clash: number | null
}

/** All that a ribbon shows of a batch. */
export interface RibbonTrace {
  read: Bend[]
  /** As it goes; without a forecast as the open gates ask it: from the last reading through each gate to the wall. */
  ahead: Bend[]
  /** The 90 % range of the forecast; empty without one. */
  fan: FanPoint[]
  gates: RibbonGate[]
  wall: number | null
}

export function ribbonTrace(
  batch: BatchState,
  findings: readonly Finding[],
  now: number,
  forecast: Forecast | null = null,
): RibbonTrace {
  const read = mixtureTrace(batch).map(({ at, celsius }) => ({ at, celsius }))
  const gates = findings.flatMap((finding) => gateOf(finding, read, forecast, now))
  const wall = rulingDate(findings)?.deadline ?? null
  const last = read.at(-1)
  const fan = fanAhead(forecast)
  const ahead = fan.length ? [...fan] : last ? [last, ...gatesAhead(gates, last.at)] : []
  const end = ahead.at(-1)
  if (end && wall !== null && wall > end.at) ahead.push({ at: wall, celsius: Math.min(end.celsius, 5) })
  return { read, ahead, fan, gates, wall }
}

const fans = new WeakMap<Posterior, { until: number; fan: FanPoint[] }>()

/** From the last reading to the last gate, and a little on. */
function fanAhead(forecast: Forecast | null): FanPoint[] {
  if (!forecast?.told) return []
  const { posterior } = forecast
  const from = posterior.last.at
  const until = Math.max(...forecast.gates.map(({ deadline }) => deadline), from)
  const known = fans.get(posterior)
  if (known?.until === until) return known.fan
  const fan = fanOf(posterior, from, until + (until - from) / 10)
  fans.set(posterior, { until, fan })
  return fan
}

function gatesAhead(gates: readonly RibbonGate[], after: number): Bend[] {
  return gates
    .filter(({ at, standing }) => standing === 'open' && at > after)
    .map(({ at, celsius, clash }) => ({ at, celsius: clash ?? celsius }))
}

function gateOf(finding: Finding, read: readonly Bend[], forecast: Forecast | null, now: number): RibbonGate[] {
  const place = gateAt(finding, read, now)
  if (!place) return []
  const { check, standing } = finding
  const gate = forecast?.gates.find((each) => each.finding.check.key === check.key)
  const clash = gate?.misses && gate.deadline > now ? gate.atDeadline : null
  return [{ ...place, key: check.key, standing, finding, clash }]
}
