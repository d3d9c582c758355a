import type { BatchState } from '@logged-thermal/core'
import { sha256 } from '../sealing/sha256'

/** A batch's readings are taken apart from so many on, in pieces of so many. */
const PIECE = 500
/** A state as JSON that is shorter than this has no such trace: it need not be read to know. */
const SHORT = 100_000

/** A piece of a trace: a list of facts as JSON, known by the hash of its text. */
export interface TracePiece {
  hash: string
  text: string
}

/**
 * A batch without all but its last readings, and those in pieces: what is long seldom changes, and a tablet that has it
 * already need not be sent it again. A batch with a short trace is left as it is.
 * @param json a BatchState as JSON
 */
export function takenApart(json: string): { batch: string; pieces: TracePiece[] } {
  if (json.length < SHORT) return { batch: json, pieces: [] }
  const state = JSON.parse(json) as BatchState
  const readings = state.facts['reading-taken']
  const whole = readings.length - (readings.length % PIECE)
  const pieces: TracePiece[] = []
  for (let i = 0; i < whole; i += PIECE) {
    const text = JSON.stringify(readings.slice(i, i + PIECE))
    pieces.push({ hash: sha256(text), text })
  }
  const facts = { ...state.facts, 'reading-taken': readings.slice(whole) }
  return { batch: pieces.length === 0 ? json : JSON.stringify({ ...state, facts }), pieces }
}
