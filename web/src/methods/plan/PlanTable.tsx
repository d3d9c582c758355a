import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { PlanRow, WrittenPlan } from '@logged-thermal/core'
import { planCells, planMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../../kit/language'
import styles from './plan.module.css'

const say = speaks(planMessages)

/** Step by step: what can go wrong, what shows that it did not, and what is done where it did. */
export function PlanTable({ plan, reader }: { plan: WrittenPlan; reader: Reader }) {
  const heads = [say('columnStep'), say('columnLimit'), say('columnWatched'), say('columnMissed'), say('columnKept')]
  return (
    <Table className={styles.table}>
      <TableHead>
        <TableRow>
          {heads.map((head) => (
            <TableCell key={head} component="th" scope="col">
              {head}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {plan.rows.map((row, i) => {
          const { step, hazard, limit, source, watched, missed, decides, kept } = planCells(row, plan, reader)
          // Said once for all that stands against it.
          const isSame = (other?: PlanRow) => other?.step === row.step && other.hazard === row.hazard
          const rest = plan.rows.slice(i)
          const span = rest.findIndex((each) => !isSame(each))
          return (
            <TableRow key={i}>
              {!isSame(plan.rows[i - 1]) && (
                <TableCell rowSpan={span < 0 ? rest.length : span}>
                  <b>{step}</b>
                  {hazard}
                </TableCell>
              )}
              <TableCell>
                <b>{limit}</b>
                <small>{source}</small>
              </TableCell>
              <TableCell>{watched}</TableCell>
              <TableCell>
                {missed}. {decides && `${decides}.`}
              </TableCell>
              <TableCell>{kept}</TableCell>
            </TableRow>
          )
        })}
      </TableBody>
    </Table>
  )
}
