import { transcribedMessages } from '@logged-thermal/wording'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks } from '../kit/language'
import type { LeftOut, Understood } from './understood'

const say = speaks(transcribedMessages)

type Left = Understood['left'][number]

const WHY: Record<LeftOut, () => string> = {
  'no name': () => say('why_noname'),
  'no day': () => say('why_noday'),
  'no time': () => say('why_notime'),
  'no temperature': () => say('why_notemperature'),
  'not a temperature': () => say('why_notatemperature'),
  'same time': () => say('why_sametime'),
  'in the future': () => say('why_inthefuture'),
  'too many': () => say('why_toomany'),
}

/** Lines that are not understood, each with why: they can be put right in the file, which is then taken once more. */
export function LeftOutLines({ left }: Pick<Understood, 'left'>) {
  if (left.length === 0) return null
  const columns: Column<Left>[] = [
    { key: 'line', title: say('line'), names: true, value: ({ line }) => line, cell: ({ line }) => line },
    { key: 'why', title: say('why'), value: ({ why }) => WHY[why](), cell: ({ why }) => WHY[why]() },
    {
      key: 'cells',
      title: say('cells'),
      value: ({ cells }) => cells.join(' · '),
      cell: ({ cells }) => cells.join(' · '),
    },
  ]
  return (
    <>
      <h2 className="title">{say('leftOut')}</h2>
      <DataTable
        caption={say('leftOut')}
        columns={columns}
        rows={left}
        rowKey={({ line }) => String(line)}
        file="left-out"
      />
    </>
  )
}
