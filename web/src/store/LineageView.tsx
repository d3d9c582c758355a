import { useEffect, useMemo, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { dayOf, leftOfLot, missedBy, type Lineage, type LineageNode } from '@logged-thermal/core'
import { timeOfDay, dayName, measureWords, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useLineageQuery } from '../app/api'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { lineageGraph } from './lineageLayout'
import { SignedSheet } from '../login/SignedSheet'
import { StoreNav } from './StoreNav'
import { RowKey } from '../kit/RowKey'
import type { Column } from '../kit/table/column'
import { DataTable } from '../kit/table/DataTable'
import { KeyRow } from '../kit/KeyRow'
import { NameKeys } from '../kit/NameKeys'
import { clsx } from 'clsx'
import binStyles from './bin.module.css'
import lineageStyles from './lineage.module.css'

/** Where something came from and where it went: as a graph and as a table; from a lot also the recall. */
export function LineageView() {
  const { type = 'item', id = '' } = useParams()
  const line = useLine()
  const { reader, open } = useHand(line)
  const { data, error } = useLineageQuery({ type, id, seq: line?.seq ?? 0 })
  const [calling, setCalling] = useState<'drill' | 'recall' | 'end' | null>(null)
  const of = data?.nodes.find((node) => node.id === id)
  const lot = line?.lots.find((each) => each.id === id)
  const enter = useEnter()
  const left = leftOfLot(data ?? { nodes: [] })
  const { items, batches } = left
  const missed = missedBy(id, left, line ?? { items: [], batches: [] })
  const drill = lot?.recall?.value.drill === true
  // A drill marks nothing real: nothing is missed by it.
  const missing = drill ? 0 : missed.items.length + missed.batches.length
  return (
    <View
      place="lineage"

      spoken
      sentence={
        <>
          {data && of ? (
            <LineageSentence data={data} of={of} held={items.length} />
          ) : error ? (
            sentenceOf(error)
          ) : (
            'Looking …'
          )}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={lineageStyles.lineage} tabIndex={0} role="region" aria-label="Lineage">
          {type === 'lot' && lot && (
            <KeyRow className="no-print">
              {drill && (
                <p role="status">
                  Drill: {items.length + batches.length} found. Nothing is held, and the lot may go on being used.
                </p>
              )}
              {lot.recall ? (
                <>
                  {drill && (
                    <Key look="outlined" disabled={!open || !data} onClick={() => setCalling('recall')}>
                      It is serious: hold {items.length + batches.length} now
                    </Key>
                  )}
                  {missing > 0 && (
                    <Key
                      look="primary"
                      disabled={!open}
                      onClick={() => lot.recall && enter('recalled', lot.id, { ...missed, ...lot.recall.value })}
                    >
                      Hold {missing} more: {missing === 1 ? 'it' : 'they'} came since
                    </Key>
                  )}
                  <Key look={missing > 0 ? 'outlined' : 'primary'} onClick={() => setCalling('end')}>
                    {drill ? 'End the drill' : 'End the recall'}
                  </Key>
                </>
              ) : (
                <>
                  <Key look="primary" disabled={!open || !data} onClick={() => setCalling('recall')}>
                    Recall: hold {items.length + batches.length} now
                  </Key>
                  <Key look="outlined" disabled={!open || !data} onClick={() => setCalling('drill')}>
                    Practise a recall
                  </Key>
                </>
              )}
              <Key look="outlined" onClick={() => window.print()}>
                Print the list
              </Key>
            </KeyRow>
          )}
          {data && <GraphPane data={data} reader={reader} />}
          {data && <LineageTable data={data} reader={reader} units={line?.units ?? []} />}
        </div>
      </div>
      {calling === 'end' && lot && (
        <SignedSheet
          title={drill ? `End the drill on ${lot.code}?` : `End the recall of ${lot.code}?`}
          ask="Why it ends, in writing"
          least={1}
          kind="recall-ended"
          about={lot.id}
          body={(reason) => ({ items, batches, reason })}
          onClose={() => setCalling(null)}
        />
      )}
      {(calling === 'recall' || calling === 'drill') && lot && (
        <CallBack
          lot={lot.id}
          code={lot.code}
          items={items}
          batches={batches}
          drill={calling === 'drill'}
          onClose={() => setCalling(null)}
        />
      )}
    </View>
  )
}

function LineageSentence({ data, of, held }: { data: Lineage; of: LineageNode; held: number }) {
  const down = data.nodes.filter(({ generation }) => generation > 0).length
  return (
    <>
      <strong>
        {of.name} {of.code}:
      </strong>{' '}
      {down === 0
        ? 'it went into nothing yet.'
        : `it went into ${down === 1 ? 'one thing' : `${down} things`}, ${held} still held.`}
    </>
  )
}

/** One action holds everything that is left. */
function CallBack({
  lot,
  code,
  items,
  batches,
  drill,
  onClose,
}: {
  lot: string
  code: string
  items: string[]
  batches: string[]
  drill: boolean
  onClose: () => void
}) {
  const enter = useEnter()
  const reasons = drill
    ? ['Drill']
    : ['The supplier called it back', 'Somebody fell ill', 'It was too warm for too long', 'A foreign body was found']
  return (
    <Sheet open onClose={onClose} title={drill ? `Practise a recall of ${code}` : `Recall ${code}`}>
      <p>
        {items.length + batches.length} {items.length + batches.length === 1 ? 'thing' : 'things'}{' '}
        {drill
          ? 'would be held. A drill marks nothing: find them, and see how long it takes. The lead ends it with a PIN.'
          : 'will be held at once, and the lot may go into nothing more. The lead ends it with a PIN.'}
      </p>
      <NameKeys>
        {reasons.map((reason) => (
          <Key
            key={reason}
            onClick={() => {
              enter('recalled', lot, { items, batches, reason, drill })
              onClose()
            }}
          >
            {reason}
          </Key>
        ))}
      </NameKeys>
    </Sheet>
  )
}

function GraphPane({ data, reader }: { data: Lineage; reader: Reader }) {
  const [apart, setApart] = useState<ReadonlySet<string>>(new Set())
  const graph = useMemo(() => lineageGraph(data, reader.zone, apart), [data, reader.zone, apart])
  const pane = useRef<HTMLDivElement>(null)
  const here = graph.boxes.find(({ nodes }) => nodes.some(({ id }) => id === data.of.id))
  useEffect(() => {
    if (pane.current && here) pane.current.scrollTop = here.y - pane.current.clientHeight / 2 + here.height / 2
  }, [here])
  return (
    <div className={clsx(lineageStyles.graph, 'no-print')} ref={pane} tabIndex={0} role="region" aria-label="Graph">
      <div style={{ width: graph.width, height: graph.height, position: 'relative' }}>
        <svg width={graph.width} height={graph.height} aria-hidden>
          {graph.lines.map(({ points }, i) => (
            <polyline
              key={i}
              points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
              fill="none"
              stroke="var(--on-glass2)"
              strokeWidth="2.500"
            />
          ))}
        </svg>
        {graph.boxes.map(({ key, nodes, name, x, y, width, height }) => {
          const [only] = nodes
          const style = { left: x, top: y, width, height }
          return nodes.length > 1 ? (
            <RowKey
              key={key}
              className={clsx(lineageStyles.box, lineageStyles.many)}
              style={style}
              onClick={() => setApart(new Set([...apart, key]))}
            >
              <strong>
                {nodes.length} × {name}
              </strong>
              <small>{dayName(dayOf(only!.at, reader.zone), reader)}; tap to see each</small>
            </RowKey>
          ) : (
            <Link
              key={key}
              className={clsx(
                lineageStyles.box,
                lineageStyles[only!.type],
                only!.id === data.of.id && lineageStyles.here,
                only!.card?.gone && lineageStyles.gone,
              )}
              style={style}
              to={only!.type === 'item' ? `/store/item/${only!.id}` : `/store/lineage/${only!.type}/${only!.id}`}
            >
              <strong>{name}</strong>
              <small>
                {only!.type} {only!.code}
                {only!.card
                  ? only!.card.gone
                    ? ', gone'
                    : only!.card.held
                      ? ', held'
                      : `, ${measureWords(only!.card.left)}`
                  : ''}
              </small>
            </Link>
          )
        })}
      </div>
    </div>
  )
}

/** The same as rows: what, since when, where it is or that it went. This is the list that is printed. */
function LineageTable({
  data,
  reader,
  units,
}: {
  data: Lineage
  reader: Reader
  units: { id: string; name: string }[]
}) {
  const where = ({ card, running, type }: LineageNode) => {
    if (!card) return type === 'batch' ? (running ? 'on the Line' : 'put away or gone') : ''
    if (card.gone) return 'gone'
    const unit = units.find(({ id }) => id === card.unit)?.name
    return `${unit ? `${unit}${card.shelf ? ` ${card.shelf}` : ''}` : 'out'}${card.held ? ', do not use' : ''}`
  }
  const columns: Column<LineageNode>[] = [
    {
      key: 'what',
      title: 'What',
      names: true,
      value: ({ name }) => name,
      cell: ({ type, id, name }) => (
        <Link to={type === 'item' ? `/store/item/${id}` : `/store/lineage/${type}/${id}`}>{name}</Link>
      ),
    },
    {
      key: 'code',
      title: 'Code',
      value: ({ type, code }) => `${type} ${code}`,
      cell: ({ type, code }) => `${type} ${code}`,
    },
    {
      key: 'since',
      title: 'Since',
      value: ({ at }) => new Date(at).toISOString(),
      cell: ({ at }) => `${dayName(dayOf(at, reader.zone), reader)} ${timeOfDay(at, reader)}`,
    },
    {
      key: 'left',
      title: 'Left',
      value: ({ card }) => (card && !card.gone ? card.left.value : 0),
      cell: ({ card }) => (card && !card.gone ? measureWords(card.left) : ''),
    },
    { key: 'where', title: 'Where it is', value: where, cell: where },
    {
      key: 'steps',
      title: 'Steps away',
      value: ({ generation }) => generation,
      cell: ({ generation }) =>
        generation === 0 ? 'this' : generation > 0 ? `${generation} after` : `${-generation} before`,
    },
  ]
  return (
    <DataTable
      caption="Everything it was made of, and everything that became of it"
      file={`trace-${data.of.id}.csv`}
      columns={columns}
      rows={data.nodes}
      rowKey={({ id }) => id}
      isChosen={({ id }) => id === data.of.id}
    />
  )
}
