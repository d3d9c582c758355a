import { celsiusOf, type WaitingEntry } from '@logged-thermal/core'
import { degrees, type Reader } from './figures'

/** What was entered too late, as the beginning of a sentence. */
export function waitingWords({ what, typed }: WaitingEntry, reader: Reader): string {
  const value = typed ? degrees(celsiusOf(typed), reader, 'under') : ''
  switch (what) {
    case 'reading':
      return value
    case 'correction':
      return `The correction to ${value}`
    case 'taken back':
      return typed ? `Taking back ${value}` : 'What was taken back'
    case 'mark':
      return 'The step'
    case 'addition':
      return 'What went in'
    case 'eggs':
      return 'The eggs'
    case 'place':
      return 'Where it stood'
    case 'other':
      return 'What was done'
  }
}
