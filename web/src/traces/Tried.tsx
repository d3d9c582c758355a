import { LEFT_AFTER, traceResult, type TraceTry } from '@logged-thermal/core'
import { clock, tracesMessages, type Reader } from '@logged-thermal/wording'
import { Link } from 'react-router'
import type { LineData } from '../app/lineData'
import type { Column } from '../kit/table/column'
import { DataTable } from '../kit/table/DataTable'
import { speaks } from '../kit/language'

const say = speaks(tracesMessages)

/** Every trace that was tried, the latest first, and what came of it. */
export function Tried({ line, reader, now }: { line: LineData; reader: Reader; now: number }) {
  const nameOf = (id: string) => line.people.find((person) => person.id === id)?.name ?? ''
  const all = ({ ended }: TraceTry) => (ended ? ended.found.length + ended.missing.length : 0)
  const share = (each: TraceTry) => traceResult(each)?.share ?? null
  const came = (each: TraceTry) => {
    const result = traceResult(each)
    if (result) return result.passed ? say('whole') : say('notWhole')
    return now - each.at < LEFT_AFTER ? say('runs') : say('wasLeft')
  }
  const columns: Column<TraceTry>[] = [
    {
      key: 'what',
      title: say('what'),
      names: true,
      value: ({ name, code }) => `${name} ${code}`,
      cell: ({ of, name, code }) => (
        <Link to={`/store/lineage/${of.type}/${of.id}`}>
          {name} {code}
        </Link>
      ),
    },
    {
      key: 'when',
      title: say('when'),
      value: ({ at }) => new Date(at).toISOString(),
      cell: ({ at }) => clock(at, reader),
    },
    {
      key: 'took',
      title: say('took'),
      value: (each) => traceResult(each)?.minutes ?? 0,
      cell: (each) => traceResult(each)?.minutes ?? '',
    },
    {
      key: 'found',
      title: say('found'),
      value: ({ ended }) => ended?.found.length ?? 0,
      cell: (each) => (each.ended ? say('foundOf', { found: each.ended.found.length, all: all(each) }) : ''),
    },
    {
      key: 'met',
      title: say('met'),
      value: (each) => share(each) ?? 0,
      cell: (each) => {
        const met = share(each)
        if (!each.ended) return ''
        return met === null ? say('notCounted') : `${Math.round(met * 1000) / 10} %`
      },
    },
    { key: 'result', title: say('result'), value: came, cell: came },
    {
      key: 'who',
      title: say('who'),
      value: ({ by, ended }) => nameOf(ended?.by ?? by),
      cell: ({ by, ended }) => nameOf(ended?.by ?? by),
    },
    {
      key: 'note',
      title: say('note'),
      value: ({ ended }) => ended?.note ?? '',
      cell: ({ ended }) => ended?.note ?? '',
    },
  ]
  const rows = [...line.traceTries].reverse()
  return (
    <section aria-label={say('tried')}>
      <h2 className="title">{say('tried')}</h2>
      {rows.length === 0 ? (
        <p>{say('noneTried')}</p>
      ) : (
        <DataTable
          caption={say('tried')}
          file="traces.csv"
          columns={columns}
          rows={rows}
          rowKey={({ entry }) => entry}
        />
      )}
    </section>
  )
}
