import { HOUR, MINUTE } from '../../ground/instant'
import { stageOf } from '../../rules/compared'
import type { Finding } from '../finding'
import type { Gate } from './gate'
import type { Witness } from '../evidence/evidence'

/** How a batch is laid out on its page: one clock, and one scale of temperature for the whole of it. */
export interface TraceFrame {
  from: number
  to: number
  /** The lowest and highest temperature that are drawn, °C. */
  bottom: number
  top: number
  /** What is marked at the side, °C, from the top down. */
  levels: number[]
}

/** All that was made of it until its last gate, its heat alone, or also what was read of it since. */
export type Part = 'making' | 'heat' | 'all'

/** What is under this is drawn on the floor, °C. */
const COLDEST = -7

/** px from the top of a pane of such a height: ln(T + 8), so that the gates of the cold are as far apart as those of the heat. */
export function yOf(celsius: number, { bottom, top }: TraceFrame, height: number): number {
  const ln = (each: number) => Math.log(Math.max(COLDEST, each) + 8)
  return height * (1 - (ln(celsius) - ln(bottom)) / (ln(top) - ln(bottom)))
}

/**
 * The frame of a part of a batch: what is on the heat takes minutes, what cools takes hours, what is kept takes days.
 * @param cookedAt when its heat ended; null: it was never on the heat, or still is
 */
export function frameOf(
  part: Part,
  trace: readonly Pick<Witness, 'at' | 'celsius'>[],
  gates: readonly Gate[],
  levels: readonly number[],
  startedAt: number,
  cookedAt: number | null,
): TraceFrame {
  const first = Math.min(trace[0]?.at ?? startedAt, startedAt)
  const last = Math.max(startedAt + HOUR / 2, trace.at(-1)?.at ?? startedAt, ...gates.map(({ at }) => at))
  const lastGate = Math.max(startedAt + HOUR / 2, ...gates.map(({ at }) => at))
  const ends: Record<Part, number> = {
    making: gates.length ? Math.min(last, lastGate + (lastGate - first) / 8) : last,
    heat: (cookedAt ?? last) + 5 * MINUTE,
    all: last,
  }
  const [from, to] = [part === 'heat' ? Math.max(first, (trace[0]?.at ?? first) - 2 * MINUTE) : first, ends[part]]
  const edge = (to - from) * 0.03
  const hottest = Math.max(70, ...trace.map(({ celsius }) => celsius), ...levels)
  const coldest = Math.min(0, ...trace.map(({ celsius }) => celsius))
  return { from: from - edge, to: to + edge, bottom: coldest - 2, top: hottest * 1.4 + 4, levels: [...levels] }
}

/** The levels that its checks name, °C, each once, the highest first. */
export function levelsOf(findings: readonly Finding[], gates: readonly Gate[]): number[] {
  const starts = findings.flatMap(({ check }) => {
    const { rule } = check.limit
    return rule.kind === 'reach' ? [stageOf(check.key, rule, check).from] : []
  })
  const all = [...new Set([...gates.map(({ celsius }) => celsius), ...starts, 0])]
  return all.sort((a, b) => b - a)
}
