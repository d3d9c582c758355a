import type { Backing, InstrumentKind } from '@logged-thermal/core'
import { backingMessages } from './catalogue/backing'
import { speaker, type Spoken } from './catalogue/say'
import { difference, type Reader } from './figures'

const say = speaker(backingMessages)

/** What stands behind an instrument's readings, in two or three words beside its code; null where nothing need be said. */
export function backingWords(backing: Backing, reader: Spoken): string | null {
  switch (backing) {
    case 'checked':
    case 'not asked':
      return null
    case 'overdue':
      return say(reader, 'overdue')
    case 'lapsed':
      return say(reader, 'lapsed')
    case 'unchecked':
      return say(reader, 'unchecked')
    case 'failed':
      return say(reader, 'failed')
  }
}

/** How far an instrument is out: '+0.7°', '0.7°' without its side; of a pH meter '+0.02'. */
export function errorWords(
  kind: InstrumentKind,
  error: number,
  reader: Reader,
  side: 'told' | 'not told' = 'told',
): string {
  if (kind !== 'ph') return difference(error, reader, side)
  const sign = side === 'not told' || Math.abs(error) < 0.005 ? '' : error > 0 ? '+' : '−'
  return `${sign}${Math.abs(error).toFixed(2)}`
}
