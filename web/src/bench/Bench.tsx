import { benchMessages, type Reader } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import useMediaQuery from '@mui/material/useMediaQuery'
import { Suspense, useMemo, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import {
  floorOf,
  celsiusOf,
  coolingTo,
  coolSignal,
  guideOf,
  heatSignal,
  outOfOrder,
  timelineOf,
  windowOf,
  type Claim,
  type Edge,
  type Finding,
  type HeatWindow,
  type Id,
  type Instant,
  type Of,
} from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useJudged, useLine, useMeans, type JudgedBatch } from '../app/kitchen'
import { useAsOf, useNow } from '../app/now'
import { useAppSelector } from '../app/store'
import { useWakeLock } from '../app/wakeLock'
import { Badge } from '../parts/Badge'
import { Key } from '../kit/Key'
import type { BenchSheet } from './benchSheet'
import { later, useReadAhead } from '../kit/later'
import { soon } from '../kit/soon'
import { BoardControls } from '../board/BoardControls'
import { boardMarks } from '../board/boardMarks'
import { futuresOf } from './futures'
import { DegreeBoard } from '../board/DegreeBoard'
import { shownIn } from '../board/degreeEntry'
import { GateBanner } from './GateBanner'
import { useHeatAlerts } from './heatAlerts'
import { HoldStrip } from './HoldStrip'
import { GoesInNow } from './GoesInNow'
import { HeatFlash } from './HeatFlash'
import { HoldLadder } from './HoldLadder'
import { useInstructions } from '../app/instructions'
import { UNDO_MS } from '../app/undo'
import { JustDone } from './JustDone'
import { JustLogged } from './JustLogged'
import { OffHeat } from './OffHeat'
import { PotStrip } from './PotStrip'
import { Refused } from '../app/Refused'
import { Slab } from './slab/Slab'
import { StepRail } from './StepRail'
import { UnitQuestion } from '../board/UnitQuestion'
import { useReading } from '../board/useReading'
import { BenchSheets } from './BenchSheets'
import { SHEETS } from './sheets'
import { WarmUpLine } from './WarmUpLine'
import { WhyList } from './WhyList'
import { useSteady } from '../kit/steady'
import { Whole } from '../kit/Whole'
import styles from './bench.module.css'
import { Notice } from '../kit/Notice'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(benchMessages)

const TraceChart = later(() => import('./TraceChart'), 'TraceChart')
// Beside the Bench, whose first sight does not wait for it.
void TraceChart.load().catch(() => null)

// What a reading proves is painted first: what stands around it follows.
const PotsSoon = soon(PotStrip)
const StepsSoon = soon(StepRail)
const TraceSoon = soon(Trace)
const WhySoon = soon(Why)

/** One batch at the stove: what is asked now, the trace, the board, and why each check stands as it does. */
export function Bench() {
  const line = useLine()
  const judged = useJudged(line)
  const { id } = useParams()
  const one = id ? judged.find(({ batch }) => batch.id === id) : judged[0]
  const isQuick = useAsOf((at) => one !== undefined && countsSeconds(one, at))
  const now = useNow(isQuick ? 1000 : SLOW)
  const others = useMemo(() => judged.filter((other) => other !== one), [judged, one])
  if (!one) return <NoBatch id={id ?? null} />
  return <BenchOf key={one.batch.id} one={one} others={others} now={now} />
}

/** Off the heat, with nothing due, so often is enough, ms. */
const SLOW = 10_000
/** Within this of what it asks for its seconds are counted, ms. */
const NEAR = 120_000

/** Whether seconds matter to a batch: on the heat, and near the instant of what it asks for. */
function countsSeconds({ batch, asks }: JudgedBatch, now: Instant): boolean {
  const due = 'by' in asks ? asks.by : 'at' in asks ? asks.at : null
  return timelineOf(batch).phase.cooking || (due !== null && Math.abs(due - now) < NEAR)
}

/** What is no longer on the Line has its page in the Log. */
function NoBatch({ id }: { id: Id | null }) {
  const navigate = useNavigate()
  return (
    <View
      place="bench"
      sentence={
        <>
          <strong>{id !== null ? say('batchNotOnLine') : say('nothingOnBenchYet')}</strong>
        </>
      }
    >
      <Whole>
        {id !== null && (
          <Key look="primary" onClick={() => void navigate(`/log/batch/${id}`)}>
            {say('itsPage')}
          </Key>
        )}
        <Key look={id === null ? 'primary' : 'outlined'} onClick={() => void navigate('/start')}>
          {say('startBatch')}
        </Key>
      </Whole>
    </View>
  )
}

function BenchOf({ one, others, now }: { one: JudgedBatch; others: JudgedBatch[]; now: number }) {
  const { batch, findings, standing } = one
  const { reader, open } = useHand(useLine())
  const enter = useEnter()
  const phase = timelineOf(batch).phase
  const narrow = useMediaQuery('(max-width: 599px)')
  const reading = useReading(batch, phase.of)
  const { scale, logged } = reading
  const [sheet, setSheet] = useState<BenchSheet | null>(null)
  useReadAhead(SHEETS)
  const [explained, setExplained] = useState<string | null>(null)
  const undo = (target: Id) => {
    enter('corrected', batch.id, { target, reason: 'undo', now: 'void', item: null })
    reading.forget()
  }
  const move = (target: Claim<'reading-taken'>, to: Id) => {
    enter('corrected', batch.id, {
      target: target.id,
      reason: 'wrong pot',
      now: { at: target.at, reading: target.body, batch: to },
      item: null,
    })
    reading.forget()
  }
  const lastRead = batch.facts['reading-taken'].filter(({ void: gone }) => !gone).at(-1)
  const window = useMemo(() => windowOf(batch, findings), [batch, findings])
  const centre = lastRead ? shownIn(celsiusOf(lastRead.value.typed), scale) : shownIn(window.floor ? 60 : 30, scale)
  const { cooking } = phase
  const instructions = useInstructions(batch)
  const tools = useLine()?.tools
  const guide = useMemo(() => guideOf(batch, now, instructions, tools), [batch, now, instructions, tools])
  const onHeat = cooking && phase.of === 'mixture'
  const flash = useHeatAlerts(onHeat ? heatSignal(window, now) : coolSignal(guide, one.forecast, now))
  const awake = useWakeLock(cooking)
  const [half, setHalf] = useState(false)
  const floor = floorOf(findings)
  const comesOff = typeof sheet === 'object' && sheet && 'off' in sheet ? sheet.off : null
  /** It comes off the heat with that while its floor is open. A validated bake goes by the oven and the clock. */
  const endsHeat = (step: string) =>
    phase.next?.step === step && floor?.standing === 'open' && floor.check.bake === undefined
  const mark = (step: string, edge: Edge, reason: string | null = null) => {
    if (reason === null && outOfOrder(batch, step, edge, now)) setSheet({ mark: { step, edge } })
    else if (edge === 'done' && endsHeat(step)) setSheet({ off: { step } })
    else enter('step-marked', batch.id, { step, edge, reason })
  }
  const toSteps = useSteady(() => setSheet('steps'))
  const toLots = useSteady(() => setSheet('lots'))
  const made = useAppSelector(({ justMade }) => justMade)
  const fresh = useAsOf((at) => made?.about.id === batch.id && at - made.madeAt < UNDO_MS)
  const done = fresh && made && made.kind !== 'reading-taken' ? made : null
  return (
    <View
      place="bench"
      seconds={cooking}
      sentence={
        <>
          <strong>{batch.method.name}</strong>
        </>
      }
      keys={
        <>
          <span className={styles.standing}>
            <Badge standing={standing} />
          </span>
          <span className={clsx('muted', styles.code)}>
            {batch.code} · {batch.vessel.name}
          </span>
        </>
      }
    >
      <GateBanner batch={batch} findings={findings} reader={reader} />
      <HeatFlash signal={flash} window={window} goesOn={guide.window} now={now} reader={reader} />
      <div className={styles.bench}>
        <div className={styles.work}>
          <PotsSoon others={others} now={now} reader={reader} half={half} />
          <div className={styles.pane}>
            <StepsSoon guide={guide} findings={findings} reader={reader} onStep={toSteps} />
            <Suspense fallback={<div className={styles.trace} />}>
              <TraceSoon one={one} now={now} reader={reader} heat={onHeat ? window : null} explained={explained} />
            </Suspense>
          </div>
          <DegreeBoard
            scale={scale}
            centre={centre}
            marks={boardMarks(findings, phase, scale, coolingTo(batch, timelineOf(batch)))}
            rows={narrow ? 2 : 3}
            disabled={!open}
            ask={askOf(phase.of, reading.pan)}
            controls={<BoardControls reading={reading} />}
            onValue={reading.take}
            onHalf={setHalf}
          />
        </div>
        <aside className={styles.side}>
          {one.asks.kind !== 'held' && (
            <HoldStrip batch={batch} open={open} onDecide={() => setSheet({ decide: null })} />
          )}
          {reading.asked ? (
            <UnitQuestion {...reading.asked} onAnswer={reading.log} onAgain={reading.askAgain} />
          ) : (
            <Slab
              one={one}
              phase={phase}
              guide={guide}
              window={window}
              now={now}
              reader={reader}
              open={open}
              onLead={(decision) => setSheet({ decide: decision })}
              onMark={mark}
              onSheet={setSheet}
            />
          )}
          {reading.wrong && (
            <Notice title={say('notLogged')}>
              <p>{reading.wrong}</p>
            </Notice>
          )}
          <Refused batchId={batch.id} />
          {done && <JustDone key={done.id} claim={done} batch={batch} reader={reader} />}
          {logged && !done && (
            <JustLogged
              key={logged.id}
              claim={logged}
              batch={batch}
              others={others.map((other) => other.batch)}
              reader={reader}
              onUndo={() => undo(logged.id)}
              onMove={(to) => move(logged, to)}
              onGone={reading.forget}
            />
          )}
          <WhySoon
            one={one}
            now={now}
            reader={reader}
            open={open}
            step={guide.now?.key ?? null}
            hold={onHeat ? (window.floor?.finding ?? null) : null}
            explained={explained}
            onExplain={setExplained}
            onLots={toLots}
          />
          <div className={styles.keys}>
            <Key look="outlined" onClick={() => setSheet('readings')}>
              {say('readings')}
            </Key>
            <Key look="outlined" why={shutUnless(open)} onClick={() => setSheet('add')}>
              {say('add')}
            </Key>
            <Key look="outlined" why={shutUnless(open)} onClick={() => setSheet('cue')}>
              {say('cue')}
            </Key>
            <Key look="outlined" why={shutUnless(open)} onClick={() => setSheet({ decide: null })}>
              {say('decide')}
            </Key>
            <Key look="outlined" onClick={() => setSheet('more')}>
              {say('more')}
            </Key>
          </div>
        </aside>
      </div>
      {comesOff && floor && (
        <OffHeat
          floor={floor}
          reader={reader}
          onClose={() => setSheet(null)}
          onSure={() => {
            enter('step-marked', batch.id, { step: comesOff.step, edge: 'done', reason: null })
            setSheet(null)
          }}
        />
      )}
      {sheet !== null && !comesOff && (
        <BenchSheets
          batch={batch}
          others={others}
          findings={findings}
          guide={guide}
          sheet={sheet}
          onSheet={setSheet}
          onMark={mark}
          reader={reader}
          scale={scale}
          awake={awake}
          mayWrite={open}
        />
      )}
    </View>
  )
}

interface TraceProps {
  one: JudgedBatch
  now: Instant
  reader: Reader
  /** Where it has to be held, while it is on the heat. */
  heat: HeatWindow | null
  explained: string | null
}

function Trace({ one: { batch, findings, forecast, asks }, now, reader, heat, explained }: TraceProps) {
  const means = useMeans(useLine())
  return (
    <TraceChart
      batch={batch}
      findings={findings}
      now={now}
      reader={reader}
      heat={heat}
      futures={heat ? null : futuresOf(batch, forecast, asks, means, now)}
      explained={findings.find(({ check }) => check.key === explained) ?? null}
    />
  )
}

interface WhyProps extends Omit<TraceProps, 'heat'> {
  open: boolean
  /** What goes in now is of this one. */
  step: string | null
  /** What is held now. */
  hold: Finding | null
  onExplain: (check: string | null) => void
  onLots: () => void
}

function Why({ one, now, reader, open, step, hold, explained, onExplain, onLots }: WhyProps) {
  const { batch, findings } = one
  return (
    <div className={styles.why}>
      <GoesInNow batch={batch} step={step} open={open} onLots={onLots} />
      <WarmUpLine batch={batch} now={now} reader={reader} />
      {hold && <HoldLadder floor={hold} now={now} reader={reader} />}
      <WhyList batch={batch} findings={findings} reader={reader} explained={explained} onExplain={onExplain} />
    </div>
  )
}

function askOf(of: Of, pan: string | null): string {
  if (of !== 'mixture') return say('ofThe', { part: of.part })
  return pan === null ? say('ofTheMixture') : say('panSlowest', { pan })
}
