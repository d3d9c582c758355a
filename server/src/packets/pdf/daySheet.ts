import type { Day, Instant } from '@logged-thermal/core'
import { fullDate, packetMessages, speaker, clock, type BatchRecord, type Reader } from '@logged-thermal/wording'
import { standingMark } from '../../records/pdf/marks'
import type { Paper } from '../../records/pdf/paper'

const say = speaker(packetMessages)

interface DayShown {
  day: Day
  records: readonly BatchRecord[]
  events: readonly { at: string; words: string }[]
  signed: { name: string; at: Instant } | null
}

/** The sheet of a day: its batches as they stand, what happened between, and who signed it. */
export function drawDaySheet(paper: Paper, { day, records, events, signed }: DayShown, reader: Reader): void {
  paper.part(fullDate(day, reader))
  paper.heading(1, fullDate(day, reader))
  paper.text(say(reader, 'daySheet'), { size: 11 })
  paper.rule()
  paper.heading(2, say(reader, 'batches'))
  paper.tableOr(
    say(reader, 'noBatch'),
    [
      { title: say(reader, 'batch'), share: 32 },
      { title: say(reader, 'begun'), share: 10 },
      { title: say(reader, 'why'), share: 58 },
    ],
    records.map(({ code, method, standing, startedAt, said }) => ({
      cells: [
        { text: `${code} ${method.name}`, bold: true, mark: standingMark(standing) },
        { text: clock(startedAt, reader) },
        { text: said.join(' ') },
      ],
    })),
  )
  paper.heading(2, say(reader, 'between'))
  paper.tableOr(
    say(reader, 'nothingBetween'),
    [
      { title: say(reader, 'time'), share: 12 },
      { title: say(reader, 'what'), share: 88 },
    ],
    events.map(({ at, words }) => ({ cells: [{ text: at }, { text: words }] })),
  )
  paper.document.y += 10
  paper.text(
    signed
      ? say(reader, 'signedBy', { name: signed.name, time: clock(signed.at, { ...reader, today: day }) })
      : say(reader, 'notSigned'),
    { face: 'bold' },
  )
}
