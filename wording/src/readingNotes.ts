import {
  backingDoubt,
  celsiusRead,
  dayOf,
  isWaiting,
  type BatchState,
  type Day,
  type Fact,
  type Id,
  type Instant,
  type ReadingBody,
} from '@logged-thermal/core'
import { logMessages } from './catalogue/log'
import { speaker } from './catalogue/say'
import { clock, degrees, type Reader } from './figures'
import { backingWords } from './instrumentWords'
import { correctionReason } from './changeWords'

const say = speaker(logMessages)

/** Entered later than this after it happened, it is said when, ms. */
const SAID_WHEN = 60_000

/** As it was typed: '61.2°C'. */
export function typedWords({ typed }: ReadingBody): string {
  return `${typed.value.toFixed(1)}°${typed.unit}`
}

/** What else there is to say of a reading beside time, value, instrument and author, each shortly. */
export function readingNotes(
  fact: Fact<ReadingBody>,
  { failedProbes }: Pick<BatchState, 'failedProbes'>,
  { name, signedDays }: { name: (person: Id) => string; signedDays: readonly { day: Day; at: Instant }[] },
  reader: Reader,
): string[] {
  const { value, at, recordedAt, away, aheadMs, accepted, amends, waiting, refused, void: gone } = fact
  const behind = backingDoubt(fact, failedProbes)
  const said: string[] = []
  if (value.of !== 'mixture') said.push(say(reader, 'partOf', { part: value.of.part }))
  if (value.portion !== undefined) said.push(say(reader, 'pan', { pan: value.portion }))
  if (value.paper !== undefined) said.push(say(reader, 'fromPaper'))
  if (value.file !== undefined) said.push(say(reader, 'fromFile', { file: value.file.name }))
  if (value.readBy && value.readBy.off !== 0)
    said.push(say(reader, 'counted', { degrees: degrees(celsiusRead(value), reader) }))
  const doubt = behind && backingWords(behind, reader)
  if (doubt) said.push(doubt)
  if (recordedAt !== null && recordedAt - at > SAID_WHEN)
    said.push(say(reader, 'recorded', { time: clock(recordedAt, reader) }))
  if (aheadMs !== undefined) said.push(say(reader, 'ownClock', { time: clock(fact.madeAt + aheadMs, reader) }))
  if (away) said.push(say(reader, 'madeAway', { from: clock(away.from, reader), to: clock(away.to, reader) }))
  const signed = signedDays.find(({ day }) => day === dayOf(at, reader.zone))
  if (signed && recordedAt !== null && recordedAt > signed.at) said.push(say(reader, 'afterSigning'))
  if ((isWaiting(fact) && !refused) || waiting.some((each) => !each.refused)) said.push(say(reader, 'waitsForLead'))
  if (refused) said.push(say(reader, 'lateRefused', { name: name(refused.by), reason: refused.reason }))
  if (accepted) said.push(say(reader, 'lateAccepted', { name: name(accepted.by), reason: accepted.reason }))
  for (const { was, reason, by, now } of amends)
    said.push(
      now === 'void' || gone
        ? say(reader, 'takenBack', { reason: correctionReason(reason, reader) })
        : say(reader, 'putRight', { was: typedWords(was), reason: correctionReason(reason, reader), name: name(by) }),
    )
  return said
}
