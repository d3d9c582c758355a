import { memo, useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { type Reader, degrees, findingInShort, span, asksWords } from '@logged-thermal/wording'
import { mixtureTrace, celsiusOf, type Fact, type ReadingBody } from '@logged-thermal/core'
import { Header } from '../app/Header'
import { useHand, useJudged, useLine, type JudgedBatch } from '../app/kitchen'
import { useAsOf, useNow, useTold } from '../app/now'
import { Badge } from '../parts/Badge'
import type { GateSize } from '../parts/GateWedges'
import { HeatRibbon } from '../parts/HeatRibbon'
import { Key } from '../parts/Key'
import { LENS_MARKS, nowLens, type Lens } from '../parts/lens'
import { useWidth } from '../parts/useWidth'
import { Refused } from '../app/Refused'
import { Matters } from '../decide/Matters'
import { stopsDue } from '../round/walk'
import { HandedOver } from './HandedOver'
import { KeptAside } from './KeptAside'
import { lineSentence } from './lineSentence'
import './line.css'

/** The ribbons move so often, ms: by two pixels. Words that count go by themselves. */
const RIBBON_MOVES = 30_000
const ROW: Record<GateSize, number> = { rescue: 162, due: 92, quiet: 68 }

/** Every running batch, the most urgent first. */
export function LineView() {
  const now = useNow(RIBBON_MOVES)
  const line = useLine()
  const judged = useJudged(line)
  const { reader, open } = useHand(line)
  const navigate = useNavigate()
  const [laneRef, laneWidth] = useWidth<HTMLDivElement>(690)
  const lens = useMemo(() => nowLens(laneWidth, now), [laneWidth, now])
  const { urgent, rest } = useTold((at) => lineSentence(judged, at))
  const pans = useAsOf((at) => stopsDue(judged, at).length)
  return (
    <main className="view">
      <Header>
        <h1 aria-live="polite">
          {urgent && <strong className="urgent">{urgent} </strong>}
          {rest}
        </h1>
        {open && pans > 1 && (
          <Key className="start-key" onClick={() => void navigate('/round')}>
            Read round
            <small>{pans} pans</small>
          </Key>
        )}
        {open && <Matters judged={judged} now={now} />}
        {open && (
          <Key look="primary" className="start-key" onClick={() => void navigate('/start')}>
            Start a batch
          </Key>
        )}
      </Header>
      <div className="line">
        <div className="line-axis" aria-hidden="true">
          <span />
          <div ref={laneRef}>
            <Axis lens={lens} now={now} />
          </div>
          <span />
        </div>
        <div className="line-rows">
          <Refused />
          {judged.map((one) => (
            <Row key={one.batch.id} one={one} now={now} lens={lens} reader={reader} />
          ))}
          {line && <HandedOver line={line} now={now} reader={reader} open={open} running={judged.length > 0} />}
          {line && <KeptAside line={line} open={open} />}
          {judged.length === 0 && (
            <p className="line-empty">
              Start a batch: it appears here as a ribbon of heat, thick while hot and thin when cold, with a gate at
              each limit. What was read is solid, what nobody read is hatched.
            </p>
          )}
        </div>
      </div>
    </main>
  )
}

function sizeOf({ asks }: JudgedBatch): GateSize {
  if (asks.kind === 'rescue') return 'rescue'
  return asks.kind === 'lost' || asks.kind === 'read' || asks.kind === 'mark' || asks.kind === 'discard'
    ? 'due'
    : 'quiet'
}

const Row = memo(function Row({
  one,
  now,
  lens,
  reader,
}: {
  one: JudgedBatch
  now: number
  lens: Lens
  reader: Reader
}) {
  const { batch, findings, asks, forecast } = one
  const size = sizeOf(one)
  const height = ROW[size]
  return (
    <section className={`line-row ${size}`} aria-label={`${batch.method.name} ${batch.code}`} data-batch={batch.code}>
      <Name one={one} reader={reader} brief={size === 'quiet'} />
      <Link className="lane" to={`/bench/${batch.id}`} style={{ height }} tabIndex={-1}>
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
  const since = useTold((now) => (last ? `${span(now - last.at)} ago` : 'not read'))
  return (
    <Link className="line-name" to={`/bench/${batch.id}`}>
      <span className="dish">{batch.method.name}</span>
      <span className="temp">
        {last ? degrees(celsiusOf(last.value.typed), reader, cooling ? 'under' : 'reach') : '–'}
      </span>
      <small>{brief ? batch.code : `${batch.code} · ${batch.vessel.name}`}</small>
      <span className="since">{since}</span>
    </Link>
  )
}

function Asks({ one: { batch, asks, standing, findings }, reader }: { one: JudgedBatch; reader: Reader }) {
  const navigate = useNavigate()
  const words = useTold((now) => asksWords(asks, now, reader))
  const late = useAsOf((now) => asks.kind === 'read' && now - asks.at >= 60_000)
  if (!words) {
    const why = 'finding' in asks && asks.finding ? findingInShort(asks.finding, reader) : ''
    return (
      <div className="line-asks">
        <div className="plain">
          <Badge standing={standing} />
          <span className="why">{why || findingInShort(findings[0]!, reader)}</span>
        </div>
      </div>
    )
  }
  const inner = (
    <>
      <span>
        <span className="do">{words.action}</span>
        <span className="why">{words.reason}</span>
      </span>
      {words.number && (
        <span className="count">
          {words.number}
          <small>{words.unit}</small>
        </span>
      )}
    </>
  )
  if (asks.kind === 'rescue') {
    return (
      <Link className="line-asks" to={`/bench/${batch.id}`}>
        <div className="plain">{inner}</div>
      </Link>
    )
  }
  return (
    <div className="line-asks">
      <Key className={late ? 'late' : ''} onClick={() => void navigate(`/bench/${batch.id}`)}>
        {inner}
      </Key>
    </div>
  )
}

function Axis({ lens, now }: { lens: Lens; now: number }) {
  return (
    <svg width={lens.width} height="28" style={{ display: 'block', overflow: 'visible' }}>
      {LENS_MARKS.map(([minutes, label]) => (
        <text key={minutes} x={lens.x(now + minutes * 60_000)} y="20" textAnchor="middle">
          {label}
        </text>
      ))}
      <path d={`M${lens.nowX - 26} 2h52v20l-26 6l-26 -6Z`} fill="var(--ink)" />
      <text x={lens.nowX} y="18" textAnchor="middle" style={{ fill: 'var(--on-ink)', fontWeight: 700 }}>
        now
      </text>
    </svg>
  )
}
