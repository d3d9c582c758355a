import type { Id } from '../../ledger/subject'
import type { Read } from '../../state/state'
import type { Refusal } from '../guard/refusal'

/** Why nothing more is entered about an instrument: it is none of the kitchen's, or is out of use. */
export function inUse(id: Id, read: Read): Refusal | null {
  const instrument = read('instrument', id)
  if (!instrument) return { code: 'not there', field: 'about.id', what: 'instrument' }
  return instrument.gone ? { code: 'instrument gone', field: 'about.id', instrument: instrument.code } : null
}
