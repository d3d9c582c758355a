import type { Day, Standing } from '@logged-thermal/core'
import { dayName, packetMessages, speaker, type Reader } from '@logged-thermal/wording'
import { standingMark } from '../../records/pdf/marks'
import type { Paper } from '../../records/pdf/paper'

const say = speaker(packetMessages)

/** How a batch of a packet stands. */
export interface Summed {
  code: string
  name: string
  day: Day
  standing: Standing
  /** Why it waits for the lead; null: it does not. */
  open: string | null
  /** The file its record is in. */
  file: string
}

/** A batch that waits for the lead. */
export type Unresolved = Summed & { open: string }

/** Missed before not proven, in order of time. */
export function unresolvedOf(summed: readonly Summed[]): Unresolved[] {
  const waits = summed.filter((each): each is Unresolved => each.open !== null)
  return [...waits.filter(isMissed), ...waits.filter((each) => !isMissed(each))]
}

function isMissed({ standing }: Summed): boolean {
  return standing === 'missed'
}

/** A line each, with the file that holds its record. */
export function drawUnresolved(paper: Paper, unresolved: readonly Unresolved[], reader: Reader): void {
  paper.tableOr(
    say(reader, 'nothingOpen'),
    [
      { title: say(reader, 'since'), share: 14 },
      { title: say(reader, 'what'), share: 34 },
      { title: say(reader, 'why'), share: 34 },
      { title: say(reader, 'where'), share: 18 },
    ],
    unresolved.map(({ day, name, code, standing, open, file }) => ({
      cells: [
        { text: dayName(day, reader) },
        { text: `${name} ${code}`, bold: true, mark: standingMark(standing) },
        { text: open },
        { text: file },
      ],
    })),
  )
}
