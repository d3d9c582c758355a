import { celsiusOf, type WaitingEntry } from '@logged-thermal/core'
import { degrees, type Reader } from './figures'
import { speaker } from './catalogue/say'
import { waitingMessages } from './catalogue/waiting'

const say = speaker(waitingMessages)

/** What was entered too late, as the beginning of a sentence. */
export function waitingWords({ what, typed, file = '' }: WaitingEntry, reader: Reader): string {
  const value = typed ? degrees(celsiusOf(typed), reader, 'under') : ''
  switch (what) {
    case 'reading':
      return value
    case 'file':
      return say(reader, 'fileOf', { file })
    case 'correction':
      return say(reader, 'theCorrectionTo', { value })
    case 'taken back':
      return typed ? say(reader, 'takingBack', { value }) : say(reader, 'whatTakenBack')
    case 'mark':
      return say(reader, 'theStep')
    case 'addition':
      return say(reader, 'whatWent')
    case 'eggs':
      return say(reader, 'theEggs')
    case 'place':
      return say(reader, 'whereStood')
    case 'other':
      return say(reader, 'whatDone')
  }
}
