import { dayOf, type Instant, type InstrumentState } from '@logged-thermal/core'
import { clock, dayName, difference, instrumentCheckMessages, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { Notice } from '../kit/Notice'
import { speaks } from '../kit/language'
import { Glyph } from '../parts/Glyph'
import { useWidth } from '../parts/useWidth'
import { IceLane } from './IceLane'
import { lanesOf } from './lanes'
import { BETWEEN, SETTLES, type CheckHand } from './useCheck'
import { weeksLens } from './weeksLens'
import styles from './check.module.css'

const say = speaks(instrumentCheckMessages)

interface Props {
  instrument: InstrumentState
  check: CheckHand
  now: Instant
  reader: Reader
  /** Why nothing can be begun or logged. */
  why: string | null
  onLog: () => void
  onStop: () => void
}

/** What to do next, what each outcome will mean, and how far it was out before. */
export function CheckSlab({ instrument, check, now, reader, why, onLog, onStop }: Props) {
  return (
    <aside className={styles.side}>
      <section className={styles.slab} aria-live="polite">
        <Next {...{ instrument, check, now, reader, why, onLog }} />
      </section>
      {check.tooSoon && (
        <Notice
          keys={
            <>
              <Key look="primary" onClick={check.countAnyway}>
                {say('countAnyway')}
              </Key>
              <Key look="outlined" onClick={check.wait}>
                {say('waitOn')}
              </Key>
            </>
          }
        >
          {soonWords(check.tooSoon.what, check.tooSoon.from, now)}
        </Notice>
      )}
      {!check.tooSoon && <Outcomes {...{ instrument, reader }} />}
      <SoFar {...{ instrument, now, reader }} />
      <Key look="outlined" onClick={onStop}>
        {say('stop')}
      </Key>
    </aside>
  )
}

/** What passing will mean, and what failing will. */
function Outcomes({ instrument, reader }: Pick<Props, 'instrument' | 'reader'>) {
  const { code, tolerance, history } = instrument
  const passed = history.findLast((each) => each.passed)
  const allowed = difference(tolerance, reader)
  return (
    <section className={styles.outcomes} aria-label={say('whatHappensNext')}>
      <h2 className="title">
        {say('whatHappensNext')} <small>{say('allowed', { degrees: allowed })}</small>
      </h2>
      <p>
        <Glyph standing="proven" />
        <span>
          <strong>{say('passesIf', { degrees: allowed })}</strong>
          {say('passesWhat')}
        </span>
      </p>
      <p>
        <Glyph standing="missed" />
        <span>
          <strong>{say('failsIf')}</strong>
          {passed ? say('failsWhat', { code, time: clock(passed.at, reader) }) : say('failsFirst', { code })}
        </span>
      </p>
    </section>
  )
}

function soonWords(what: 'settle' | 'next', from: Instant, now: Instant): string {
  const left = Math.max(0, Math.ceil((from - now) / 1000))
  const seconds = Math.round((what === 'next' ? BETWEEN : SETTLES) / 1000) - left
  return what === 'next' ? say('tooSoon', { seconds, left }) : say('notSettled', { seconds, left })
}

function Next({ instrument, check, now, reader, why, onLog }: Omit<Props, 'onStop'>) {
  const { code } = instrument
  const { stage, from, shown, apart, found } = check
  const left = from === null ? 0 : Math.max(0, Math.ceil((from - now) / 1000))
  if (stage === 'prepare')
    return (
      <>
        <h2 className="title">{say('prepareFirst')}</h2>
        <p>{say('prepareWhy')}</p>
        <Key look="primary" why={why} onClick={check.begin}>
          {say('ready')}
        </Key>
      </>
    )
  if (apart !== null)
    return (
      <>
        <h2 className="title">{say('notSteadyYet', { apart: difference(apart, reader) })}</h2>
        <Key look="primary" onClick={check.startOver}>
          {say('startOver')}
        </Key>
      </>
    )
  if (found) {
    const off = difference(found.error, reader, 'told')
    return (
      <>
        <h2 className="title">{say(found.passed ? 'passesBy' : 'failsBy', { code, degrees: off })}</h2>
        <p>
          {found.passed
            ? found.error === 0
              ? say('thenExact')
              : say('thenTaken', { degrees: off })
            : say('thenDoubted')}
        </p>
        <Key look="primary" why={why} onClick={onLog}>
          {say(found.passed ? 'logPass' : 'logFail')}
        </Key>
      </>
    )
  }
  if (left === 0)
    return (
      <>
        <h2 className="title">{say('readNow')}</h2>
        <p>{say('readOnce', { code })}</p>
      </>
    )
  return (
    <>
      <h2 className="title">{say(shown.length > 0 ? 'stirAgain' : 'waitStill')}</h2>
      <p className={styles.count}>
        <b>{left}</b> {say(shown.length > 0 ? 'untilNext' : 'untilSettled')}
      </p>
      <p>{say('keepTip')}</p>
    </>
  )
}

/** Every error that was found of it. */
function SoFar({ instrument, now, reader }: { instrument: InstrumentState; now: Instant; reader: Reader }) {
  const [ref, width] = useWidth<HTMLDivElement>(360)
  const [lane] = lanesOf([instrument], now)
  const last = instrument.history.at(-1)
  return (
    <section className={styles.soFar}>
      <h2 className="title">
        {say('soFar', { code: instrument.code })}{' '}
        <small>
          {last
            ? say('lastWas', {
                day: dayName(dayOf(last.at, reader.zone), reader),
                degrees: difference(last.error, reader, 'told'),
              })
            : say('neverBefore')}
        </small>
      </h2>
      <div ref={ref}>
        <IceLane lane={lane!} lens={weeksLens(width, now)} now={now} height={84} reader={reader} />
      </div>
    </section>
  )
}
