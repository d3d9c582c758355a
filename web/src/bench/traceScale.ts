import { stageOf, type BatchState, type Finding } from '@logged-thermal/core'

/** How instants and temperatures are laid out on the Bench: linear over minutes while cooking, then wide where it matters. */
export interface TraceScale {
  x(at: number): number
  y(celsius: number): number
  ticksY: number[]
  ticksX: number[]
  cooking: boolean
}

const MINUTE = 60_000

/** Cook steps: clock-linear, 12 minutes, 40 to 95 °C. Afterwards: ln(T + 8), and each cooling stage a chamber of its own width. */
export function traceScale(
  batch: BatchState,
  findings: readonly Finding[],
  cookedAt: number | null,
  first: number,
  now: number,
): TraceScale {
  if (cookedAt === null) return cookScale(Math.max(batch.startedAt, Math.min(first, now - 8 * MINUTE)), now)
  const gates = findings.filter(({ check, deadline }) => check.limit.rule.kind === 'reach' && deadline !== null)
  const deadlines = gates.map(({ deadline }) => deadline!).sort((a, b) => a - b)
  const anchors = anchored(Math.min(first, cookedAt - MINUTE), cookedAt, deadlines, now, gates)
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
  }
}

function cookScale(from: number, now: number): TraceScale {
  const to = now + 4 * MINUTE
  const ticksX: number[] = []
  const step = (to - from) / MINUTE > 20 ? 10 : 2
  for (let at = Math.ceil(from / (step * MINUTE)) * step * MINUTE; at < to; at += step * MINUTE) ticksX.push(at)
  return {
    x: (at) => (at - from) / (to - from),
    y: (celsius) => Math.max(38, celsius),
    ticksY: [50, 60, 70, 80],
    ticksX,
    cooking: true,
  }
}

type Anchor = [at: number, x: number]

/** The chamber that is open takes the most width. */
function anchored(
  first: number,
  cookedAt: number,
  deadlines: number[],
  now: number,
  gates: readonly Finding[],
): Anchor[] {
  const [one, two] = deadlines
  const end = Math.max(two ?? one ?? cookedAt + 60 * MINUTE, now)
  const firstOpen = gates[0]?.standing === 'open'
  const after = end + (end - cookedAt) * 0.06
  if (one === undefined || two === undefined)
    return [
      [first, 0],
      [cookedAt, 0.25],
      [after, 1],
    ]
  return firstOpen
    ? [
        [first, 0],
        [cookedAt, 0.17],
        [one, 0.7],
        [after, 1],
      ]
    : [
        [first, 0],
        [cookedAt, 0.15],
        [one, 0.42],
        [after, 1],
      ]
}

function piecewise(anchors: Anchor[], at: number): number {
  const next = anchors.findIndex(([instant]) => instant >= at)
  const index = next <= 0 ? (next < 0 ? anchors.length - 1 : 1) : next
  const [from, to] = [anchors[index - 1]!, anchors[index]!]
  return from[1] + ((at - from[0]) / (to[0] - from[0])) * (to[1] - from[1])
}
