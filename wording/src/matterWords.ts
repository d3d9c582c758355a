import type { Complaint, IncidentWhat, Matter } from '@logged-thermal/core'
import { mattersMessages } from './catalogue/matters'
import { speaker, type Spoken } from './catalogue/say'
import { clock, degrees, span, type Reader } from './figures'
import { findingInShort } from './findingWords'
import { errorWords } from './instrumentWords'
import { asksWord } from './storeWords'
import type { Names } from './eventWords'

const say = speaker(mattersMessages)

/** What a matter is, as a title, and what more there is to say of it. */
export function matterWords(
  matter: Matter,
  names: Names,
  now: number,
  reader: Reader,
): { title: string; says: string[] } {
  const follows = [
    ...(matter.batches.length ? [say(reader, 'followsBatches', { count: matter.batches.length })] : []),
    ...(matter.items.length ? [say(reader, 'followsItems', { count: matter.items.length })] : []),
    ...(matter.before.length ? [say(reader, 'before', { count: matter.before.length })] : []),
    ...(matter.settled ? [say(reader, 'onlyToClose')] : []),
  ]
  const { title, says } = causeWords(matter, names, now, reader)
  return { title, says: [...says, ...follows] }
}

function causeWords(
  { cause, since }: Matter,
  names: Names,
  now: number,
  reader: Reader,
): { title: string; says: string[] } {
  switch (cause.of) {
    case 'batch': {
      const { batch, stand } = cause
      const waiting = batch.waiting > 0 ? [say(reader, 'waiting', { count: batch.waiting })] : []
      return {
        title: say(reader, `of_${stand.standing}`, { what: `${batch.name} ${batch.code}` }),
        says: [...(stand.says && stand.standing !== 'proven' ? [findingInShort(stand.says, reader)] : []), ...waiting],
      }
    }
    case 'eggs':
      return {
        title: say(reader, 'eggs', { what: `${cause.batch.name} ${cause.batch.code}` }),
        says: [say(reader, 'eggsSays')],
      }
    case 'item': {
      const { card, standing } = cause.item
      const ended = standing.until !== null && standing.until <= now
      return {
        title: say(reader, 'item', {
          what: `${card.name} ${card.code}`,
          asks: asksWord(standing.asks, reader).toLowerCase(),
        }),
        says: [ended ? say(reader, 'endedAt', { time: clock(standing.until!, reader) }) : say(reader, 'stillThere')],
      }
    }
    case 'unit': {
      const { unit, excursion } = cause
      const { since: began, until, worst } = excursion
      return {
        title:
          until === null
            ? say(reader, 'unitWarm', { unit: unit.name })
            : say(reader, 'unitWas', { unit: unit.name, span: span(until - began.latest, reader) }),
        says: [
          say(reader, 'unitSays', { degrees: degrees(worst.celsius, reader, 'under'), time: clock(worst.at, reader) }),
        ],
      }
    }
    case 'instrument': {
      const kind = names.instrument(cause.instrument.id)?.kind ?? 'probe'
      const error = errorWords(kind, cause.check.error, reader)
      return { title: say(reader, 'instrument', { code: cause.instrument.code, error }), says: [] }
    }
    case 'round':
      return {
        title: say(reader, 'round', { time: clock(since, reader) }),
        says: [say(reader, 'roundSays', { count: cause.left.length })],
      }
    case 'list':
      return {
        title: say(reader, 'listMissed', { names: cause.names.join(', '), time: clock(since, reader) }),
        says: [],
      }
    case 'fault': {
      const [first, ...more] = cause.faults
      const note = first?.note ?? ''
      return {
        title: say(reader, 'fault', {
          list: cause.list,
          what: more.length ? say(reader, 'faultMore', { note, count: more.length }) : note,
        }),
        says: [
          ...cause.faults.map(({ text, note: of }) => say(reader, 'faultOf', { text, note: of })),
          say(reader, 'faultBy', { time: clock(since, reader), name: names.person(cause.by) }),
        ],
      }
    }
    case 'incident':
      return {
        title: `${incidentWord(cause.incident.what, reader)}: ${cause.incident.note}`,
        says: [
          ...(cause.incident.complaint ? [complaintWords(cause.incident.complaint, reader)] : []),
          say(reader, 'toldAt', { time: clock(since, reader) }),
        ],
      }
  }
}

function complaintWords({ people, eaten, onset }: Complaint, reader: Reader): string {
  return say(reader, 'complaintSays', {
    people,
    eaten: clock(eaten, reader),
    ill: onset !== null,
    onset: clock(onset ?? eaten, reader),
  })
}

export function incidentWord(key: IncidentWhat, reader: Spoken): string {
  return say(reader, `incident_${key}`)
}
