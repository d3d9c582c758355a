import { heldAt, mixtureTrace, stageOf, type BatchState, type Finding, type HeatWindow } from '@logged-thermal/core'

/** How instants and temperatures are laid out on the Bench: linear over minutes while cooking, over hours when it cools. */
export interface TraceScale {
  x(at: number): number
  y(celsius: number): number
  ticksY: number[]
  ticksX: number[]
  cooking: boolean
  /** The lowest and highest temperature that are drawn, °C. */
  bottom: number
  top: number
}

const MINUTE = 60_000

/** On the heat: clock-linear, about 45° tall. Afterwards: ln(T + 8) over one linear time. */
export function traceScale(
  batch: BatchState,
  findings: readonly Finding[],
  cookedAt: number | null,
  first: number,
  now: number,
  heat: HeatWindow | null,
): TraceScale {
  if (cookedAt === null) return cookScale(batch, heat, first, now)
  const gates = findings.filter(({ check, deadline }) => check.limit.rule.kind === 'reach' && deadline !== null)
  const deadlines = gates.map(({ deadline }) => deadline!).sort((a, b) => a - b)
  const anchors = anchored(Math.min(first, cookedAt - MINUTE), cookedAt, deadlines, now)
  const levels = gates.flatMap(({ check }) => {
    const { rule } = check.limit
    return rule.kind === 'reach' ? [stageOf(check.key, rule, check).to] : []
  })
  const start = gates[0]?.check.limit.rule
  const hot = start?.kind === 'reach' ? stageOf('', start, gates[0]!.check).from : 57
  return {
    x: (at) => piecewise(anchors, at),
    y: (celsius) => Math.log(Math.max(-6, celsius) + 8),
    ticksY: [...levels, hot, 0].sort((a, b) => a - b),
    ticksX: [cookedAt, ...deadlines],
    cooking: false,
    bottom: -2,
    top: 90,
  }
}

/** Before and after now that stay in sight on the heat, ms. */
const BEHIND = 5 * MINUTE
const AHEAD = 4 * MINUTE
const STEPS = [15_000, 30_000, MINUTE, 2 * MINUTE, 5 * MINUTE, 10 * MINUTE, 30 * MINUTE]

/** On the heat: linear, some minutes round now; in a hold as long as the hold. */
function cookScale(batch: BatchState, heat: HeatWindow | null, first: number, now: number): TraceScale {
  const hold = heat ? heldAt(heat) : null
  const from = hold
    ? hold.since - 30_000
    : Math.max(batch.startedAt, Math.min(first - 15_000, now - BEHIND), now - 2 * BEHIND)
  const to = hold ? Math.max(now + 30_000, hold.since + hold.seconds * 1000 + 30_000) : now + AHEAD
  const step = STEPS.find((each) => (to - from) / each <= 9) ?? 60 * MINUTE
  const ticksX: number[] = []
  for (let at = Math.ceil(from / step) * step; at < to; at += step) ticksX.push(at)
  const boils = batch.checks.some(({ limit }) => limit.key === 'boil-out' || limit.key === 'fruit-boil')
  const last = mixtureTrace(batch).at(-1)?.celsius
  // What is made cold never comes near the heat.
  const cold = heat === null && batch.method.cooling === 'ambient'
  const bottom = cold ? -4 : last !== undefined && last < 52 ? 24 : 46
  // The limits carry their own figures.
  const clear = (celsius: number) =>
    [heat?.floor, heat?.ceiling].every((edge) => !edge || Math.abs(edge.celsius - celsius) > 6)
  return {
    x: (at) => (at - from) / (to - from),
    y: (celsius) => Math.max(bottom, celsius),
    ticksY: [
      ...(cold ? [0, 10, 20] : []),
      ...(bottom < 40 ? [30, 40] : []),
      50,
      60,
      70,
      80,
      ...(boils ? [90, 100] : []),
    ].filter(clear),
    ticksX,
    cooking: true,
    bottom,
    top: boils ? 104 : cold ? 60 : 92,
  }
}

type Anchor = [at: number, x: number]

/** One scale from the end of the heat on: a forecast that bends where the scale does would say what is not so. */
function anchored(first: number, cookedAt: number, deadlines: number[], now: number): Anchor[] {
  const end = Math.max(deadlines.at(-1) ?? cookedAt + 60 * MINUTE, now)
  return [
    [first, 0],
    [cookedAt, 0.17],
    [end + (end - cookedAt) * 0.06, 1],
  ]
}

function piecewise(anchors: Anchor[], at: number): number {
  const next = anchors.findIndex(([instant]) => instant >= at)
  const index = next <= 0 ? (next < 0 ? anchors.length - 1 : 1) : next
  const [from, to] = [anchors[index - 1]!, anchors[index]!]
  return from[1] + ((at - from[0]) / (to[0] - from[0])) * (to[1] - from[1])
}
