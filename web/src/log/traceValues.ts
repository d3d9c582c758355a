import { celsiusRead, type BatchState, type Witness } from '@logged-thermal/core'
import { degrees, type Reader } from '@logged-thermal/wording'

/** A value on a trace: where its middle stands, px, and what it was before it was put right. */
export interface TraceValue {
  entry: string
  x: number
  y: number
  strong: boolean
  was: string[]
  text: string
}

interface Laid {
  witness: Witness
  x: number
  y: number
}

/** A letter, px, of a value that proves, and of any other; a line. */
const STRONG = 11
const PLAIN = 9
const LINE = 24
/** From a gate to the value beside it. */
const BESIDE = 22
/** The names of the levels stand at the left. */
const LEFT = 44

/**
 * The values of a trace where there is room, those that prove first: over their readings, and beside them where a gate
 * comes down.
 * @param gates where gates come down from above, px
 */
export function traceValues(
  batch: Pick<BatchState, 'facts'>,
  laid: readonly Laid[],
  ringed: readonly number[],
  gates: readonly number[],
  width: number,
  reader: Reader,
): TraceValue[] {
  const taken: { from: number; to: number; y: number }[] = []
  const order = [...laid].sort((a, b) => Number(ringed.includes(b.witness.at)) - Number(ringed.includes(a.witness.at)))
  return order.flatMap(({ witness, x: at, y: level }) => {
    if (at < 0 || at > width) return []
    const { entry, celsius } = witness
    const strong = ringed.includes(witness.at)
    const fact = batch.facts['reading-taken'].find((each) => each.entry === entry)
    const was = fact?.amends.map((amendment) => degrees(celsiusRead(amendment.was), reader)) ?? []
    const text = degrees(celsius, reader).slice(0, -1)
    const half = ([...was, text].join(' ').length * (strong ? STRONG : PLAIN)) / 2
    const gated = gates.some((gate) => Math.abs(gate - at) < half + 6)
    // On the other side of the gate where the pane ends.
    const beside = at + half + BESIDE + half + 4 > width ? at - half - BESIDE : at + half + BESIDE
    const x = Math.min(width - half - 4, Math.max(half + LEFT, gated ? beside : at))
    const y = Math.max(20, gated ? level + 2 : level - (strong ? 18 : 12))
    const clear = taken.every((other) => x + half < other.from || x - half > other.to || Math.abs(other.y - y) > LINE)
    if (!clear) return []
    taken.push({ from: x - half, to: x + half, y })
    return [{ entry, x, y, strong, was, text }]
  })
}
