import { addDays, dayOf, daysBetween, type Day, type HeadStatement, type Standing } from '@logged-thermal/core'
import {
  dayName,
  fullDate,
  inFours,
  packetMessages,
  type Reader,
  recordMessages,
  shortDate,
  speaker,
  timeOfDay,
} from '@logged-thermal/wording'
import { drawChainRibbon } from '../../records/pdf/chainRibbon'
import { standingMark } from '../../records/pdf/marks'
import type { Paper } from '../../records/pdf/paper'
import { drawUnresolved, unresolvedOf, type Summed } from './unresolved'

const say = speaker(packetMessages)
const sayOfRecord = speaker(recordMessages)

export interface CoverAsked {
  kitchen: string
  from: Day
  to: Day
  summed: Summed[]
  /** Files of days. */
  days: number
  /** Written plans. */
  plans: number
  /** Entries of the logbook that the data file shows. */
  shown: number
  head: HeadStatement | null
  reader: Reader
}

/** So many lines of what is unresolved stand on the cover; all of more are in a file of their own. */
export const ON_COVER = 60

const MARK = 11
/** So many days are drawn mark by mark; of more, the counts say it. */
const MOST_DRAWN = 31
const IN_A_ROW = 8

/** What an inspector reads first: counts, what is open, what is where, and how to check it. */
export function drawCover(
  paper: Paper,
  { kitchen, from, to, summed, days, plans, shown, head, reader }: CoverAsked,
): void {
  paper.part(kitchen)
  paper.text(say(reader, 'kind'), { size: 11 })
  paper.heading(1, kitchen)
  paper.text(say(reader, 'period', { from: fullDate(from, reader), to: fullDate(to, reader) }), {
    size: 15,
    face: 'title',
  })
  paper.document.y += 6
  const { proven, unproven, missed, open: unfinished } = counted(summed)
  const counts = say(reader, 'countOf', { count: summed.length, proven, unproven, missed, open: unfinished })
  paper.text(counts, { size: 12, face: 'bold' })
  paper.text(say(reader, 'followsFrom', { count: shown }), { size: 11 })
  paper.rule(1)
  drawDays(paper, { from, to, summed, reader })
  paper.heading(2, say(reader, 'stillOpen'))
  const unresolved = unresolvedOf(summed)
  drawUnresolved(paper, unresolved.slice(0, ON_COVER), reader)
  if (unresolved.length > ON_COVER)
    paper.text(say(reader, 'moreOpen', { more: unresolved.length - ON_COVER, count: unresolved.length }), {
      face: 'bold',
    })
  paper.heading(2, say(reader, 'inThisFile'))
  paper.table(
    [
      { title: say(reader, 'where'), share: 26 },
      { title: say(reader, 'what'), share: 74 },
    ],
    [
      ['days/…', say(reader, 'file_days', { count: days })],
      ...(unresolved.length > ON_COVER ? [['unresolved.pdf', say(reader, 'file_unresolved')]] : []),
      ['equipment.pdf', say(reader, 'file_equipment')],
      ['plans.pdf', say(reader, 'file_plans', { count: plans })],
      ['lots.pdf', say(reader, 'file_lots')],
      ['matters.pdf', say(reader, 'file_matters')],
      ['labels.pdf', say(reader, 'file_labels')],
      ['*.csv, *.ndjson', say(reader, 'file_tables')],
      ['logbook.proof', say(reader, 'file_logbook')],
      ['check.html', say(reader, 'file_check')],
    ].map(([file, what]) => ({ cells: [{ text: file!, bold: true }, { text: what! }] })),
    8.5,
  )
  if (!head) {
    paper.text(sayOfRecord(reader, 'unsigned'))
    return
  }
  paper.heading(
    2,
    say(reader, 'headOf', {
      time: `${fullDate(dayOf(head.time, reader.zone), reader)} ${timeOfDay(head.time, reader)}`,
      seq: head.seq,
    }),
  )
  paper.figure(head.hash, 44, (document, x, y) => drawChainRibbon(document, head.hash, x, y, paper.width, 40))
  paper.text(inFours(head.hash), { face: 'bold', size: 12 })
  paper.text(sayOfRecord(reader, 'key', { key: inFours(head.key) }))
  paper.heading(2, say(reader, 'howTo'))
  for (const [i, step] of [say(reader, 'howTo1'), say(reader, 'howTo2'), say(reader, 'howTo3')].entries())
    paper.text(`${i + 1}. ${step}`, { size: 9 })
  paper.text(sayOfRecord(reader, 'caution'), { size: 9 })
}

function counted(summed: readonly Summed[]): Record<Standing, number> {
  const counts = { open: 0, proven: 0, unproven: 0, missed: 0 }
  for (const { standing } of summed) counts[standing]++
  return counts
}

/** A mark a batch, a column a day. */
function drawDays(
  paper: Paper,
  { from, to, summed, reader }: Pick<CoverAsked, 'from' | 'to' | 'summed' | 'reader'>,
): void {
  const days = Array.from({ length: daysBetween(from, to) + 1 }, (_, i) => addDays(from, i))
  if (days.length > MOST_DRAWN) return
  for (let at = 0; at < days.length; at += IN_A_ROW) {
    const row = days
      .slice(at, at + IN_A_ROW)
      .map((day) => ({ day, batches: summed.filter((each) => each.day === day) }))
    const width = paper.width / IN_A_ROW
    const across = Math.max(1, Math.floor((width - 8) / (MARK + 4)))
    const lines = Math.max(1, ...row.map(({ batches }) => Math.ceil(batches.length / across)))
    const height = lines * (MARK + 4) + 34
    const told = row.map(({ day, batches }) => `${shortDate(day, reader)}: ${countsWords(batches, reader)}`).join('; ')
    paper.figure(told, height, (document, x, y) => {
      row.forEach(({ day, batches }, i) => {
        const left = x + i * width
        if (i > 0)
          document
            .moveTo(left - 4, y)
            .lineTo(left - 4, y + height - 8)
            .lineWidth(0.5)
            .stroke('#888888')
        batches.forEach(({ standing }, n) =>
          standingMark(standing)(
            document,
            left + (n % across) * (MARK + 4),
            y + Math.floor(n / across) * (MARK + 4),
            MARK,
          ),
        )
        const proven = batches.filter(({ standing }) => standing === 'proven').length
        paper.write(dayName(day, reader), 'bold', 9, left, y + lines * (MARK + 4) + 2, width)
        paper.write(
          say(reader, 'ofDay', { proven, all: batches.length }),
          'text',
          8.5,
          left,
          y + lines * (MARK + 4) + 13,
          width,
        )
      })
    })
  }
  paper.figure(say(reader, 'oneMark'), 16, (document, x, y) => {
    let left = x
    for (const standing of ['proven', 'unproven', 'missed', 'open'] as const) {
      standingMark(standing)(document, left, y, MARK)
      paper.write(say(reader, standing), 'text', 9, left + MARK + 4, y, 80)
      left += 84
    }
    paper.write(say(reader, 'oneMark'), 'text', 9, x + paper.width - 110, y, 110)
  })
}

function countsWords(batches: readonly Summed[], reader: Reader): string {
  const counts = counted(batches)
  return (['proven', 'unproven', 'missed', 'open'] as const)
    .filter((standing) => counts[standing] > 0)
    .map((standing) => `${counts[standing]} ${say(reader, standing)}`)
    .join(', ')
}
