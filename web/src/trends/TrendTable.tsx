import { Link } from 'react-router'
import type { Trend, TrendPoint } from '@logged-thermal/core'
import { clock, standingWord, trendsMessages, type Reader } from '@logged-thermal/wording'
import { pageOf } from '../app/pageOf'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks, spoken } from '../kit/language'
import { chartOrder } from './chartOrder'
import { pointWords } from './values'

const say = speaks(trendsMessages)

/** The numbers of the chart, a row a batch. */
export function TrendTable({ trend, what, reader }: { trend: Trend; what: string; reader: Reader }) {
  const { charted } = chartOrder(trend)
  const unusualOf = (point: TrendPoint) => charted[trend.points.indexOf(point)]?.unusual ?? []
  const columns: Column<TrendPoint>[] = [
    { key: 'when', title: say('when'), value: ({ at }) => at, cell: ({ at }) => clock(at, reader) },
    {
      key: 'batch',
      title: say('batch'),
      names: true,
      value: ({ code }) => code,
      cell: ({ id, code, name }) => (
        <Link to={pageOf({ type: 'batch', id })}>
          {name} {code}
        </Link>
      ),
    },
    { key: 'vessel', title: say('vessel'), value: ({ vessel }) => vessel, cell: ({ vessel }) => vessel },
    {
      key: 'stands',
      title: say('stands'),
      value: ({ standing }) => standing,
      cell: ({ standing }) => standingWord(standing, spoken),
    },
    {
      key: 'value',
      title: trend.measure?.of === 'gate' ? say('value') : say('pace'),
      value: ({ drawn, spare: { least, most } }) => drawn ?? least ?? most ?? '',
      cell: (point) => pointWords(point, reader),
    },
    {
      key: 'unusual',
      title: say('unusual'),
      value: (point) => unusualOf(point).length,
      cell: (point) =>
        unusualOf(point)
          .map(({ rule, side }) => say(`unusual_${rule}`, { side }))
          .join(', '),
    },
  ]
  return <DataTable caption={what} columns={columns} rows={trend.points} rowKey={({ id }) => id} file="trend" />
}
