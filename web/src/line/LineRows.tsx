import { memo } from 'react'
import { Link, useNavigate } from 'react-router'
import { useVirtualizer } from '@tanstack/react-virtual'
import { clsx } from 'clsx'
import { type Reader, degrees, findingInShort, span, asksWords, lineMessages } from '@logged-thermal/wording'
import { celsiusRead, isHeld, isPressing, mixtureTrace, type Fact, type ReadingBody } from '@logged-thermal/core'
import { type JudgedBatch } from '../app/kitchen'
import { useAsOf, useTold } from '../app/now'
import { useGradually } from '../app/useGradually'
import { Badge } from '../parts/Badge'
import type { GateSize } from '../parts/GateWedges'
import { HeatRibbon } from '../parts/HeatRibbon'
import { Key } from '../kit/Key'
import type { Lens } from '../parts/lens'
import styles from './line.module.css'
import { speaks } from '../kit/language'

const say = speaks(lineMessages)

/** More rows than these, and only those in sight are drawn, with some above and below. */
const MANY = 24
const BESIDE = 4
const ROW: Record<GateSize, number> = { rescue: 162, due: 92, quiet: 68 }

interface Props {
  judged: readonly JudgedBatch[]
  now: number
  lens: Lens
  reader: Reader
  /** What scrolls them; null: not drawn yet. */
  scrolled: HTMLElement | null
}

/** A row for each batch. */
export function LineRows(props: Props) {
  return props.judged.length > MANY ? <RowsInSight {...props} /> : <AllRows {...props} />
}

function AllRows({ judged, now, lens, reader }: Props) {
  const drawn = useGradually(judged.length)
  return judged
    .slice(0, drawn)
    .map((one, index) => (
      <Row key={one.batch.id} one={one} index={index} measure={undefined} now={now} lens={lens} reader={reader} />
    ))
}

function RowsInSight({ judged, now, lens, reader, scrolled }: Props) {
  const virtual = useVirtualizer({
    count: judged.length,
    getScrollElement: () => scrolled,
    estimateSize: (index) => ROW[sizeOf(judged[index]!, now)],
    getItemKey: (index) => judged[index]!.batch.id,
    overscan: BESIDE,
    // Before it is there: rows can be drawn with all else.
    initialRect: { width: innerWidth, height: innerHeight },
    // As it is told: to ask a row for its height has the page laid out at once.
    measureElement: (row, told, { indexFromElement, options: { estimateSize } }) =>
      told?.borderBoxSize[0]?.blockSize ?? estimateSize(indexFromElement(row)),
  })
  const drawn = virtual.getVirtualItems()
  const below = virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0)
  return (
    <>
      <div style={{ height: drawn[0]?.start ?? 0 }} />
      {drawn.map(({ index }) => {
        const one = judged[index]!
        return (
          <Row
            key={one.batch.id}
            one={one}
            index={index}
            measure={virtual.measureElement}
            now={now}
            lens={lens}
            reader={reader}
          />
        )
      })}
      <div style={{ height: below }} />
    </>
  )
}

function sizeOf({ asks }: JudgedBatch, now: number): GateSize {
  if (asks.kind === 'rescue') return isPressing(asks, now) ? 'rescue' : 'due'
  if (asks.kind === 'step') return asks.at === null || asks.at <= now ? 'due' : 'quiet'
  return asks.kind === 'lost' || asks.kind === 'read' || asks.kind === 'mark' || asks.kind === 'discard'
    ? 'due'
    : 'quiet'
}

interface RowProps {
  one: JudgedBatch
  now: number
  lens: Lens
  reader: Reader
  /** Where it stands among all rows. */
  index: number
  /** Told its element, where not all rows are drawn. */
  measure: ((element: HTMLElement | null) => void) | undefined
}

const Row = memo(function Row({ one, now, lens, reader, index, measure }: RowProps) {
  const { batch, findings, asks, forecast } = one
  const size = useAsOf((at) => sizeOf(one, at))
  const height = ROW[size]
  return (
    <section
      className={clsx(styles.row, styles[size])}
      aria-label={`${batch.method.name} ${batch.code}`}
      data-batch={batch.code}
      data-index={index}
      ref={measure}
    >
      <Name one={one} reader={reader} brief={size === 'quiet'} />
      <Link className={styles.lane} to={`/bench/${batch.id}`} style={{ minHeight: height }} tabIndex={-1}>
        <HeatRibbon
          batch={batch}
          findings={findings}
          asks={asks}
          forecast={forecast}
          now={now}
          lens={lens}
          height={height}
          size={size}
          reader={reader}
        />
      </Link>
      <Asks one={one} reader={reader} />
    </section>
  )
})

function Name({ one: { batch }, reader, brief }: { one: JudgedBatch; reader: Reader; brief: boolean }) {
  const last = batch.facts['reading-taken']
    .filter(({ void: gone }) => !gone)
    .reduce<Fact<ReadingBody> | null>((a, b) => (a && a.at > b.at ? a : b), null)
  const cooling = mixtureTrace(batch).length > 1
  const since = useTold((now) => (last ? say('agoSpan', { span: span(now - last.at, reader) }) : say('notRead')))
  return (
    <Link className={styles.name} to={`/bench/${batch.id}`}>
      <span className={styles.dish}>{batch.method.name}</span>
      <span className={styles.temp}>
        {last ? degrees(celsiusRead(last.value), reader, cooling ? 'under' : 'reach') : '–'}
      </span>
      <small>
        {isHeld(batch) && <b className={styles.held}>{say('onHold')} </b>}
        {brief ? batch.code : `${batch.code} · ${batch.vessel.name}`}
      </small>
      <span className={styles.since}>{since}</span>
    </Link>
  )
}

function Asks({ one: { batch, asks, standing, findings }, reader }: { one: JudgedBatch; reader: Reader }) {
  const navigate = useNavigate()
  const words = useTold((now) => asksWords(asks, now, reader))
  const pressing = useAsOf((now) => isPressing(asks, now))
  if (!words) {
    const why = 'finding' in asks && asks.finding ? findingInShort(asks.finding, reader) : ''
    return (
      <div className={styles.asks}>
        <div className={styles.plain}>
          <Badge standing={standing} />
          <span className={styles.why}>{why || findingInShort(findings[0]!, reader)}</span>
        </div>
      </div>
    )
  }
  const inner = (
    <>
      <span>
        <span className={styles.do}>{words.action}</span>
        <span className={styles.why}>{words.reason}</span>
      </span>
      {words.number && (
        <span className={styles.count}>
          {words.number}
          <small>{words.unit}</small>
        </span>
      )}
      <span className="visually-hidden">
        , {batch.method.name} {batch.code}
      </span>
    </>
  )
  if (asks.kind === 'rescue' && pressing) {
    return (
      <Link className={styles.asks} to={`/bench/${batch.id}`}>
        <div className={styles.plain}>{inner}</div>
      </Link>
    )
  }
  return (
    <div className={styles.asks}>
      <Key className={clsx(pressing && styles.pressing)} onClick={() => void navigate(`/bench/${batch.id}`)}>
        {inner}
      </Key>
    </div>
  )
}
