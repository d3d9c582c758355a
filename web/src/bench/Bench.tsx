import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import {
  celsiusOf,
  floorOf,
  measures,
  mixtureTrace,
  phaseOf,
  unitDoubt,
  type BatchState,
  type Claim,
  type Decision,
  type Id,
  type Typed,
  type Unit,
  type Where,
} from '@logged-thermal/core'
import { fieldSentence } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Header } from '../app/Header'
import { useHand, useJudged, useLine, type JudgedBatch } from '../app/kitchen'
import { useNow } from '../app/now'
import { DecideSheet } from '../decide/DecideSheet'
import { Badge } from '../parts/Badge'
import { Key } from '../parts/Key'
import { BoardControls } from './BoardControls'
import { boardMarks } from './boardMarks'
import { DegreeBoard } from './DegreeBoard'
import { shownIn } from './degreeEntry'
import { CueSheet } from './CueSheet'
import { GateBanner } from './GateBanner'
import { HoldLadder } from './HoldLadder'
import { JustLogged } from './JustLogged'
import { ReadingsSheet } from './ReadingsSheet'
import { Refused } from './Refused'
import { Slab } from './Slab'
import { StepRail } from './StepRail'
import { StepsSheet } from './StepsSheet'
import { TraceChart } from './TraceChart'
import { UnitQuestion } from './UnitQuestion'
import { WhyList } from './WhyList'
import './bench.css'

/** One batch at the stove: what is asked now, the trace, the board, and why each check stands as it does. */
export function Bench() {
  const now = useNow()
  const line = useLine()
  const judged = useJudged(line, now)
  const { id } = useParams()
  const one = id ? judged.find(({ batch }) => batch.id === id) : judged[0]
  if (!one) return <NoBatch known={id !== undefined} />
  return (
    <BenchOf
      key={one.batch.id}
      one={one}
      others={judged.filter((other) => other !== one).map(({ batch }) => batch)}
      now={now}
    />
  )
}

function NoBatch({ known }: { known: boolean }) {
  const navigate = useNavigate()
  return (
    <main className="view">
      <Header>
        <h1>
          <strong>{known ? 'This batch is not on the line.' : 'Nothing on the bench yet.'}</strong>
        </h1>
      </Header>
      <div className="whole">
        <Key look="primary" onClick={() => void navigate('/start')}>
          Start a batch
        </Key>
      </div>
    </main>
  )
}

function BenchOf({ one, others, now }: { one: JudgedBatch; others: BatchState[]; now: number }) {
  const { batch, findings, standing } = one
  const { instrument, reader, open } = useHand(useLine())
  const enter = useEnter()
  const phase = phaseOf(batch)
  const narrow = useMediaQuery('(max-width: 599px)')
  const [minutesAgo, setMinutesAgo] = useState(0)
  // For one reading only: a probe that shows the other unit.
  const [unitOnce, setUnitOnce] = useState<Unit | null>(null)
  const unit = unitOnce ?? reader.unit
  const [logged, setLogged] = useState<Claim<'reading-taken'> | null>(null)
  const [sheet, setSheet] = useState<'readings' | 'cue' | 'steps' | { decide: Decision | null } | null>(null)
  const [wrong, setWrong] = useState<string | null>(null)
  const [explained, setExplained] = useState<string | null>(null)
  // Typed, and plausible only in the other unit: waits for an answer, is not logged.
  const [asked, setAsked] = useState<{ typed: Typed; other: Unit } | null>(null)

  const onValue = (value: number) => {
    const typed = { value, unit }
    const last = mixtureTrace(batch).at(-1)
    const other = unitDoubt(typed, last ? { celsius: last.celsius, agoMs: now - last.at } : null)
    if (other) setAsked({ typed, other })
    else log(typed)
  }
  const log = (typed: Typed) => {
    setAsked(null)
    try {
      celsiusOf(typed)
    } catch {
      setWrong(fieldSentence('value', { code: 'not a temperature', typed: `${typed.value} °${typed.unit}` }))
      return
    }
    const where: Where = instrument ? measures[instrument.kind] : 'core'
    const at = minutesAgo === 0 ? {} : { at: now - minutesAgo * 60_000 }
    const claim = enter(
      'reading-taken',
      batch.id,
      { typed, where, of: phase.of, instrument: instrument?.id ?? null },
      at,
    )
    setWrong(null)
    setMinutesAgo(0)
    setUnitOnce(null)
    setLogged(claim as Claim<'reading-taken'>)
  }
  const undo = (target: Id) => {
    enter('corrected', batch.id, { target, reason: 'undo', now: 'void' })
    setLogged(null)
  }
  const move = (target: Claim<'reading-taken'>, to: Id) => {
    enter('corrected', batch.id, {
      target: target.id,
      reason: 'wrong pot',
      now: { at: target.at, reading: target.body, batch: to },
    })
    setLogged(null)
  }
  const lastRead = batch.readings.filter(({ void: gone }) => !gone).at(-1)
  const centre = lastRead ? shownIn(celsiusOf(lastRead.value.typed), unit) : shownIn(60, unit)
  const { cooking } = phase
  const floor = floorOf(findings)
  return (
    <main className="view">
      <Header seconds={cooking}>
        <h1>
          <strong>{batch.method.name}</strong>
        </h1>
        <Badge standing={standing} />
        <span className="muted bench-code">
          {batch.code} · {batch.vessel.name}
        </span>
      </Header>
      <GateBanner batch={batch} findings={findings} reader={reader} />
      <div className="bench">
        <div className="bench-work">
          <div className="pane">
            <StepRail batch={batch} findings={findings} phase={phase} reader={reader} />
            <TraceChart
              batch={batch}
              findings={findings}
              now={now}
              reader={reader}
              explained={findings.find(({ check }) => check.key === explained) ?? null}
            />
          </div>
          <DegreeBoard
            unit={unit}
            centre={centre}
            marks={boardMarks(findings, phase, unit)}
            rows={narrow ? 2 : 3}
            disabled={!open}
            ask={phase.of === 'mixture' ? 'Tap the degree, then the tenth' : `Read the ${phase.of.part}`}
            controls={
              <BoardControls minutesAgo={minutesAgo} onMinutesAgo={setMinutesAgo} unit={unit} onUnit={setUnitOnce} />
            }
            onValue={onValue}
          />
        </div>
        <aside className="bench-side">
          {asked ? (
            <UnitQuestion {...asked} onAnswer={log} onAgain={() => setAsked(null)} />
          ) : (
            <Slab
              one={one}
              phase={phase}
              now={now}
              reader={reader}
              open={open}
              onLead={(decision) => setSheet({ decide: decision })}
            />
          )}
          {wrong && (
            <div className="refused" role="alert">
              <strong>Not logged.</strong>
              <p>{wrong}</p>
            </div>
          )}
          <Refused batchId={batch.id} />
          {logged && (
            <JustLogged
              key={logged.id}
              claim={logged}
              batch={batch}
              others={others}
              reader={reader}
              onUndo={() => undo(logged.id)}
              onMove={(to) => move(logged, to)}
              onGone={() => setLogged(null)}
            />
          )}
          {cooking && floor && <HoldLadder floor={floor} now={now} reader={reader} />}
          <WhyList batch={batch} findings={findings} reader={reader} explained={explained} onExplain={setExplained} />
          <div className="bench-keys">
            <Key look="outlined" onClick={() => setSheet('readings')}>
              Readings
            </Key>
            <Key look="outlined" onClick={() => setSheet('steps')}>
              Steps
            </Key>
            <Key look="outlined" disabled={!open} onClick={() => setSheet('cue')}>
              Cue
            </Key>
            <Key look="outlined" disabled={!open} onClick={() => setSheet({ decide: null })}>
              Decide
            </Key>
          </div>
        </aside>
      </div>
      <ReadingsSheet
        open={sheet === 'readings'}
        onClose={() => setSheet(null)}
        batch={batch}
        others={others}
        reader={reader}
        mayWrite={open}
      />
      <StepsSheet
        batch={batch}
        open={sheet === 'steps'}
        onClose={() => setSheet(null)}
        reader={reader}
        unit={unit}
        mayWrite={open}
      />
      <CueSheet
        batch={batch}
        open={sheet === 'cue'}
        onClose={() => setSheet(null)}
        onCue={({ key, text }) => {
          enter('noted', batch.id, { text, cue: key })
          setSheet(null)
        }}
      />
      {typeof sheet === 'object' && sheet && (
        <DecideSheet batch={batch} findings={findings} first={sheet.decide} onClose={() => setSheet(null)} />
      )}
    </main>
  )
}
