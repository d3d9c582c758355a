import type { BatchState, Finding } from '@logged-thermal/core'
import {
  type BatchRecord,
  forceWord,
  fullDate,
  inFours,
  type Reader,
  recordMessages,
  speaker,
  timeOfDay,
} from '@logged-thermal/wording'
import type { ProvedBy } from '../provedBy'
import { drawChainRibbon } from './chainRibbon'
import { drawTrace } from './drawTrace'
import { readingMark, standingMark } from './marks'
import type { Paper } from './paper'

const say = speaker(recordMessages)
const TRACE = 150

/** A record of a batch on paper: how it stands and why, its trace, what each limit rests on, every reading, and how to check it. */
export function drawBatch(
  paper: Paper,
  { record, batch, findings }: { record: BatchRecord; batch: BatchState; findings: readonly Finding[] },
  { kitchen, proved, now, reader }: { kitchen: string; proved: ProvedBy | null; now: number; reader: Reader },
): void {
  paper.part(`${record.method.name} ${record.code}`)
  paper.heading(1, record.method.name)
  paper.text(record.line, { size: 11 })
  paper.text(
    [
      say(reader, 'ofKitchen'),
      kitchen,
      fullDate(record.day, reader),
      say(reader, 'rulesOf', { rules: record.rules }),
    ].join(' · '),
  )
  paper.rule()
  const [standing, ...why] = record.said
  paper.text(standing!, { size: 16, face: 'title' })
  if (why.length > 0) paper.text(why.join(' '), { size: 11 })
  paper.figure(standing!, TRACE, (document, x, y) =>
    drawTrace(
      document,
      batch,
      findings,
      now,
      { x, y, width: paper.width, height: TRACE },
      { ...reader, today: record.day },
    ),
  )
  paper.heading(2, say(reader, 'limits'))
  paper.table(
    [
      { title: say(reader, 'limit'), share: 30 },
      { title: say(reader, 'restsOn'), share: 42 },
      { title: say(reader, 'section'), share: 28 },
    ],
    record.limits.map(({ standing: is, title, sentence, force, source }) => ({
      cells: [
        { text: title, bold: true, mark: standingMark(is) },
        { text: sentence },
        { text: `${forceWord(force, reader)} · ${source}` },
      ],
    })),
  )
  paper.heading(2, say(reader, 'readings'))
  if (record.readings.length === 0) paper.text(say(reader, 'noReadings'))
  else {
    paper.table(
      [
        { title: say(reader, 'when'), share: 15 },
        { title: say(reader, 'value'), share: 15 },
        { title: say(reader, 'other', { scale: reader.scale === 'C' ? 'F' : 'C' }), share: 9 },
        { title: say(reader, 'instrument'), share: 11 },
        { title: say(reader, 'by'), share: 16 },
        { title: say(reader, 'told'), share: 34 },
      ],
      record.readings.map(({ when, value, was, other, instrument, by, told, mark }) => ({
        waits: mark === 'waits',
        cells: [
          { text: when, mark: readingMark(mark) },
          { text: value, bold: true, was },
          { text: other },
          { text: instrument },
          { text: by },
          { text: told.join(' · ') || say(reader, 'onTime') },
        ],
      })),
    )
    paper.text(say(reader, 'marks'), { size: 8.5 })
  }
  drawSteps(paper, record, reader)
  paper.heading(2, say(reader, 'decisions'))
  if (record.decisions.length === 0) paper.text(say(reader, 'nobodyDecided'))
  for (const decision of record.decisions) paper.text(decision)
  drawProof(paper, proved, reader)
}

function drawSteps(paper: Paper, { method, steps }: BatchRecord, reader: Reader): void {
  paper.heading(2, say(reader, 'asCooked', { version: method.version }))
  paper.table(
    [
      { title: say(reader, 'step'), share: 26 },
      { title: say(reader, 'when'), share: 20 },
      { title: say(reader, 'otherwise'), share: 54 },
    ],
    steps.map(({ name, when, otherwise }) => ({
      cells: [{ text: name }, { text: when }, { text: otherwise.join(' · '), bold: true }],
    })),
  )
}

/** Which signs to look for, and what to do with them. */
export function drawProof(paper: Paper, proved: ProvedBy | null, reader: Reader): void {
  paper.document.y += 8
  paper.rule()
  if (!proved) {
    paper.text(say(reader, 'unsigned'))
    return
  }
  const { head, file } = proved
  paper.heading(2, say(reader, 'proves'))
  paper.figure(head.hash, 34, (document, x, y) => drawChainRibbon(document, head.hash, x, y, paper.width, 30))
  paper.text(say(reader, 'headAt', { seq: head.seq, time: whenSigned(head.time, reader) }), { size: 9 })
  paper.text(inFours(head.hash), { face: 'bold', size: 10.5 })
  paper.text(say(reader, 'key', { key: inFours(head.key) }), { size: 9 })
  paper.text(say(reader, 'provesHow', { file }), { size: 9 })
  paper.text(say(reader, 'caution'), { size: 9 })
  if (paper.lacksLetters) paper.text(say(reader, 'missingSigns'), { size: 9 })
}

function whenSigned(at: number, reader: Reader): string {
  return `${new Date(at).toISOString().slice(0, 10)} ${timeOfDay(at, reader)}`
}
