import { dayOf, judgeBatch, type BatchState, type Finding, type Id, type Instant } from '@logged-thermal/core'
import { checkTitle, dayAndTime, paperMessages, speaker, type Reader } from '@logged-thermal/wording'
import type { Paper, Row } from './paper'
import { standingMark } from './marks'

const say = speaker(paperMessages)

export interface SheetsAsked {
  reader: Reader
  now: Instant
  people: Record<Id, string>
  /** What runs, each a BatchState as JSON. */
  running: string[]
  units: string[]
}

/** Lines to write on. */
const LINES = 11
const NEW_BATCHES = 2

/** For each batch that runs a sheet with its limits and by when, two for new ones, one for the units: printed before it is needed. */
export function drawBlankSheets(paper: Paper, { running, units, reader, now, people }: SheetsAsked): void {
  for (const json of running) drawRunning(paper, JSON.parse(json) as BatchState, { reader, now, people })
  for (let i = 0; i < NEW_BATCHES; i++) drawNew(paper, reader)
  drawUnits(paper, units, reader)
}

function drawRunning(
  paper: Paper,
  batch: BatchState,
  { reader, now, people }: Pick<SheetsAsked, 'reader' | 'now' | 'people'>,
): void {
  const { code, method, startedAt, startedBy, vessel } = batch
  const findings = judgeBatch(batch, { zone: reader.zone }, now)
  begin(paper, `${method.name} ${code}`, method.name, reader)
  const time = dayAndTime(startedAt, reader)
  paper.text(say(reader, 'runs', { code, time, name: people[startedBy] ?? '', vessel: vessel.name }), { size: 12 })
  paper.heading(2, say(reader, 'limits'))
  const ofDay = { ...reader, today: dayOf(now, reader.zone) }
  paper.table(
    [
      { title: say(reader, 'limit'), share: 60 },
      { title: say(reader, 'toReach'), share: 40 },
    ],
    findings.map((finding) => limitRow(finding, ofDay)),
    11,
  )
  drawLines(paper, reader)
}

/** What is decided by now stands there with its mark; what is open has room to write. */
function limitRow(finding: Finding, reader: Reader): Row {
  const title = checkTitle(finding, reader)
  return { cells: [{ text: title, bold: true, mark: standingMark(finding.standing) }, { text: '' }] }
}

function drawNew(paper: Paper, reader: Reader): void {
  begin(paper, say(reader, 'newBatch'), say(reader, 'newBatch'), reader)
  paper.table(
    [
      { title: '', share: 30 },
      { title: '', share: 70 },
    ],
    [say(reader, 'newName'), say(reader, 'newBegun'), say(reader, 'newLots'), say(reader, 'newOff')].map((text) => ({
      cells: [{ text: `${text}\n ` }, { text: '' }],
    })),
    11,
  )
  drawLines(paper, reader)
}

function drawUnits(paper: Paper, units: readonly string[], reader: Reader): void {
  begin(paper, say(reader, 'units'), say(reader, 'units'), reader)
  paper.table(
    [
      { title: say(reader, 'unit'), share: 34 },
      { title: say(reader, 'opening'), share: 22 },
      { title: say(reader, 'midday'), share: 22 },
      { title: say(reader, 'closing'), share: 22 },
    ],
    units.map((name) => ({ cells: [{ text: `${name}\n `, bold: true }, { text: '' }, { text: '' }, { text: '' }] })),
    12,
  )
}

function begin(paper: Paper, bookmark: string, title: string, reader: Reader): void {
  paper.part(bookmark)
  paper.heading(1, title)
  paper.text(say(reader, 'how'), { size: 9 })
  paper.rule()
}

function drawLines(paper: Paper, reader: Reader): void {
  paper.heading(2, say(reader, 'readings'))
  const empty: Row = { cells: [{ text: ' \n ' }, ...Array.from({ length: 5 }, () => ({ text: '' }))] }
  paper.table(
    [
      { title: say(reader, 'time'), share: 12 },
      { title: say(reader, 'degrees', { scale: reader.scale }), share: 12 },
      { title: say(reader, 'where'), share: 20 },
      { title: say(reader, 'probe'), share: 12 },
      { title: say(reader, 'done'), share: 30 },
      { title: say(reader, 'initials'), share: 14 },
    ],
    Array.from({ length: LINES }, () => empty),
    10,
  )
}
