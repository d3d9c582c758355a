import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { discardReasonWord, measureWords, storeRoundMessages, type Reader } from '@logged-thermal/wording'
import type { DiscardTotal } from '../app/api'
import { speaks } from '../kit/language'
import styles from './bin.module.css'

const say = speaks(storeRoundMessages)

/** What was thrown away, by reason, with its weight and cost as far as they are known. */
export function DiscardTable({ totals, reader }: { totals: readonly DiscardTotal[]; reader: Reader }) {
  const all = { items: 0, grams: 0, cost: 0 }
  for (const { items, grams, cost } of totals) {
    all.items += items
    all.grams += grams
    all.cost += cost
  }
  const weight = (grams: number) => (grams > 0 ? measureWords({ value: grams, unit: 'g' }, reader) : '–')
  const money = (cost: number) => (cost / 100).toFixed(2)
  return (
    <Table className={styles.totals}>
      <TableHead>
        <TableRow>
          <TableCell scope="col">{say('why')}</TableCell>
          <TableCell scope="col">{say('things')}</TableCell>
          <TableCell scope="col">{say('weight')}</TableCell>
          <TableCell scope="col">{say('cost')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {totals.map(({ reason, items, grams, cost }) => (
          <TableRow key={reason}>
            <TableCell component="th" scope="row">
              {discardReasonWord(reason, reader)}
            </TableCell>
            <TableCell>{items}</TableCell>
            <TableCell>{weight(grams)}</TableCell>
            <TableCell>{cost > 0 ? money(cost) : '–'}</TableCell>
          </TableRow>
        ))}
        <TableRow>
          <TableCell component="th" scope="row">
            {say('all')}
          </TableCell>
          <TableCell>{all.items}</TableCell>
          <TableCell>{weight(all.grams)}</TableCell>
          <TableCell>{money(all.cost)}</TableCell>
        </TableRow>
      </TableBody>
    </Table>
  )
}
