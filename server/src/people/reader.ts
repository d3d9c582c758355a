import type { Reader } from '@logged-thermal/wording'
import type { Kitchen } from './kitchen.entity'

/** As people of a kitchen read, where nobody said for whom a sentence is. */
export function readerOf({ unit, zone }: Pick<Kitchen, 'unit' | 'zone'>): Reader {
  return { scale: unit, zone, locale: 'en-GB' }
}
