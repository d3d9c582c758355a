import { Suspense, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { lineMessages } from '@logged-thermal/wording'
import { View } from '../app/View'
import { useHand, useJudged, useLine } from '../app/kitchen'
import { useAsOf, useNow, useTold } from '../app/now'
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
import { LineRows } from './LineRows'
import { lineSentence } from './lineSentence'
import styles from './line.module.css'
import { speaks } from '../kit/language'

const say = speaks(lineMessages)

/** Below what runs, and nothing of it presses: it comes after the pots. */
const KeptAside = later(() => import('./KeptAside'), 'KeptAside')
const FirstSteps = later(() => import('./FirstSteps'), 'FirstSteps')

/** The ribbons move so often, ms: by two pixels. Words that count go by themselves. */
const RIBBON_MOVES = 30_000

/** Every running batch, the most urgent first. */
export function LineView() {
  const now = useNow(RIBBON_MOVES)
  const line = useLine()
  const judged = useJudged(line)
  const { reader, open } = useHand(line)
  const navigate = useNavigate()
  const [laneRef, laneWidth, measured] = useWidth<HTMLDivElement>(690, 'lane of the Line')
  const lens = useMemo(() => nowLens(laneWidth, now), [laneWidth, now])
  const { urgent, rest } = useTold((at) => lineSentence(judged, at))
  const pans = useAsOf((at) => stopsDue(judged, at).length)
  const [scrolled, setScrolled] = useState<HTMLDivElement | null>(null)
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
        <div className={styles.rows} ref={setScrolled}>
          <Refused />
          {measured && <LineRows judged={judged} now={now} lens={lens} reader={reader} scrolled={scrolled} />}
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
