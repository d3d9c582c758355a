import { proofMessages, speaker, type Spoken } from '@logged-thermal/wording'
import type { UnreadableFile } from './linesIn'

const say = speaker(proofMessages)

/** Why nothing of a file can be read. */
export function unreadableSentence({ why }: UnreadableFile, reader: Spoken = { locale: 'en-GB' }): string {
  switch (why) {
    case 'no proof in it':
      return say(reader, 'file_none')
    case 'line without end':
      return say(reader, 'file_endless')
    case 'no archive':
      return say(reader, 'file_archive')
    case 'not text':
      return say(reader, 'file_text')
  }
}
