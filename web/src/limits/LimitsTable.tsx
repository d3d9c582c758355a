import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { judged, type LimitKey, type LimitSet, type Line, type Limit, isLooser, ruleSets } from '@logged-thermal/core'
import {
  limitCells,
  lineName,
  sourceOf,
  type Reader,
  limitsMessages,
  confidenceWord,
  forceWord,
} from '@logged-thermal/wording'
import { LimitPicture } from './LimitPicture'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './limits.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(limitsMessages)

interface Props {
  set: LimitSet
  reader: Reader
  today: string
  chosen: LimitKey | null
  onChoose: (key: LimitKey) => void
}

/** Every limit in force as a row: what is printed in both units, where, how sure, with what force, and the house's line. */
export function LimitsTable({ set, reader, today, chosen, onChoose }: Props) {
  const prints = ruleSets[set.ruleSet.key]?.prints ?? 'both'
  const decides = set.unit === 'stricter' ? say('bothDecide') : say('decidesUnit', { unit: set.unit })
  const other = set.unit === 'F' ? '°C' : '°F'
  return (
    <Table className={styles.table}>
      <colgroup>
        <col className={styles.picture} />
        <col className={styles.name} />
        <col className={styles.figure} />
        <col className={styles.figure} />
        <col className={styles.time} />
        <col className={styles.forceColumn} />
        <col />
      </colgroup>
      <TableHead>
        <TableRow>
          <TableCell scope="col" colSpan={2}>
            {say('limitSectionConfidence')}
          </TableCell>
          <TableCell scope="col">{set.unit === 'stricter' ? '°C' : decides}</TableCell>
          <TableCell scope="col">
            {other} {set.unit === 'stricter' ? decides : prints === 'both' ? say('printed') : say('converted')}
          </TableCell>
          <TableCell scope="col">{say('time')}</TableCell>
          <TableCell scope="col">{say('force')}</TableCell>
          <TableCell scope="col">{say('houseLine')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {set.lines.flatMap((line) =>
          line.published.map((limit, i) => (
            <Row
              key={`${line.key} ${limit.origin} ${i}`}
              line={line}
              limit={limit}
              first={i === 0}
              set={set}
              reader={reader}
              today={today}
              chosen={line.key === chosen}
              onChoose={() => onChoose(line.key)}
            />
          )),
        )}
      </TableBody>
    </Table>
  )
}

function Row({
  line,
  limit,
  first,
  set,
  reader,
  today,
  chosen,
  onChoose,
}: {
  line: Line
  limit: Limit
  first: boolean
  set: LimitSet
  reader: Reader
  today: string
  chosen: boolean
  onChoose: () => void
}) {
  const { celsius, fahrenheit, time, words } = limitCells(limit.rule, reader)
  const [decides, other] = set.unit === 'F' ? [fahrenheit, celsius] : [celsius, fahrenheit]
  const plain = !celsius && !time
  return (
    <TableRow className={clsx(chosen && styles.chosen)} data-line={line.key} onClick={onChoose}>
      <TableCell className={styles.picture}>
        <LimitPicture rule={limit.rule} />
      </TableCell>
      <TableCell component="th" scope="row">
        <RowKey aria-pressed={chosen} onClick={onChoose}>
          {lineName(line.key, reader)}
          {limit.alternative && say('ifChosen')}
        </RowKey>
        <small>
          {limit.origin === set.ruleSet.key ? limit.source.section : sourceOf(limit)} ·{' '}
          {confidenceWord(limit.source.confidence, spoken)}
          {!judged[line.key] && say('forPeopleKeepNot')}
        </small>
      </TableCell>
      {plain ? (
        <TableCell colSpan={3}>{words}</TableCell>
      ) : (
        <>
          <TableCell className={styles.decides}>
            {decides}
            {words && <small>{words}</small>}
          </TableCell>
          <TableCell className={styles.other}>{other}</TableCell>
          <TableCell className={styles.time}>{time}</TableCell>
        </>
      )}
      <TableCell>
        <span className={clsx(styles.force, styles[limit.force])}>{forceWord(limit.force, spoken)}</span>
      </TableCell>
      <TableCell>{first && <HouseCell line={line} set={set} reader={reader} today={today} />}</TableCell>
    </TableRow>
  )
}

function HouseCell({ line, set, reader, today }: { line: Line; set: LimitSet; reader: Reader; today: string }) {
  const { house, variance } = line
  if (!house)
    return line.published[0]?.rule.kind === 'no number' ? <span className={styles.needed}>{say('needed')}</span> : null
  const { celsius, fahrenheit, time } = limitCells(house.rule, reader)
  const words = [set.unit === 'F' ? fahrenheit : celsius, time].filter(Boolean).join(', ')
  if (!isLooser(line) || !variance) return <span className={styles.houseLine}>{words}</span>
  const ended = today > variance.validUntil
  return (
    <span className={clsx(styles.variance, ended && styles.ended)}>
      {ended ? say('ended') : say('looser')}, {variance.reference}
    </span>
  )
}
