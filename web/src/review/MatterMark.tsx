import type { Cause } from '@logged-thermal/core'
import { Glyph } from '../parts/Glyph'

/** What a matter is of, as a shape: how a batch stands, a bulge of air, two posts, a ring of doubt. */
export function CauseMark({ cause }: { cause: Cause }) {
  return cause.of === 'batch' ? <Glyph standing={cause.stand.standing} size={36} /> : <MatterMark of={cause.of} />
}

export function MatterMark({ of }: { of: keyof typeof SHAPES }) {
  return (
    <svg width="36" height="36" viewBox="0 0 36 36" aria-hidden="true" style={{ flex: 'none' }}>
      <path d={SHAPES[of]} fill="var(--ink)" fillRule="evenodd" />
    </svg>
  )
}

const SHAPES: Record<Exclude<Cause['of'], 'batch'> | 'late' | 'otherwise', string> = {
  late: 'M18 3A15 15 0 1 1 17.900 3ZM18 7A11 11 0 1 0 18.100 7ZM16 10h4v8l6 5-3 3-7-6Z',
  otherwise: 'M3 8h12v4H3ZM3 24h30v4H3ZM15 8l8 8h10v4H21l-8-8Z',
  item: 'M9 5h6v26h-6ZM21 5h6v26h-6Z',
  unit: 'M0 13C8 13 10 5 18 5S28 13 36 13V23C28 23 26 31 18 31S8 23 0 23Z',
  instrument: 'M18 2L34 18L18 34L2 18ZM18 8L8 18L18 28L28 18Z',
  round: 'M18 3A15 15 0 1 1 17.900 3ZM18 8A10 10 0 1 0 18.100 8Z',
  list: 'M6 5h24v4H6ZM6 16h24v4H6ZM6 27h24v4H6Z',
  fault: 'M4 4h28v28H4ZM9 9v18h18V9ZM16 12h4v9h-4ZM16 23h4v3h-4Z',
  eggs: 'M18 3C26 3 31 14 31 21A13 13 0 0 1 5 21C5 14 10 3 18 3Z',
  incident: 'M18 2L35 33H1ZM16 13h4v11h-4ZM16 26h4v4h-4Z',
}
