import { Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { dayOf, leftOfLot, missedBy, type Lineage, type LineageNode } from '@logged-thermal/core'
import { timeOfDay, dayName, measureWords, type Reader, storeInMessages, tracesMessages } from '@logged-thermal/wording'
import { sentenceOf, useLineageQuery } from '../app/api'
import { useEnter } from '../app/enter'
import type { AboutIncident } from '../app/IncidentSheet'
import { pageOf } from '../app/pageOf'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { Key } from '../kit/Key'
import { later } from '../kit/later'
import { Sheet } from '../kit/Sheet'
import { ListKeys } from '../parts/ListKeys'
import { TraceTryPanel } from '../traces/TraceTryPanel'
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
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(storeInMessages)
const sayOfTraces = speaks(tracesMessages)

const IncidentSheet = later(() => import('../app/IncidentSheet'), 'IncidentSheet')

/** Where something came from and where it went: as a graph and as a table; from a lot also the recall. */
export function LineageView() {
  const { type = 'item', id = '' } = useParams()
  const line = useLine()
  const { reader, open } = useHand(line)
  const { data, error } = useLineageQuery({ type, id, seq: line?.seq ?? 0 })
  const [calling, setCalling] = useState<'drill' | 'recall' | 'end' | null>(null)
  const [complaining, setComplaining] = useState(false)
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
            say('looking')
          )}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={lineageStyles.lineage} tabIndex={0} role="region" aria-label={say('lineage')}>
          {type === 'lot' && lot && (
            <KeyRow className="no-print">
              {drill && <p role="status">{say('drillFoundNothingHeld', { items: items.length + batches.length })}</p>}
              {lot.recall ? (
                <>
                  {drill && (
                    <Key look="outlined" disabled={!data} why={shutUnless(open)} onClick={() => setCalling('recall')}>
                      {say('seriousHoldNow', { items: items.length + batches.length })}
                    </Key>
                  )}
                  {missing > 0 && (
                    <Key
                      look="primary"
                      why={shutUnless(open)}
                      onClick={() => lot.recall && enter('recalled', lot.id, { ...missed, ...lot.recall.value })}
                    >
                      {say('holdMoreTheyCame', { missing })}
                    </Key>
                  )}
                  <Key look={missing > 0 ? 'outlined' : 'primary'} onClick={() => setCalling('end')}>
                    {drill ? say('endDrill') : say('endRecall')}
                  </Key>
                </>
              ) : (
                <>
                  <Key look="primary" disabled={!data} why={shutUnless(open)} onClick={() => setCalling('recall')}>
                    {say('recallHoldNow', { items: items.length + batches.length })}
                  </Key>
                  <Key look="outlined" disabled={!data} why={shutUnless(open)} onClick={() => setCalling('drill')}>
                    {say('practiseRecall')}
                  </Key>
                </>
              )}
              <Key look="outlined" onClick={() => window.print()}>
                {say('printList')}
              </Key>
            </KeyRow>
          )}
          {type === 'lot' && lot && <ListKeys list="lots" name={say('lotRecord')} of={lot.id} reader={reader} />}
          {data && line && (
            <div className={clsx(lineageStyles.asked, 'no-print')}>
              <TraceTryPanel line={line} lineage={data} reader={reader} open={open} />
              {type !== 'lot' && of && (
                <Key look="outlined" why={shutUnless(open)} onClick={() => setComplaining(true)}>
                  {sayOfTraces('complain')}
                </Key>
              )}
            </div>
          )}
          {data && <GraphPane data={data} reader={reader} />}
          {data && <LineageTable data={data} reader={reader} units={line?.units ?? []} />}
        </div>
      </div>
      {complaining && of && data && (
        <Suspense>
          <IncidentSheet of={complaintOf(data, of)} onClose={() => setComplaining(false)} />
        </Suspense>
      )}
      {calling === 'end' && lot && (
        <SignedSheet
          title={drill ? say('endDrillOn', { code: lot.code }) : say('endRecall2', { code: lot.code })}
          ask={say('whyEndsWriting')}
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

/** What a complaint is about: the thing, and the batch that it came from, of which the rest is kept apart. */
function complaintOf({ nodes, edges }: Lineage, { type, id, name, code, card }: LineageNode): AboutIncident {
  const from = edges.filter(({ child }) => child === id).map(({ parent }) => parent)
  const batches =
    type === 'batch'
      ? [id]
      : nodes.filter((node) => node.type === 'batch' && from.includes(node.id)).map((node) => node.id)
  return { name: `${name} ${code}`, batches, items: card && !card.gone ? [id] : [] }
}

function LineageSentence({ data, of, held }: { data: Lineage; of: LineageNode; held: number }) {
  const down = data.nodes.filter(({ generation }) => generation > 0).length
  return (
    <>
      <strong>
        {of.name} {of.code}:
      </strong>{' '}
      {down === 0 ? say('wentIntoNothingYet') : say('wentIntoOneThing', { down, held })}
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
    ? [say('drill')]
    : [say('supplierCalledBack'), say('somebodyFellIll'), say('tooWarmForToo'), say('foreignBodyFound')]
  return (
    <Sheet open onClose={onClose} title={drill ? say('practiseRecall2', { code }) : say('recallCode', { code })}>
      <p>
        {items.length + batches.length} {items.length + batches.length === 1 ? say('thing') : say('things')}{' '}
        {drill ? say('wouldHeldDrillMarks') : say('willHeldAtOnce')}
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
    <div
      className={clsx(lineageStyles.graph, 'no-print')}
      ref={pane}
      tabIndex={0}
      role="region"
      aria-label={say('graph')}
    >
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
              <small>{say('tapSeeEach', { day: dayName(dayOf(only!.at, reader.zone), reader) })}</small>
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
              to={pageOf(only!)}
            >
              <strong>{name}</strong>
              <small>
                {only!.type} {only!.code}
                {only!.card
                  ? only!.card.gone
                    ? say('gone')
                    : only!.card.held
                      ? say('held')
                      : `, ${measureWords(only!.card.left, reader)}`
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
    if (!card) return type === 'batch' ? (running ? say('onLine') : say('putAwayOrGone')) : ''
    const sent = card.sentTo.length > 0 ? say('sentTo', { names: card.sentTo.join(', ') }) : ''
    if (card.gone) return `gone${sent}`
    const unit = units.find(({ id }) => id === card.unit)?.name
    return `${unit ? `${unit}${card.shelf ? ` ${card.shelf}` : ''}` : 'out'}${card.held ? say('doNotUse') : ''}${sent}`
  }
  const columns: Column<LineageNode>[] = [
    {
      key: 'what',
      title: say('what'),
      names: true,
      value: ({ name }) => name,
      cell: ({ type, id, name }) => <Link to={pageOf({ type, id })}>{name}</Link>,
    },
    {
      key: 'code',
      title: say('code'),
      value: ({ type, code }) => `${type} ${code}`,
      cell: ({ type, code }) => `${type} ${code}`,
    },
    {
      key: 'since',
      title: say('since'),
      value: ({ at }) => new Date(at).toISOString(),
      cell: ({ at }) => `${dayName(dayOf(at, reader.zone), reader)} ${timeOfDay(at, reader)}`,
    },
    {
      key: 'left',
      title: say('left'),
      value: ({ card }) => (card && !card.gone ? card.left.value : 0),
      cell: ({ card }) => (card && !card.gone ? measureWords(card.left, reader) : ''),
    },
    { key: 'where', title: say('whereItIs'), value: where, cell: where },
    {
      key: 'steps',
      title: say('stepsAway'),
      value: ({ generation }) => generation,
      cell: ({ generation }) =>
        generation === 0
          ? say('thisOne')
          : generation > 0
            ? say('afterGeneration', { generation })
            : say('beforeValue', { value: -generation }),
    },
  ]
  return (
    <DataTable
      caption={say('everythingMadeEverythingBecame')}
      file={`trace-${data.of.id}.csv`}
      columns={columns}
      rows={data.nodes}
      rowKey={({ id }) => id}
      isChosen={({ id }) => id === data.of.id}
    />
  )
}
