import { memo, Suspense, useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { type Reader, degrees, findingInShort, span, asksWords, lineMessages } from '@logged-thermal/wording'
import { celsiusRead, isHeld, isPressing, mixtureTrace, type Fact, type ReadingBody } from '@logged-thermal/core'
import { View } from '../app/View'
import { useHand, useJudged, useLine, type JudgedBatch } from '../app/kitchen'
import { useAsOf, useNow, useTold } from '../app/now'
import { useGradually } from '../app/useGradually'
import { Badge } from '../parts/Badge'
import type { GateSize } from '../parts/GateWedges'
import { HeatRibbon } from '../parts/HeatRibbon'
import { Key } from '../kit/Key'
import { later } from '../kit/later'
import { NowFlag } from '../parts/NowFlag'
import { LENS_MARKS, nowLens, type Lens } from '../parts/lens'
import { useWidth } from '../parts/useWidth'
import { Refused } from '../app/Refused'
import { Matters } from '../decide/Matters'
import { stopsDue } from '../round/walk'
import { DueLists } from './DueLists'
import { FailedInstruments } from './FailedInstruments'
import { HandedOver } from './HandedOver'
import { NobodySigns } from './NobodySigns'
import { lineSentence } from './lineSentence'
import { clsx } from 'clsx'
import styles from './line.module.css'
import { speaks } from '../kit/language'

const say = speaks(lineMessages)

/** Below what runs, and nothing of it presses: it comes after the pots. */
const KeptAside = later(() => import('./KeptAside'), 'KeptAside')
const FirstSteps = later(() => import('./FirstSteps'), 'FirstSteps')

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
  const [laneRef, laneWidth, measured] = useWidth<HTMLDivElement>(690)
  const lens = useMemo(() => nowLens(laneWidth, now), [laneWidth, now])
  const { urgent, rest } = useTold((at) => lineSentence(judged, at))
  const pans = useAsOf((at) => stopsDue(judged, at).length)
  const drawn = useGradually(judged.length)
  return (
    <View
      place="line"
      spoken
      sentence={
        <>
          {urgent && <strong className="urgent">{urgent} </strong>}
          {rest}
        </>
      }
      keys={
        <>
          {open && pans > 1 && (
            <Key className={styles.startKey} onClick={() => void navigate('/round')}>
              {say('readRound')}
              <small>{say('pansPans', { pans })}</small>
            </Key>
          )}
          {open && <Matters judged={judged} now={now} />}
          {open && (
            <Key look="primary" className={styles.startKey} onClick={() => void navigate('/start')}>
              {say('startBatch')}
            </Key>
          )}
        </>
      }
    >
      <div className={styles.line}>
        <div className={styles.axis} aria-hidden="true">
          <span />
          <div ref={laneRef}>
            <Axis lens={lens} now={now} />
          </div>
          <span />
        </div>
        <div className={styles.rows}>
          <Refused />
          {judged.slice(0, measured ? drawn : 0).map((one) => (
            <Row key={one.batch.id} one={one} now={now} lens={lens} reader={reader} />
          ))}
          {line && <FailedInstruments line={line} reader={reader} />}
          {line && <NobodySigns line={line} judged={judged} now={now} reader={reader} />}
          {line && <DueLists line={line} now={now} reader={reader} />}
          {line && <HandedOver line={line} now={now} reader={reader} open={open} running={judged.length > 0} />}
          <Suspense>{line && <KeptAside line={line} open={open} />}</Suspense>
          {judged.length === 0 && <p className={styles.empty}>{say('startBatchAppearsHere')}</p>}
          {judged.length === 0 && line && (
            <Suspense>
              <FirstSteps line={line} />
            </Suspense>
          )}
        </div>
      </div>
    </View>
  )
}

function sizeOf({ asks }: JudgedBatch, now: number): GateSize {
  if (asks.kind === 'rescue') return isPressing(asks, now) ? 'rescue' : 'due'
  if (asks.kind === 'step') return asks.at === null || asks.at <= now ? 'due' : 'quiet'
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
  const size = useAsOf((at) => sizeOf(one, at))
  const height = ROW[size]
  return (
    <section
      className={clsx(styles.row, styles[size])}
      aria-label={`${batch.method.name} ${batch.code}`}
      data-batch={batch.code}
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

function Axis({ lens, now }: { lens: Lens; now: number }) {
  return (
    <svg width={lens.width} height="28" style={{ display: 'block', overflow: 'visible' }}>
      {LENS_MARKS.map(([minutes, label]) => (
        <text key={minutes} x={lens.x(now + minutes * 60_000)} y="20" textAnchor="middle">
          {label}
        </text>
      ))}
      <NowFlag x={lens.nowX} word={say('now')} />
    </svg>
  )
}
