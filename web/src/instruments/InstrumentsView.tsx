import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { DAY, dayOf, type Instant } from '@logged-thermal/core'
import { clock, dayName, errorWords, fullDate, instrumentsMessages, type Reader } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { Glyph } from '../parts/Glyph'
import { NowFlag } from '../parts/NowFlag'
import { useWidth } from '../parts/useWidth'
import { AddInstrument } from './AddInstrument'
import { IceLane } from './IceLane'
import { KindMark } from './KindMark'
import { asksForCheck, daysLate, lanesOf, type Lane } from './lanes'
import { useOpenLookBack } from './useOpenLookBack'
import { WEEK_MARKS, weeksLens, type WeeksLens } from './weeksLens'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

const LANE = 72
/** Under this, px, marks a week apart would touch. */
const NARROW = 500

/** Further off, a day of another year could be meant, ms. */
const FAR = 180 * DAY

/** What the kitchen reads with, the most urgent first: how far each was found to be out, and when it is due. */
export function InstrumentsView() {
  const line = useLine()
  const now = useNow(60_000)
  const { open, reader } = useHand(line)
  const [adding, setAdding] = useState(false)
  const [laneRef, width] = useWidth<HTMLDivElement>(690)
  if (!line) return null
  const lanes = lanesOf(line.instruments, now)
  const lens = weeksLens(width, now)
  return (
    <View
      place="instruments"
      sentence={<Sentence lanes={lanes} reader={reader} />}
      keys={
        <Key className={styles.add} why={shutUnless(open)} onClick={() => setAdding(true)}>
          {say('addInstrument')}
        </Key>
      }
    >
      <div className={styles.lanes}>
        <div className={styles.axis} aria-hidden="true">
          <span />
          <div ref={laneRef}>
            <Axis lens={lens} />
          </div>
          <span />
        </div>
        <div className={styles.rows}>
          {lanes.map((lane) => (
            <Row key={lane.instrument.id} {...{ lane, lens, now, reader }} />
          ))}
        </div>
      </div>
      {adding && <AddInstrument known={line.instruments.map(({ code }) => code)} onClose={() => setAdding(false)} />}
    </View>
  )
}

function Sentence({ lanes, reader }: { lanes: readonly Lane[]; reader: Reader }) {
  const failed = lanes.filter(({ instrument, standing }) => standing.backing === 'failed' && !instrument.gone)
  const asking = lanes.filter(asksForCheck).length
  const [first] = failed
  if (lanes.length === 0)
    return (
      <>
        <strong>{say('nothingYet')}</strong> {say('withoutProbe')}
      </>
    )
  if (first)
    return (
      <>
        <strong>{say('failedLeads', { code: first.instrument.code })}</strong>{' '}
        {asking > 0 && say('needCheckToo', { count: asking })}
      </>
    )
  const checked = lanes.every(({ instrument, standing }) => instrument.gone || standing.backing === 'checked')
  const next = lanes.find(({ instrument, standing }) => !instrument.gone && standing.due !== null)
  return (
    <>
      <strong>{asking > 0 ? say('needCheck', { count: asking }) : say(checked ? 'allChecked' : 'noneDue')}</strong>{' '}
      {asking === 0 &&
        next &&
        say('nextDue', { code: next.instrument.code, day: dayName(dayOf(next.standing.due!, reader.zone), reader) })}
    </>
  )
}

function Row({ lane, lens, now, reader }: { lane: Lane; lens: WeeksLens; now: Instant; reader: Reader }) {
  const { instrument } = lane
  const { id, code, kind, place } = instrument
  return (
    <section className={styles.row} aria-label={`${code}, ${say(`kind_${kind}`)}`}>
      <Link className={styles.name} to={`/instruments/${id}`} aria-label={say('open', { code })}>
        <span className={styles.code}>{code}</span>
        <KindMark kind={kind} />
        <span>
          <span className={styles.kind}>{say(`kind_${kind}`)}</span>
          <small>{place ?? say('noPlace')}</small>
        </span>
      </Link>
      <div className={styles.lane}>
        <IceLane lane={lane} lens={lens} now={now} height={LANE} reader={reader} />
      </div>
      <Asks lane={lane} now={now} reader={reader} />
    </section>
  )
}

/** What is to be done about it: a key where hands are needed, a line where not. */
function Asks({ lane, now, reader }: { lane: Lane; now: Instant; reader: Reader }) {
  const navigate = useNavigate()
  const { instrument, standing } = lane
  const { id, gone } = instrument
  const open = useOpenLookBack(instrument)
  const check = () => void navigate(`/instruments/${id}/check`)
  // What is due in most of a year has its year with it.
  const day = (at: Instant) =>
    Math.abs(at - now) > FAR ? fullDate(dayOf(at, reader.zone), reader) : dayName(dayOf(at, reader.zone), reader)
  if (gone) return <Plain mark={null} title={say(`gone_${gone.how}`, { day: day(gone.at) })} words={gone.reason} />
  switch (standing.backing) {
    case 'failed': {
      const { last } = standing
      const when = say('failedAt', { time: clock(last!.at, reader) })
      return open !== null && open > 0 ? (
        <Doing
          look="primary"
          mark="missed"
          title={say('lookAtBatches', { count: open })}
          words={when}
          onClick={() => void navigate(`/instruments/${id}/look-back`)}
        />
      ) : (
        <Doing mark="missed" title={say('checkAgain')} words={open === 0 ? say('allLookedAt') : when} onClick={check} />
      )
    }
    case 'lapsed':
      return <Doing mark="unproven" title={say('checkIt')} words={say('lapsed')} onClick={check} />
    case 'unchecked':
      return <Doing mark="unproven" title={say('firstCheck')} words={say('provesNothingYet')} onClick={check} />
    case 'overdue': {
      const { atOnce } = standing
      const words = atOnce ? say('dueNow', { why: atOnce }) : say('markedLate', { days: daysLate(lane, now) })
      return <Doing mark="open" title={say('checkIt')} words={words} onClick={check} />
    }
    case 'not asked':
      return <Plain mark={null} title={say('notAsked')} words={say('houseAsksNone')} />
    case 'checked':
      return (
        <Plain
          mark="proven"
          title={say('dueDay', { day: day(standing.due ?? now + DAY) })}
          words={foundWords(lane, reader)}
        />
      )
  }
}

function foundWords({ instrument: { kind }, standing: { last } }: Lane, reader: Reader): string {
  if (!last) return ''
  const day = dayName(dayOf(last.at, reader.zone), reader)
  if (Math.abs(last.error) < (kind === 'ph' ? 0.005 : 0.05)) return say('checkedExact', { day })
  const side = last.error > 0 ? 'high' : 'low'
  return say('checkedOff', { day, degrees: errorWords(kind, last.error, reader, 'not told'), side })
}

type Mark = Parameters<typeof Glyph>[0]['standing'] | null

function Doing(props: { look?: 'primary'; mark: Mark; title: string; words: string; onClick: () => void }) {
  const { look = 'plain', mark, title, words, onClick } = props
  return (
    <div className={styles.asks}>
      <Key look={look} onClick={onClick}>
        {mark && <Glyph standing={mark} />}
        <span>
          <span className={styles.do}>{title}</span>
          <span className={styles.why}>{words}</span>
        </span>
      </Key>
    </div>
  )
}

function Plain({ mark, title, words }: { mark: Mark; title: string; words: string }) {
  return (
    <div className={styles.asks}>
      <div className={styles.plain}>
        {mark && <Glyph standing={mark} />}
        <span>
          <span className={styles.do}>{title}</span>
          <span className={styles.why}>{words}</span>
        </span>
      </div>
    </div>
  )
}

function Axis({ lens }: { lens: WeeksLens }) {
  const at = (days: number) => lens.nowX + (days * lens.nowX) / 42
  return (
    <svg width={lens.width} height="28" style={{ display: 'block', overflow: 'visible' }}>
      {WEEK_MARKS.filter((days) => lens.width > NARROW || Math.abs(days) > 7).map((days) => (
        <text key={days} x={at(days)} y="20" textAnchor={days === -42 ? 'start' : 'middle'}>
          {days === 7 ? say('inAWeek') : say('weeksAgo', { weeks: -days / 7 })}
        </text>
      ))}
      <NowFlag x={lens.nowX} word={say('now')} />
    </svg>
  )
}
