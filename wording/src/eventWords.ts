import type { Id, InstrumentKind, SealedEntry } from '@logged-thermal/core'
import { speaker } from './catalogue/say'
import { eventsMessages } from './catalogue/events'
import { dayName, type Reader } from './figures'
import { errorWords } from './instrumentWords'

const say = speaker(eventsMessages)

/** What the words of an event need to name what it is about; null: unknown by now. */
export interface Names {
  /** A batch, an item, a lot, a unit or a method: 'Lemon custard 330-1'. */
  of(id: Id): string | null
  person(id: Id): string
  instrument(id: Id): { code: string; kind: InstrumentKind } | null
}

/** What happened between the batches of a day, in few words: 'P4 failed its check: 1.9° high'; null for what is no such event. */
export function eventWords(
  entry: Pick<SealedEntry, 'claim'> & { seal?: Pick<SealedEntry['seal'], 'resolved'> | null },
  names: Names,
  reader: Reader,
): string | null {
  const words = wordsOf(entry, names, reader)
  return words !== null && entry.seal?.resolved?.contested ? say(reader, 'contested', { words }) : words
}

function wordsOf({ claim }: Pick<SealedEntry, 'claim'>, names: Names, reader: Reader): string | null {
  const { kind, body, about, by } = claim
  const what = names.of(about.id) ?? say(reader, 'something')
  switch (kind) {
    case 'lot-received':
      return say(reader, 'lotIn', { what: `${body.name} ${body.code}` })
    case 'lot-decided':
      return say(reader, `lotDecided_${body.verdict}`, { what })
    case 'recalled':
      return say(reader, body.drill ? 'recallPractised' : 'recalled', { what })
    case 'recall-ended':
      return say(reader, 'recallEnded', { what })
    case 'instrument-checked': {
      const { code, kind: of } = names.instrument(about.id) ?? { code: what, kind: 'probe' as const }
      const { passed, error } = body.found
      return say(reader, passed ? 'checkPassed' : 'checkFailed', { code, error: errorWords(of, error, reader) })
    }
    case 'handed-over':
      return body.asked === null
        ? say(reader, 'handsOverNobody', { name: names.person(by) })
        : say(reader, 'handsOver', { name: names.person(by), asked: names.person(body.asked) })
    case 'item-discarded':
      return say(reader, 'binned', { what })
    case 'disposed':
      return say(reader, DECIDED[body.decision], { what })
    case 'served':
      return say(reader, 'served', { what })
    case 'item-dispatched':
      return say(reader, 'sentOut', { what, name: body.name })
    case 'unit-skipped':
      return say(reader, 'notRead', { what, reason: body.reason })
    case 'reading-accepted':
      return say(reader, 'letCount', { what })
    case 'entries-accepted':
      return say(reader, 'letCount', { what: body.entries.flatMap(({ id }) => names.of(id) ?? [])[0] ?? what })
    case 'entries-refused':
      return say(reader, 'notLetCount', { what: body.entries.flatMap(({ id }) => names.of(id) ?? [])[0] ?? what })
    case 'list-done':
      return say(reader, 'listDone', { who: names.person(by), faults: body.faults.length })
    case 'plan-signed':
      return say(reader, 'planSigned', { what, version: body.version })
    case 'trace-ended':
      return say(reader, 'traceEnded', { found: body.found.length, missing: body.missing.length })
    case 'log-transcribed':
      return say(reader, 'logTranscribed', { count: body.rows.length, source: body.source })
    case 'limits-set':
      return say(reader, 'limitsChanged')
    case 'method-approved':
      return say(reader, 'methodInForce', { what, version: body.version })
    case 'delegated':
      return body.to === null ? say(reader, 'standInEnds') : say(reader, 'standsIn', { name: names.person(body.to) })
    case 'incident-told':
      return say(reader, `incident_${body.what}`, { note: body.note })
    case 'matter-closed':
      return say(reader, 'matterClosed', { action: body.action })
    case 'day-signed':
      return say(reader, 'daySigned', { day: dayName(body.day, reader), name: names.person(by) })
    case 'restored':
      return say(reader, 'restored')
    default:
      return null
  }
}

const DECIDED = { release: 'released', hold: 'held', rework: 'rework', discard: 'discarded' } as const
