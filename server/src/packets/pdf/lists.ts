import type { AnyClaim, Id, LotReceived } from '@logged-thermal/core'
import { dayAndTime, fullDate, packetMessages, speaker, type Reader } from '@logged-thermal/wording'
import type { Paper, Row } from '../../records/pdf/paper'

const say = speaker(packetMessages)

/** What a packet lists beside its days: each claim as it is folded. */
export interface ListsAsked {
  reader: Reader
  people: Record<Id, string>
  lots: { claim: AnyClaim; /** Batches that it went into. */ into: string[] }[]
  labels: { claim: AnyClaim; what: string }[]
  matters: { claim: AnyClaim; what: string }[]
}

/** Lots as they came, and where they went; called back or decided, that stands with them. */
export function drawLots(paper: Paper, { lots, reader, people }: ListsAsked): void {
  paper.part(say(reader, 'lots'))
  paper.heading(1, say(reader, 'lots'))
  paper.rule()
  table(paper, say(reader, 'lotsNone'), reader, {
    shares: [16, 26, 18, 26, 14],
    titles: ['time', 'what', 'taken', 'into', 'by'],
    rows: lots.map(({ claim, into }) => {
      const time = dayAndTime(claim.at, reader)
      const by = people[claim.by] ?? ''
      switch (claim.kind) {
        case 'lot-received':
          return [time, lotName(claim.body, reader), takenAs(claim.body, reader), into.join(', '), by]
        case 'lot-decided':
          return [time, say(reader, 'lotDecided'), say(reader, `verdict_${claim.body.verdict}`), claim.body.reason, by]
        case 'recalled':
          return [
            time,
            say(reader, claim.body.drill ? 'recallTried' : 'recallBegan'),
            claim.body.reason,
            into.join(', '),
            by,
          ]
        case 'recall-ended':
          return [time, say(reader, 'recallOver'), claim.body.reason, into.join(', '), by]
        default:
          return [time, '', '', '', by]
      }
    }),
  })
}

/** Which labels were printed, of what, how many, by whom. */
export function drawLabels(paper: Paper, { labels, reader, people }: ListsAsked): void {
  paper.part(say(reader, 'labels'))
  paper.heading(1, say(reader, 'labels'))
  paper.rule()
  table(paper, say(reader, 'labelsNone'), reader, {
    shares: [20, 50, 10, 20],
    titles: ['time', 'what', 'copies', 'by'],
    rows: labels.map(({ claim, what }) => [
      dayAndTime(claim.at, reader),
      what,
      claim.kind === 'label-printed' ? String(claim.body.copies) : '',
      people[claim.by] ?? '',
    ]),
  })
}

/** What happened that no reading tells, and what was done about it and about all else. */
export function drawMatters(paper: Paper, { matters, reader, people }: ListsAsked): void {
  paper.part(say(reader, 'matters'))
  paper.heading(1, say(reader, 'matters'))
  paper.rule()
  table(paper, say(reader, 'mattersNone'), reader, {
    shares: [14, 26, 24, 24, 12],
    titles: ['time', 'what', 'done', 'prevents', 'by'],
    rows: matters.map(({ claim, what }) => {
      const time = dayAndTime(claim.at, reader)
      const by = people[claim.by] ?? ''
      if (claim.kind === 'matter-closed')
        return [time, `${what}. ${claim.body.why}`, claim.body.action, claim.body.prevents, by]
      return [time, claim.kind === 'incident-told' ? `${claim.body.what}: ${claim.body.note}` : what, '', '', by]
    }),
  })
}

type Title = 'time' | 'what' | 'taken' | 'into' | 'by' | 'copies' | 'done' | 'prevents'

function table(
  paper: Paper,
  none: string,
  reader: Reader,
  { shares, titles, rows }: { shares: readonly number[]; titles: readonly Title[]; rows: readonly string[][] },
): void {
  const columns = titles.map((title, i) => ({ title: say(reader, title), share: shares[i]! }))
  const cells = (row: readonly string[]): Row => ({ cells: row.map((text, i) => ({ text, bold: i === 1 })) })
  paper.tableOr(none, columns, rows.map(cells), 8.5)
}

function lotName({ name, code, supplier, useBy }: LotReceived, reader: Reader): string {
  const day = useBy === null ? [] : [say(reader, 'useBy', { day: fullDate(useBy, reader) })]
  return [`${name} ${code}`, supplier, ...day].join(', ')
}

function takenAs({ verdict, received, why }: LotReceived, reader: Reader): string {
  const read = received ? [`${received.typed.value.toFixed(1)}°${received.typed.unit}`] : []
  return [say(reader, `verdict_${verdict}`), ...read, ...(why === null ? [] : [why])].join(', ')
}
