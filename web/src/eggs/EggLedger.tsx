import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { eggLedger, isPooled, lotTallies, type BatchState, type LotState } from '@logged-thermal/core'
import { grams, partWord, pooledNote, eggsMessages } from '@logged-thermal/wording'
import styles from './eggs.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(eggsMessages)

/** What came out of which lot, and where it went: taken, used, kept or binned, left. */
export function EggLedger({ batch, lots }: { batch: BatchState; lots: readonly LotState[] }) {
  const tallies = lotTallies(batch)
  const lines = eggLedger(batch)
  if (tallies.length === 0) return null
  return (
    <div className={styles.eggLedger}>
      <ul aria-label={say('lots')}>
        {tallies.map(({ lot, form, cracked, rejected }) => (
          <li key={lot}>
            <strong>{lots.find(({ id }) => id === lot)?.code ?? say('aLot')}</strong>{' '}
            {form === 'pasteurized' ? say('pasteurized') : say('goodRejected', { cracked, rejected })}
          </li>
        ))}
      </ul>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell scope="col">{say('part')}</TableCell>
            <TableCell scope="col">{say('taken')}</TableCell>
            <TableCell scope="col">{say('used')}</TableCell>
            <TableCell scope="col">{say('keptBinned')}</TableCell>
            <TableCell scope="col">{say('left')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map(({ part, taken, used, settled, left }) => (
            <TableRow key={part}>
              <TableCell component="th" scope="row">
                {partWord(part, spoken)}
              </TableCell>
              <TableCell>{grams(taken)}</TableCell>
              <TableCell>{grams(Math.min(used, taken))}</TableCell>
              <TableCell>{grams(settled)}</TableCell>
              <TableCell>
                <strong>{grams(left)}</strong>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {isPooled(batch) && <p className={styles.pooled}>{pooledNote(spoken)}</p>}
    </div>
  )
}
