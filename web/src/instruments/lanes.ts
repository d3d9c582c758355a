import {
  DAY,
  instrumentStanding,
  type Backing,
  type Instant,
  type InstrumentState,
  type InstrumentStanding,
} from '@logged-thermal/core'

/** An instrument with how it stands, as the list shows it. */
export interface Lane {
  instrument: InstrumentState
  standing: InstrumentStanding
}

const URGENT: Record<Backing, number> = { failed: 0, lapsed: 1, unchecked: 2, overdue: 3, checked: 4, 'not asked': 5 }

/** Every instrument, the most urgent first: what failed, what proves nothing, what is late, then by when each is due. */
export function lanesOf(instruments: readonly InstrumentState[], now: Instant): Lane[] {
  const rank = ({ instrument, standing }: Lane) => (instrument.gone ? 6 : URGENT[standing.backing])
  return instruments
    .map((instrument) => ({ instrument, standing: instrumentStanding(instrument, now) }))
    .sort((a, b) => rank(a) - rank(b) || dueOf(a) - dueOf(b) || a.instrument.code.localeCompare(b.instrument.code))
}

function dueOf({ standing: { due, atOnce } }: Lane): number {
  return atOnce ? -Infinity : (due ?? Infinity)
}

/** Whether it asks for a check now. */
export function asksForCheck({ instrument, standing: { backing } }: Lane): boolean {
  return !instrument.gone && (backing === 'lapsed' || backing === 'unchecked' || backing === 'overdue')
}

/** How many days its check is late; 0 on the day itself. */
export function daysLate({ standing: { due } }: Lane, now: Instant): number {
  return due === null ? 0 : Math.max(0, Math.floor((now - due) / DAY))
}
