import { Link } from 'react-router'
import type { BatchState, Lineage, LineageNode, SealedEntry } from '@logged-thermal/core'
import { clock, logMessages, measureWords, type Reader } from '@logged-thermal/wording'
import { useBatchEntriesQuery, useLineageQuery } from '../app/api'
import type { LineData } from '../app/lineData'
import { pageOf } from '../app/pageOf'
import { Contradictions } from '../decide/Contradictions'
import { speaks } from '../kit/language'
import styles from './batch.module.css'

const say = speaks(logMessages)

interface Props {
  batch: BatchState
  line: LineData
  reader: Reader
}

/** What went into it, what became of it and where that is; and who decided what. */
export function FromTo({ batch, line, reader }: Props) {
  const { data } = useLineageQuery({ type: 'batch', id: batch.id, seq: line.seq })
  const { data: told } = useBatchEntriesQuery({ id: batch.id, seq: line.seq })
  return (
    <section aria-label={say('fromTo')}>
      <h2 className="title">
        {say('fromTo')}{' '}
        <small>
          <Link to={`/store/lineage/batch/${batch.id}`}>{say('whereFrom')}</Link>
        </small>
      </h2>
      {data && (
        <Nodes
          title={say('madeOf')}
          none={say('nothingNamed')}
          nodes={nextTo(data, batch.id, 'from')}
          line={line}
          reader={reader}
        />
      )}
      {data && (
        <Nodes
          title={say('became')}
          none={say('nothingBecame')}
          nodes={nextTo(data, batch.id, 'to')}
          line={line}
          reader={reader}
        />
      )}
      <Contradictions of={{ batch }} facts={batch.contested} reader={reader} />
      {told && <Decisions entries={told.entries} batch={batch} line={line} reader={reader} />}
    </section>
  )
}

function nextTo({ nodes, edges }: Lineage, id: string, way: 'from' | 'to'): LineageNode[] {
  const ids = new Set(
    edges.flatMap(({ parent, child }) =>
      way === 'from' && child === id ? [parent] : way === 'to' && parent === id ? [child] : [],
    ),
  )
  return nodes.filter((node) => ids.has(node.id))
}

function Nodes({
  title,
  none,
  nodes,
  line,
  reader,
}: {
  title: string
  none: string
  nodes: LineageNode[]
  line: LineData
  reader: Reader
}) {
  const where = ({ card }: LineageNode) => {
    if (!card) return ''
    if (card.gone) return say('gone')
    const unit = line.units.find(({ id }) => id === card.unit)?.name
    return [measureWords(card.left, reader), unit, card.held ? say('held') : undefined].filter(Boolean).join(', ')
  }
  return (
    <>
      <h3 className="title">{title}</h3>
      {nodes.length === 0 && <p className="muted">{none}</p>}
      <ul className={styles.nodes}>
        {nodes.map((node) => (
          <li key={node.id}>
            <Link to={pageOf(node)}>
              {node.name} {node.code}
            </Link>
            <small>{where(node)}</small>
          </li>
        ))}
      </ul>
    </>
  )
}

/** Every decision that was signed, also those that another followed. */
function Decisions({
  entries,
  batch,
  line,
  reader,
}: {
  entries: readonly SealedEntry[]
  batch: BatchState
  line: LineData
  reader: Reader
}) {
  const signed = entries.flatMap(({ claim }) => {
    const each = claim
    return each.kind === 'disposed' ? [each] : []
  })
  return (
    <>
      <h3 className="title">{say('decisions')}</h3>
      {signed.length === 0 && <p className="muted">{say('nobodyDecided')}</p>}
      <ul className={styles.deeds}>
        {signed.map(({ id, by, at, body }) => (
          <li key={id}>
            <b>
              {say('decided', {
                decision: say(`decision_${body.decision}`),
                name: line.people.find((person) => person.id === by)?.name ?? '',
                time: clock(at, reader),
              })}
            </b>{' '}
            “{body.reason}”{' '}
            <small className="muted">{say('coreAndLimits', { core: body.core, version: batch.limits.version })}</small>
          </li>
        ))}
      </ul>
    </>
  )
}
