import type { Id, InstrumentKind } from '../ledger/subject'
import type { Where } from '../physics/trace/reading'

export interface InstrumentState {
  id: Id
  /** What is written on it. */
  code: string
  kind: InstrumentKind
}

/** Where in the product an instrument of a kind can read. */
export const measures: Record<InstrumentKind, Where> = { probe: 'core', infrared: 'surface', display: 'air' }
