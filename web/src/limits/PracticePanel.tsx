import { useState } from 'react'
import {
  LOTS_ASKED,
  MEASURE_SYSTEMS,
  PERMITS,
  dayOf,
  recordMonths,
  USUAL_MONTHS_KEPT,
  type LimitSet,
  type Permits,
  type Practice,
  type Variance,
} from '@logged-thermal/core'
import { dayName, permitName, withoutPermit, limitFormsMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { VarianceFields, varianceProblem } from './VarianceFields'
import { KeyRow } from '../kit/KeyRow'
import { clsx } from 'clsx'
import styles from './limits.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(limitFormsMessages)

const NO_VARIANCE: Variance = { authority: '', reference: '', reason: '', validUntil: '' }
const WARM = [15, 20, 30, 45, 60]
const SERVE = [10, 15, 20, 30, 45]
const REWARM = [0, 1, 2, 3]
const NIGHT = [6, 8, 10, 12, 14]
const FRUIT = [1, 2, 3]
const BAKE = [30, 90, 180, 365]
const OPENED = [1, 2, 3, 4, 5]
const HOT = [1, 2, 3, 4, 6]
const IDLE = [15, 30, 60, 120] as const
const MONTHS_KEPT = [3, 12, 24, 36, 60]
const FREEZER = [-25, -20, -18, -15, -12]

interface Props {
  draft: LimitSet
  /** The lead may change it: it goes into the draft of the next version. */
  onChange: ((draft: LimitSet) => void) | null
  onClose: () => void
}

/** How the house works beside its limits, and what it holds a written permission for. */
export function PracticePanel({ draft, onChange, onClose }: Props) {
  const { practice } = draft
  const { reader } = useHand(useLine())
  const asked = recordMonths(draft, dayOf(draft.from, reader.zone))
  const [writing, setWriting] = useState<keyof Permits | null>(null)
  const change = (part: Partial<Practice>) => onChange?.({ ...draft, practice: { ...practice, ...part } })
  const permit = (key: keyof Permits, variance: Variance | null) =>
    change({ permits: { ...practice.permits, [key]: variance } })
  const choice = (
    name: string,
    value: boolean,
    on: string,
    off: string,
    key: 'susceptible' | 'cleanFirst' | 'cookChill' | 'secondPin',
  ) => (
    <>
      <h3 className="title">{name}</h3>
      <div className={styles.setKeys}>
        {[true, false].map((each) => (
          <Key
            key={String(each)}
            look={each === value ? 'primary' : 'plain'}
            aria-pressed={each === value}
            disabled={!onChange}
            onClick={() => change({ [key]: each })}
          >
            {each ? on : off}
          </Key>
        ))}
      </div>
    </>
  )
  const numbers = (
    name: string,
    values: number[],
    value: number,
    key:
      | 'warmMinutes'
      | 'serveMinutes'
      | 'rewarmings'
      | 'nightHours'
      | 'openedDays'
      | 'hotHours'
      | 'freezerAir'
      | 'bakeDays'
      | 'fruitDays',
  ) => (
    <>
      <h3 className="title">{name}</h3>
      <div className={clsx(styles.setKeys, styles.five)}>
        {values.map((each) => (
          <Key
            key={each}
            look={each === value ? 'primary' : 'plain'}
            aria-pressed={each === value}
            disabled={!onChange}
            onClick={() => change({ [key]: each })}
          >
            {String(each).replace('-', '−')}
          </Key>
        ))}
      </div>
    </>
  )
  if (writing && onChange)
    return (
      <WritePermit
        name={permitName(writing, spoken)}
        first={practice.permits[writing] ?? NO_VARIANCE}
        onCancel={() => setWriting(null)}
        onDone={(variance) => {
          permit(writing, variance)
          setWriting(null)
        }}
      />
    )
  return (
    <section className={styles.panel} aria-label={say('howHouseWorks')}>
      <header>
        <h2 className="title">{say('howHouseWorks')}</h2>
        <Key look="outlined" onClick={onClose}>
          {say('close')}
        </Key>
      </header>
      {choice(say('whomServes'), practice.susceptible, say('highlySusceptiblePeople'), say('thePublic'), 'susceptible')}
      {choice(say('afterHeat'), practice.cleanFirst, say('waitsForCleanTick'), say('asksFor'), 'cleanFirst')}
      {choice(say('cookChillWhereRule'), practice.cookChill, say('heldToIt'), say('notHeld'), 'cookChill')}
      {numbers(say('minutesBetween557'), WARM, practice.warmMinutes, 'warmMinutes')}
      {numbers(say('minutesServeWhatServed'), SERVE, practice.serveMinutes, 'serveMinutes')}
      {numbers(say('howOftenProvenBatch'), REWARM, practice.rewarmings, 'rewarmings')}
      <h3 className="title">{say('whoseLastDayPasses')}</h3>
      <div className={styles.setKeys}>
        {(['ready to eat', 'every part'] as const).map((each) => (
          <Key
            key={each}
            look={each === practice.partsPassOn ? 'primary' : 'plain'}
            aria-pressed={each === practice.partsPassOn}
            disabled={!onChange}
            onClick={() => change({ partsPassOn: each })}
          >
            {each === 'ready to eat' ? say('partsNoFloorKills') : say('everyPart')}
          </Key>
        ))}
      </div>
      {numbers(say('hoursBetweenTwoGood'), NIGHT, practice.nightHours, 'nightHours')}
      {numbers(say('daysOpenedPackageKept'), OPENED, practice.openedDays, 'openedDays')}
      {numbers(say('hoursHotFoodServed'), HOT, practice.hotHours, 'hotHours')}
      {numbers(say('airFreezerAtMost'), FREEZER, practice.freezerAir, 'freezerAir')}
      {numbers(say('daysBeforeValidatedBake'), BAKE, practice.bakeDays, 'bakeDays')}
      {numbers(say('daysUntreatedFrozenFruit'), FRUIT, practice.fruitDays, 'fruitDays')}
      <h3 className="title">{say('timesDay')}</h3>
      <div className={styles.setKeys}>
        {([24, 12] as const).map((each) => (
          <Key
            key={each}
            look={each === (practice.clock ?? 24) ? 'primary' : 'plain'}
            aria-pressed={each === (practice.clock ?? 24)}
            disabled={!onChange}
            onClick={() => change({ clock: each })}
          >
            {each === 24 ? '24 h: 23:05' : say('n12H1105')}
          </Key>
        ))}
      </div>
      <h3 className="title">{say('measures')}</h3>
      <div className={styles.setKeys}>
        {MEASURE_SYSTEMS.map((each) => (
          <Key
            key={each}
            look={each === (practice.measures ?? 'metric') ? 'primary' : 'plain'}
            aria-pressed={each === (practice.measures ?? 'metric')}
            disabled={!onChange}
            onClick={() => change({ measures: each })}
          >
            {say(`measures_${each}`)}
          </Key>
        ))}
      </div>
      <h3 className="title">{say('lotsAsked')}</h3>
      <div className={styles.setKeys}>
        {LOTS_ASKED.map((each) => (
          <Key
            key={each}
            look={each === (practice.lots ?? 'nothing') ? 'primary' : 'plain'}
            aria-pressed={each === (practice.lots ?? 'nothing')}
            disabled={!onChange}
            onClick={() => change({ lots: each })}
          >
            {say(`lots_${each}`)}
          </Key>
        ))}
      </div>
      {choice(say('ownLateEntry'), practice.secondPin ?? false, say('secondPinAsked'), say('leadAlone'), 'secondPin')}
      <h3 className="title">{say('monthsKept')}</h3>
      <div className={clsx(styles.setKeys, styles.five)}>
        {MONTHS_KEPT.map((each) => (
          <Key
            key={each}
            look={each === (practice.monthsKept ?? USUAL_MONTHS_KEPT) ? 'primary' : 'plain'}
            aria-pressed={each === (practice.monthsKept ?? USUAL_MONTHS_KEPT)}
            disabled={!onChange || each < (asked ?? 0)}
            onClick={() => change({ monthsKept: each })}
          >
            {String(each)}
          </Key>
        ))}
      </div>
      <p className="muted">{say('monthsKeptWhy', { asked: asked ?? 'none' })}</p>
      <h3 className="title">{say('minutesBeforeLock')}</h3>
      <div className={clsx(styles.setKeys, styles.five)}>
        {[...IDLE, 'never' as const].map((each) => (
          <Key
            key={each}
            look={each === (practice.idleMinutes ?? 'never') ? 'primary' : 'plain'}
            aria-pressed={each === (practice.idleMinutes ?? 'never')}
            disabled={!onChange}
            onClick={() => onChange?.({ ...draft, practice: locking(practice, each) })}
          >
            {each === 'never' ? say('never') : String(each)}
          </Key>
        ))}
      </div>
      <p className="muted">{say('onHeatNotBefore30')}</p>
      <Times practice={practice} onChange={onChange && change} />
      <h3 className="title">{say('writtenPermissions')}</h3>
      {PERMITS.map((key) => {
        const held = practice.permits[key]
        return (
          <div className={styles.printed} key={key}>
            <strong>{permitName(key, spoken)}</strong>
            <p>
              {held
                ? say('toTheEndOf', {
                    authority: held.authority,
                    reference: held.reference,
                    reason: held.reason,
                    day: dayName(held.validUntil, reader),
                  })
                : withoutPermit(key, spoken)}
            </p>
            {onChange && (
              <KeyRow>
                <Key onClick={() => setWriting(key)}>{held ? say('change') : say('attachOne')}</Key>
                {held && (
                  <Key look="outlined" onClick={() => permit(key, null)}>
                    {say('takeAway')}
                  </Key>
                )}
              </KeyRow>
            )}
          </div>
        )
      })}
    </section>
  )
}

/** A house that never locks leaves the minutes out. */
function locking({ idleMinutes: _, ...practice }: Practice, idle: number | 'never'): Practice {
  return idle === 'never' ? practice : { ...practice, idleMinutes: idle }
}

/** When units are looked at, and when the list of what ends at midnight is shown. */
function Times({ practice, onChange }: { practice: Practice; onChange: ((part: Partial<Practice>) => void) | null }) {
  const [rounds, setRounds] = useState(practice.rounds.join(', '))
  const [closing, setClosing] = useState(practice.closing)
  const [wrong, setWrong] = useState<string | null>(null)
  const isTime = (text: string) => /^([01]\d|2[0-3]):[0-5]\d$/.test(text)
  const keep = () => {
    const times = rounds
      .split(',')
      .map((each) => each.trim())
      .filter(Boolean)
      .sort()
    const bad = [...times, closing].find((each) => !isTime(each))
    setWrong(bad === undefined ? null : say('notTimeHoursMinutes', { bad }))
    if (bad === undefined) onChange?.({ rounds: times, closing })
  }
  return (
    <>
      <Field
        label={say('roundsUnitsTimesWith')}
        value={rounds}
        onValue={onChange ? setRounds : undefined}
        onLeave={keep}
      />
      <Field label={say('listWhatEndsAt')} value={closing} onValue={onChange ? setClosing : undefined} onLeave={keep} />
      {wrong && <p role="alert">{wrong}</p>}
    </>
  )
}

function WritePermit({
  name,
  first,
  onCancel,
  onDone,
}: {
  name: string
  first: Variance
  onCancel: () => void
  onDone: (variance: Variance) => void
}) {
  const [variance, setVariance] = useState(first)
  const problem = varianceProblem(variance)
  return (
    <section className={styles.panel} aria-label={name}>
      <h2 className="title">{name}</h2>
      <VarianceFields variance={variance} onChange={setVariance} />
      <p role="status">{problem ?? say('wholeEndsWithIts')}</p>
      <KeyRow>
        <Key look="primary" why={problem} onClick={() => onDone(variance)}>
          {say('intoDraft')}
        </Key>
        <Key look="outlined" onClick={onCancel}>
          {say('notNow')}
        </Key>
      </KeyRow>
    </section>
  )
}
