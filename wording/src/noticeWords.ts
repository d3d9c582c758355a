import type { Day, Matter } from '@logged-thermal/core'
import { noticesMessages } from './catalogue/notices'
import { speaker } from './catalogue/say'
import type { Names } from './eventWords'
import { dayName, type Reader } from './figures'
import { matterWords } from './matterWords'

const say = speaker(noticesMessages)

export interface Letter {
  subject: string
  text: string
}

export interface LetterAbout {
  kitchen: string
  /** Where tablets open the program: 'https://kitchen.example'. */
  address: string
  names: Names
  now: number
}

/** Told at once, of one thing: what it is, what to do now, and the link to it. */
export function urgentLetter(matter: Matter, about: LetterAbout, reader: Reader): Letter {
  const { title } = matterWords(matter, about.names, about.now, reader)
  return {
    subject: say(reader, 'urgentSubject', { kitchen: about.kitchen, title }),
    text: [paragraph(matter, about, reader), foot(about, reader)].join('\n\n'),
  }
}

/** All that waits as the kitchen closes, the most urgent first. */
export function digestLetter(
  day: Day,
  { matters, more }: { matters: readonly Matter[]; more: boolean },
  about: LetterAbout,
  reader: Reader,
): Letter {
  const paragraphs = matters.map((matter) => paragraph(matter, about, reader))
  return {
    subject: say(reader, 'digestSubject', {
      kitchen: about.kitchen,
      day: dayName(day, reader),
      count: matters.length,
    }),
    text: [
      ...(paragraphs.length ? paragraphs : [say(reader, 'nothingWaits')]),
      ...(more ? [say(reader, 'more')] : []),
      foot(about, reader),
    ].join('\n\n'),
  }
}

/** Whether letters reach whoever set them. */
export function trialLetter(about: LetterAbout, reader: Reader): Letter {
  return {
    subject: say(reader, 'trySubject', { kitchen: about.kitchen }),
    text: [say(reader, 'tryText'), foot(about, reader)].join('\n\n'),
  }
}

function paragraph(matter: Matter, { names, now, address }: LetterAbout, reader: Reader): string {
  const { title, says } = matterWords(matter, names, now, reader)
  return [
    title,
    ...says,
    say(reader, 'doNow', { what: matter.settled ? say(reader, 'do_settled') : say(reader, `do_${matter.of}`) }),
    say(reader, 'open', { link: `${address}${pathOf(matter)}` }),
  ].join('\n')
}

function foot({ address }: LetterAbout, reader: Reader): string {
  return `${say(reader, 'allOfIt', { link: `${address}/log/review` })}\n\n${say(reader, 'whyYou')}`
}

function pathOf({ cause }: Matter): string {
  switch (cause.of) {
    case 'batch':
    case 'eggs':
      return `/log/batch/${cause.batch.id}`
    case 'item':
      return `/store/item/${cause.item.card.id}`
    case 'instrument':
      return `/instruments/${cause.instrument.id}/look-back`
    case 'list':
      return '/lists'
    default:
      return '/log/review'
  }
}
