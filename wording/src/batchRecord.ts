import {
  asCooked,
  celsiusRead,
  dayOf,
  isHeld,
  isWaiting,
  standingForGood,
  celsiusOf,
  type BatchState,
  type Day,
  type Finding,
  type Force,
  type Id,
  type Instant,
  type Standing,
} from '@logged-thermal/core'
import { recordMessages } from './catalogue/record'
import { logMessages } from './catalogue/log'
import { speaker } from './catalogue/say'
import { clock, clockWithSeconds, dayName, degrees, type Reader } from './figures'
import { checkTitle, findingSentence, standingWord } from './findingWords'
import { sourceOf } from './limitWords'
import { stepName } from './methodWords'
import { readingNotes, typedWords } from './readingNotes'

const say = speaker(recordMessages)
const sayOfLog = speaker(logMessages)

/** The record of a batch, in words: what a page shows, a spreadsheet lists and a file holds. */
export interface BatchRecord {
  id: Id
  code: string
  method: { name: string; version: number }
  startedAt: Instant
  day: Day
  standing: Standing
  /** 'Not proven' and why, a sentence each. */
  said: string[]
  /** Which rules it was held to. */
  rules: string
  line: string
  limits: { key: string; standing: Standing; force: Force; title: string; sentence: string; source: string }[]
  readings: RecordedReading[]
  steps: { name: string; when: string; otherwise: string[] }[]
  decisions: string[]
}

export interface RecordedReading {
  at: Instant
  when: string
  /** As it was typed; what it was before, the first value first. */
  value: string
  was: string[]
  /** What counted, °C: with what the instrument was found to be off. */
  celsius: number
  /** The same in the other scale. */
  other: string
  instrument: string
  by: string
  told: string[]
  mark: 'proves' | 'waits' | 'taken back' | null
}

/** What a record needs to know beside the batch. */
export interface RecordNames {
  person(id: Id): string
  /** null: read without one. */
  instrument(id: Id): string
  signedDays: readonly { day: Day; at: Instant }[]
  /** Every decision that was signed, also those that another followed. */
  decisions: readonly {
    decision: 'release' | 'hold' | 'rework' | 'discard'
    by: Id
    at: Instant
    reason: string
    core: string
  }[]
}

/** The record of a batch, as it is judged. @param findings of it, at the instant of the record */
export function batchRecord(
  batch: BatchState,
  findings: readonly Finding[],
  names: RecordNames,
  reader: Reader,
): BatchRecord {
  const { id, code, method, startedAt, vessel } = batch
  const day = dayOf(startedAt, reader.zone)
  const ofDay: Reader = { ...reader, today: day }
  const standing = standingForGood(batch, findings)
  const worst = findings.find((finding) => finding.standing === standing)
  const time = `${dayName(day, reader)} ${clock(startedAt, ofDay)}`
  return {
    id,
    code,
    method: { name: method.name, version: method.version },
    startedAt,
    day,
    standing,
    said: [
      `${standingWord(standing, reader)}.`,
      ...(worst && standing !== 'proven' ? [findingSentence(worst, ofDay)] : []),
      ...(isHeld(batch) ? [say(reader, 'held')] : []),
    ],
    rules: [...new Set(findings.filter(isOfRules).map(({ check }) => check.limit.source.document))].join(', '),
    line: say(reader, 'batchLine', { code, vessel: vessel.name, name: names.person(batch.startedBy), time }),
    limits: findings.map((finding) => ({
      key: finding.check.key,
      standing: finding.standing,
      force: finding.check.limit.force,
      title: checkTitle(finding, ofDay),
      sentence: findingSentence(finding, ofDay),
      source: sourceOf(finding.check.limit),
    })),
    readings: readingsOf(batch, findings, names, ofDay),
    steps: asCooked(batch).map(({ step, began, ended, leftOut, otherwise }) => ({
      name: stepName(step.kind, reader),
      when: [...new Set([began, ended].flatMap((at) => (at === null ? [] : [clock(at, ofDay)])))].join(' – '),
      otherwise: [...(leftOut ? [say(reader, 'skipped')] : []), ...otherwise.map(({ said }) => said)],
    })),
    decisions: names.decisions.map(({ decision, by, at, reason, core }) =>
      say(reader, 'decided', {
        decision: sayOfLog(reader, `decision_${decision}`),
        name: names.person(by),
        time: clock(at, ofDay),
        core,
        reason,
      }),
    ),
  }
}

function isOfRules({ check }: Finding): boolean {
  return check.limit.force === 'law' || check.limit.force === 'guidance'
}

function readingsOf(
  batch: BatchState,
  findings: readonly Finding[],
  names: RecordNames,
  reader: Reader,
): RecordedReading[] {
  const proving = new Set(
    findings.filter(({ standing }) => standing === 'proven').flatMap(({ deciding }) => [...deciding]),
  )
  const scaleOf = (unit: 'C' | 'F'): Reader => ({ ...reader, scale: unit === 'C' ? 'F' : 'C' })
  return [...batch.facts['reading-taken']]
    .sort((a, b) => a.at - b.at)
    .map((fact) => {
      const { at, by, value, amends, void: gone } = fact
      const celsius = celsiusRead(value)
      return {
        at,
        when: clockWithSeconds(at, reader),
        value: gone ? '' : typedWords(value),
        was: [...amends.map(({ was }) => typedWords(was)), ...(gone && amends.length === 0 ? [typedWords(value)] : [])],
        celsius,
        other: gone ? '' : degrees(celsiusOf(value.typed), scaleOf(value.typed.unit)),
        instrument: value.instrument === null ? say(reader, 'noInstrument') : names.instrument(value.instrument),
        by: names.person(by),
        told: readingNotes(fact, batch, { name: (id) => names.person(id), signedDays: names.signedDays }, reader),
        mark: gone ? 'taken back' : isWaiting(fact) ? 'waits' : proving.has(at) ? 'proves' : null,
      }
    })
}
