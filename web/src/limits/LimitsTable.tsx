import { judged, type LimitKey, type LimitSet, type Line, type Limit, isLooser, ruleSets } from '@logged-thermal/core'
import { limitCells, lineName, sourceOf, type Reader } from '@logged-thermal/wording'
import { LimitPicture } from './LimitPicture'

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
  const decides = set.unit === 'stricter' ? 'both decide' : `°${set.unit} decides`
  const other = set.unit === 'F' ? '°C' : '°F'
  return (
    <table className="limits-table">
      <colgroup>
        <col className="picture" />
        <col className="name" />
        <col className="figure" />
        <col className="figure" />
        <col className="time" />
        <col className="force-column" />
        <col />
      </colgroup>
      <thead>
        <tr>
          <th scope="col" colSpan={2}>
            Limit, section, confidence
          </th>
          <th scope="col">{set.unit === 'stricter' ? '°C' : decides}</th>
          <th scope="col">
            {other} {set.unit === 'stricter' ? decides : prints === 'both' ? 'printed' : 'converted'}
          </th>
          <th scope="col">Time</th>
          <th scope="col">Force</th>
          <th scope="col">House line</th>
        </tr>
      </thead>
      <tbody>
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
      </tbody>
    </table>
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
    <tr className={chosen ? 'chosen' : ''} data-line={line.key} onClick={onChoose}>
      <td className="picture">
        <LimitPicture rule={limit.rule} />
      </td>
      <th scope="row">
        <button type="button" aria-pressed={chosen} onClick={onChoose}>
          {lineName(line.key)}
          {limit.alternative && ', if chosen'}
        </button>
        <small>
          {limit.origin === set.ruleSet.key ? limit.source.section : sourceOf(limit)} · {limit.source.confidence}
          {!judged[line.key] && ' · for people to keep: not judged here'}
        </small>
      </th>
      {plain ? (
        <td colSpan={3} className="words">
          {words}
        </td>
      ) : (
        <>
          <td className="decides">
            {decides}
            {words && <small>{words}</small>}
          </td>
          <td className="other">{other}</td>
          <td className="time">{time}</td>
        </>
      )}
      <td>
        <span className={`force ${limit.force}`}>{limit.force}</span>
      </td>
      <td>{first && <HouseCell line={line} set={set} reader={reader} today={today} />}</td>
    </tr>
  )
}

function HouseCell({ line, set, reader, today }: { line: Line; set: LimitSet; reader: Reader; today: string }) {
  const { house, variance } = line
  if (!house) return line.published[0]?.rule.kind === 'no number' ? <span className="needed">needed</span> : null
  const { celsius, fahrenheit, time } = limitCells(house.rule, reader)
  const words = [set.unit === 'F' ? fahrenheit : celsius, time].filter(Boolean).join(', ')
  if (!isLooser(line) || !variance) return <span className="house-line">{words}</span>
  const ended = today > variance.validUntil
  return (
    <span className={`variance${ended ? ' ended' : ''}`}>
      {ended ? 'ended' : 'looser'}, {variance.reference}
    </span>
  )
}
