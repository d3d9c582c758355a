import { accountMessages } from '@logged-thermal/wording'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks } from '../kit/language'
import type { GroupKitchen } from './groupApi'
import styles from './group.module.css'

const say = speaks(accountMessages)

interface Figure {
  key: string
  words: string
  of: (kitchen: GroupKitchen) => number
}

const FIGURES: readonly Figure[] = [
  { key: 'batches', words: say('batchesBegun'), of: ({ batches }) => batches },
  { key: 'release', words: say('released'), of: ({ decided }) => decided.release },
  { key: 'hold', words: say('held'), of: ({ decided }) => decided.hold },
  { key: 'rework', words: say('reworked'), of: ({ decided }) => decided.rework },
  { key: 'discard', words: say('discarded'), of: ({ decided }) => decided.discard },
  { key: 'late', words: say('lateAccepted'), of: ({ lateAccepted }) => lateAccepted },
  { key: 'same', words: say('bySamePerson'), of: ({ bySamePerson }) => bySamePerson },
]

/** What came of the last 30 days in each kitchen: a row for each count. */
export function Compared({ kitchens }: { kitchens: readonly GroupKitchen[] }) {
  return (
    <section aria-label={say('last30')} className={styles.compared}>
      <h2 className="title">{say('last30')}</h2>
      <p className="muted">{say('countsOnly')}</p>
      <DataTable caption={say('last30')} columns={columnsOf(kitchens)} rows={FIGURES} rowKey={({ key }) => key} />
    </section>
  )
}

/** A column for each kitchen, beside what is counted. */
function columnsOf(kitchens: readonly GroupKitchen[]): Column<Figure>[] {
  return [
    { key: 'figure', title: say('figure'), cell: ({ words }) => words, names: true },
    ...kitchens.map((kitchen) => ({ key: kitchen.id, title: kitchen.name, cell: ({ of }: Figure) => of(kitchen) })),
  ]
}
