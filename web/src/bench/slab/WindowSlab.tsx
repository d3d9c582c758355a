import type { ReactNode } from 'react'
import { nextReading, offNow, risesSooner, type HeatEdge, type Finding, type HeatWindow } from '@logged-thermal/core'
import {
  aboutSpan,
  clock,
  degrees,
  findingSentence,
  limitDegreesOf,
  limitTitle,
  readAgainWords,
  riseSentence,
  span,
  targetSentence,
  type Reader,
  slabMessages,
  roughSpan,
} from '@logged-thermal/wording'
import { useInstructions } from '../../app/instructions'
import { Also } from './Also'
import type { SlabProps } from './slabProps'
import { clsx } from 'clsx'
import styles from '../../board/slab.module.css'
import { speaks, spoken } from '../../kit/language'

const say = speaks(slabMessages)

/** A forecast that spreads further than this says so. */
const SPREAD_MS = 15_000

/** On the heat: how long to the floor as it goes, the hold, or off with it. */
export function WindowSlab(props: SlabProps & { markKey: ReactNode }) {
  const { window, now, reader, markKey } = props
  const { asks, batch } = props.one
  // What ends the heat has its own key already.
  const todos = props.guide.todos.filter(({ kind }) => kind !== 'end' && kind !== 'begin')
  const floor = window.floor?.finding ?? null
  const said = slabWords()
  const target = targetSentence(useInstructions(batch)[props.guide.now?.key ?? '']?.target ?? null, reader)
  return (
    <section className={clsx(styles.slab, styles.onHeat, said.off && styles.offNow)} aria-label={say('doNow')}>
      <p className={styles.do} aria-live="polite">
        {said.title}
      </p>
      {said.count && (
        <p className={styles.count}>
          {said.about && <span className={styles.about}>{say('about')}</span>}
          {said.count[0]}
          <small>{said.count[1]}</small>
        </p>
      )}
      <p className={styles.why}>
        {said.why} {target}
      </p>
      {markKey && <div className={styles.keys}>{markKey}</div>}
      <Also {...props} todos={todos} />
    </section>
  )

  function slabWords(): Words {
    if (!floor) return { title: say('heatThenOffHeat'), why: ceilingWords(window, now, reader) }
    if (floor.standing === 'proven') return provenWords(floor)
    const rising = risesSooner(window, now) ? risingWords(window, now, reader) : null
    if (rising) return rising
    const next = nextReading(floor, now)
    if (next !== null)
      return {
        title: next.inMs > 0 ? say('holdThereThenRead') : readAgainWords(next.proves, reader),
        count: [String(Math.ceil(next.inMs / 1000)), say('sNextReading')],
        why: say('whenHits0Take', { ceilingWords: ceilingWords(window, now, reader) }),
      }
    return readWords(floor)
  }

  function provenWords(proven: Finding): Words {
    if (asks.kind === 'read')
      return {
        title: say('somethingColdWentRead'),
        why: say('earlierProofStands', { finding: findingSentence(proven, reader) }),
      }
    const off = offNow(window, now)
    return {
      title: off ? say('offHeatNow') : say('floorProvenOffHeat'),
      why: ceilingWords(window, now, reader) || say('needsNoMoreHeat', { method: batch.method.name }),
      off,
    }
  }

  function readWords(open: Finding): Words {
    const late =
      asks.kind === 'read' && now - asks.at >= 60_000 ? say('itWasDue', { time: clock(asks.at, reader) }) : ''
    return {
      title: say('readMixture', { limit: limitTitle(open.check, reader) }),
      why: `${findingSentence(open, reader)}${late} ${ceilingWords(window, now, reader)}`,
    }
  }
}

interface Words {
  title: string
  about?: boolean
  count?: [number: string, unit: string]
  why: string
  off?: boolean
}

function risingWords({ rise, floor, ceiling }: HeatWindow, now: number, reader: Reader): Words | null {
  const at = floor?.at?.likely ?? null
  if (!rise || !floor || at === null) return null
  const left = at - now
  const to = limitDegreesOf(floor.celsius, reader)
  const range = rangeWords(floor, now)
  const top = ceiling?.at?.likely
  const why = `${riseSentence(rise, reader)}${range}${
    top
      ? say('onCourseReachCeiling', { degrees: limitDegreesOf(ceiling.celsius, reader), time: clock(top, reader) })
      : ''
  }`
  if (left <= 3_000) return { title: say('mayAtNowRead', { to }), why: say('forecastProvesNothing2', { why }) }
  const [number, unit] = roughSpan(left, reader).split(' ')
  return {
    title: say('floorAboutKeepStirring', { time: clock(at, reader) }),
    about: true,
    count: [number!, say('unitTo', { unit: unit!, to })],
    why,
  }
}

/** Between which bounds, where that is wide. */
function rangeWords({ at }: HeatEdge, now: number): string {
  if (!at || at.earliest === null) return ''
  if (at.latest === null) return say('atSoonest', { span: span(Math.max(0, at.earliest - now), spoken) })
  return at.latest - at.earliest > SPREAD_MS
    ? say('betweenAnd', {
        span: span(Math.max(0, at.earliest - now), spoken),
        span2: span(Math.max(0, at.latest - now), spoken),
      })
    : ''
}

function ceilingWords({ ceiling }: HeatWindow, now: number, reader: Reader): string {
  if (!ceiling) return ''
  const level = limitDegreesOf(ceiling.celsius, reader)
  const at = ceiling.at?.likely
  if (at) return say('reachesCeiling', { level, span: aboutSpan(at - now, reader) })
  const last = ceiling.finding.because
  return last.code === 'passed'
    ? say('overCeiling', { degrees: degrees(last.celsius, reader), level })
    : say('stayUnder', { level })
}
