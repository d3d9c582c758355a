import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { celsiusOf, nextRound, timelineOf, type Claim, type Id, type Instant, type Typed } from '@logged-thermal/core'
import {
  centimetres,
  checkTitle,
  clock,
  countWord,
  degrees,
  placeWord,
  span,
  type Reader,
  roundMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useJudged, useLine, type JudgedBatch } from '../app/kitchen'
import { useNow } from '../app/now'
import { BoardControls } from '../board/BoardControls'
import { boardMarks } from '../board/boardMarks'
import { DegreeBoard } from '../board/DegreeBoard'
import { shownIn } from '../board/degreeEntry'
import { UnitQuestion } from '../board/UnitQuestion'
import { useReading, type ReadingHand } from '../board/useReading'
import { HeatRibbon } from '../parts/HeatRibbon'
import { Key } from '../kit/Key'
import { nowLens } from '../parts/lens'
import { stopsDue, walkOn } from './walk'
import { clsx } from 'clsx'
import roundStyles from './round.module.css'
import slabStyles from '../board/slab.module.css'
import { Notice } from '../kit/Notice'
import { speaks, spoken } from '../kit/language'

const say = speaks(roundMessages)

/** Every pan that is due as one walk, probe in hand: a number moves on to the next. */
export function RoundView() {
  const now = useNow()
  const line = useLine()
  const judged = useJudged(line)
  const { reader } = useHand(line)
  const navigate = useNavigate()
  const due = stopsDue(judged, now)
  const [kept, setKept] = useState<Id[]>([])
  const [read, setRead] = useState<Record<Id, { at: Instant; typed: Typed; claim: Id }>>({})
  const [skipped, setSkipped] = useState<Id[]>([])
  const walk = walkOn(kept, due).flatMap((id) => judged.find(({ batch }) => batch.id === id) ?? [])
  const open = walk.filter(({ batch: { id } }) => !read[id] && !skipped.includes(id))
  const here = open[0] ?? null
  const next = nextRound(judged.flatMap(({ asks }) => (asks.kind === 'read' && asks.at > now ? [{ at: asks.at }] : [])))
  const logged = (id: Id, claim: Claim<'reading-taken'>) => {
    setKept(walk.map(({ batch }) => batch.id))
    setRead({ ...read, [id]: { at: claim.at, typed: claim.body.typed, claim: claim.id } })
  }
  return (
    <View
      place="round"
      spoken
      sentence={
        <>
          {here ? (
            <>
              <strong>{say('roundPanPansDue', { count: countWord(walk.length, reader), walk: walk.length })}</strong>{' '}
              {say('readCount', { count: countWord(walk.length - open.length, reader) })}
            </>
          ) : (
            <>
              <strong>{walk.length ? say('roundDone') : say('noPanDue')}</strong>{' '}
              {next === null ? '' : say('nextReadingAskedFor', { time: clock(next, reader) })}
            </>
          )}
        </>
      }
    >
      <div className={roundStyles.round}>
        <ol className={roundStyles.walk} aria-label={say('thisRound')} tabIndex={0}>
          {walk.map((one) => (
            <Stop
              key={one.batch.id}
              one={one}
              here={one === here}
              read={read[one.batch.id] ?? null}
              skipped={skipped.includes(one.batch.id)}
              now={now}
              reader={reader}
            />
          ))}
        </ol>
        {here && (
          <Here
            key={here.batch.id}
            one={here}
            left={open.length}
            onLogged={(claim) => logged(here.batch.id, claim)}
            onSkip={() => {
              setKept(walk.map(({ batch }) => batch.id))
              setSkipped([...skipped, here.batch.id])
            }}
            onEnd={() => void navigate('/')}
          />
        )}
        {!here && (
          <div className={roundStyles.side}>
            <Undo read={read} />
            <Key look="primary" onClick={() => void navigate('/')}>
              {say('toTheLine')}
            </Key>
          </div>
        )}
      </div>
    </View>
  )
}

/** The last one logged is taken back from here for ten seconds. */
function Undo({ read }: { read: Record<Id, { at: Instant; claim: Id }> }) {
  const enter = useEnter()
  const now = useNow()
  const last = Object.entries(read).sort(([, a], [, b]) => b.at - a.at)[0]
  const [gone, setGone] = useState<Id | null>(null)
  if (!last || now - last[1].at > 10_000 || gone === last[1].claim) return null
  const [batch, { claim }] = last
  return (
    <Key
      look="outlined"
      onClick={() => {
        enter('corrected', batch, { target: claim, reason: 'undo', now: 'void', item: null })
        setGone(claim)
      }}
    >
      {say('undoLastOne')}
    </Key>
  )
}

function Stop({
  one: { batch, findings, asks, forecast },
  here,
  read,
  skipped,
  now,
  reader,
}: {
  one: JudgedBatch
  here: boolean
  read: { at: Instant; typed: Typed } | null
  skipped: boolean
  now: number
  reader: Reader
}) {
  const due = asks.kind === 'read' ? asks : null
  return (
    <li className={clsx(here && roundStyles.here)} aria-current={here ? 'step' : undefined} data-batch={batch.code}>
      <div>
        <strong>{batch.method.name}</strong>
        <small>{whereWords(batch)}</small>
      </div>
      <div className={roundStyles.lane}>
        <HeatRibbon
          batch={batch}
          findings={findings}
          asks={asks}
          forecast={forecast}
          now={now}
          lens={nowLens(290, now)}
          height={60}
          size="quiet"
          reader={reader}
        />
      </div>
      <div className={roundStyles.says}>
        {read ? (
          <>
            <span className={roundStyles.value}>✓ {degrees(celsiusOf(read.typed), reader, 'under')}</span>
            <small>{say('loggedTime', { time: clock(read.at, reader) })}</small>
          </>
        ) : (
          <small>
            {due ? checkTitle(due.finding, reader) : ''}
            <br />
            {skipped
              ? say('leftOut')
              : due && now - due.at >= 60_000
                ? say('dueLate', { time: clock(due.at, reader), span: span(now - due.at, reader) })
                : due
                  ? say('dueTime', { time: clock(due.at, reader) })
                  : ''}
          </small>
        )}
      </div>
    </li>
  )
}

/** Where it stands and where the probe goes: the middle cools last. */
function whereWords(batch: JudgedBatch['batch']): string {
  const { place, product } = timelineOf(batch).setting
  const depth = product.shape.height
  return say('probeMiddleDown', {
    value: place ? placeWord(place, spoken) : batch.vessel.name,
    centimetres: centimetres(depth / 2, spoken),
  })
}

function Here({
  one,
  left,
  onLogged,
  onSkip,
  onEnd,
}: {
  one: JudgedBatch
  left: number
  onLogged: (claim: Claim<'reading-taken'>) => void
  onSkip: () => void
  onEnd: () => void
}) {
  const { batch, findings } = one
  const { open } = useHand(useLine())
  const phase = timelineOf(batch).phase
  const reading = useReading(batch, phase.of, onLogged)
  const narrow = useMediaQuery('(max-width: 599px)')
  const last = batch.facts['reading-taken'].findLast(({ void: gone }) => !gone)
  return (
    <>
      <div className={roundStyles.board}>
        <DegreeBoard
          scale={reading.scale}
          centre={shownIn(last ? celsiusOf(last.value.typed) : 30, reading.scale)}
          marks={boardMarks(findings, phase, reading.scale)}
          rows={narrow ? 2 : 3}
          disabled={!open}
          ask={say('ofPan', { method: batch.method.name, pan: reading.pan, hasPan: reading.pan !== null })}
          controls={<BoardControls reading={reading} />}
          onValue={reading.take}
        />
      </div>
      <div className={roundStyles.side}>
        {reading.asked ? (
          <UnitQuestion {...reading.asked} onAnswer={reading.log} onAgain={reading.askAgain} />
        ) : (
          <section className={clsx(slabStyles.slab, roundStyles.slab)} aria-label={say('doNow')}>
            <p className={slabStyles.do}>{say('readMethod', { method: batch.method.name })}</p>
            <p className={clsx(slabStyles.count, roundStyles.count)}>
              {left}
              <small>{left === 1 ? say('panLeft') : say('pansLeft')}</small>
            </p>
            <p className={clsx(slabStyles.why, roundStyles.why)}>
              {say('oneWalkOneProbe', { whereWords: whereWords(batch) })}
            </p>
          </section>
        )}
        <Wrong reading={reading} />
        <div className={roundStyles.keys}>
          <Key onClick={onSkip}>{say('leavePan')}</Key>
          <Key onClick={onEnd}>{say('endRound')}</Key>
        </div>
      </div>
    </>
  )
}

function Wrong({ reading: { wrong } }: { reading: ReadingHand }) {
  return wrong ? (
    <Notice title={say('notLogged')}>
      <p>{wrong}</p>
    </Notice>
  ) : null
}
