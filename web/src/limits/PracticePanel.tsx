import { useState } from 'react'
import { PERMITS, type LimitSet, type Permits, type Practice, type Variance } from '@logged-thermal/core'
import { dayName, permitWord } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { VarianceFields, varianceProblem } from './VarianceFields'
import { KeyRow } from '../kit/KeyRow'
import { clsx } from 'clsx'
import styles from './limits.module.css'

const NO_VARIANCE: Variance = { authority: '', reference: '', reason: '', validUntil: '' }
const WARM = [15, 20, 30, 45, 60]
const SERVE = [10, 15, 20, 30, 45]
const REWARM = [0, 1, 2, 3]
const NIGHT = [6, 8, 10, 12, 14]
const FRUIT = [1, 2, 3]
const BAKE = [30, 90, 180, 365]
const OPENED = [1, 2, 3, 4, 5]
const HOT = [1, 2, 3, 4, 6]
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
  const [writing, setWriting] = useState<keyof Permits | null>(null)
  const change = (part: Partial<Practice>) => onChange?.({ ...draft, practice: { ...practice, ...part } })
  const permit = (key: keyof Permits, variance: Variance | null) =>
    change({ permits: { ...practice.permits, [key]: variance } })
  const choice = (
    name: string,
    value: boolean,
    on: string,
    off: string,
    key: 'susceptible' | 'cleanFirst' | 'cookChill',
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
        name={permitWord[writing].name}
        first={practice.permits[writing] ?? NO_VARIANCE}
        onCancel={() => setWriting(null)}
        onDone={(variance) => {
          permit(writing, variance)
          setWriting(null)
        }}
      />
    )
  return (
    <section className={styles.panel} aria-label="How the house works">
      <header>
        <h2 className="title">How the house works</h2>
        <Key look="outlined" onClick={onClose}>
          Close
        </Key>
      </header>
      {choice('Whom it serves', practice.susceptible, 'Highly susceptible people', 'The public', 'susceptible')}
      {choice('After the heat', practice.cleanFirst, 'Waits for the clean tick', 'Asks for it', 'cleanFirst')}
      {choice(
        'Cook-chill, where the rule set prints its line',
        practice.cookChill,
        'Held to it',
        'Not held to it',
        'cookChill',
      )}
      {numbers('Minutes between 5 and 57 °C before a note is asked for', WARM, practice.warmMinutes, 'warmMinutes')}
      {numbers('Minutes to serve what is served at once', SERVE, practice.serveMinutes, 'serveMinutes')}
      {numbers('How often a proven batch may be melted or baked again', REWARM, practice.rewarmings, 'rewarmings')}
      <h3 className="title">Whose last day passes on to what they go into</h3>
      <div className={styles.setKeys}>
        {(['ready to eat', 'every part'] as const).map((each) => (
          <Key
            key={each}
            look={each === practice.partsPassOn ? 'primary' : 'plain'}
            aria-pressed={each === practice.partsPassOn}
            disabled={!onChange}
            onClick={() => change({ partsPassOn: each })}
          >
            {each === 'ready to eat' ? 'Parts no floor kills after' : 'Every part'}
          </Key>
        ))}
      </div>
      {numbers('Hours between two good looks at a unit that are normal', NIGHT, practice.nightHours, 'nightHours')}
      {numbers('Days an opened package is kept, where no limit says less', OPENED, practice.openedDays, 'openedDays')}
      {numbers('Hours hot food is served within', HOT, practice.hotHours, 'hotHours')}
      {numbers('Air of a freezer at most, °C', FREEZER, practice.freezerAir, 'freezerAir')}
      {numbers('Days before a validated bake is shown again', BAKE, practice.bakeDays, 'bakeDays')}
      {numbers('Days untreated frozen fruit is kept that nothing boils', FRUIT, practice.fruitDays, 'fruitDays')}
      <h3 className="title">Times of day</h3>
      <div className={styles.setKeys}>
        {([24, 12] as const).map((each) => (
          <Key
            key={each}
            look={each === (practice.clock ?? 24) ? 'primary' : 'plain'}
            aria-pressed={each === (practice.clock ?? 24)}
            disabled={!onChange}
            onClick={() => change({ clock: each })}
          >
            {each === 24 ? '24 h: 23:05' : '12 h: 11:05 pm'}
          </Key>
        ))}
      </div>
      <Times practice={practice} onChange={onChange && change} />
      <h3 className="title">Written permissions</h3>
      {PERMITS.map((key) => {
        const held = practice.permits[key]
        return (
          <div className={styles.printed} key={key}>
            <strong>{permitWord[key].name}</strong>
            <p>
              {held
                ? `${held.authority}, ${held.reference}: ${held.reason}. To the end of ${dayName(held.validUntil, reader)}.`
                : permitWord[key].without}
            </p>
            {onChange && (
              <KeyRow>
                <Key onClick={() => setWriting(key)}>{held ? 'Change' : 'Attach one'}</Key>
                {held && (
                  <Key look="outlined" onClick={() => permit(key, null)}>
                    Take it away
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
    setWrong(bad === undefined ? null : `"${bad}" is not a time: hours and minutes, as 07:30.`)
    if (bad === undefined) onChange?.({ rounds: times, closing })
  }
  return (
    <>
      <Field
        label="Rounds of the units, times with commas"
        value={rounds}
        onValue={onChange ? setRounds : undefined}
        onLeave={keep}
      />
      <Field
        label="The list of what ends at midnight, from"
        value={closing}
        onValue={onChange ? setClosing : undefined}
        onLeave={keep}
      />
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
      <p role="status">{problem ?? 'Whole: it ends with its last day.'}</p>
      <KeyRow>
        <Key look="primary" disabled={problem !== null} onClick={() => onDone(variance)}>
          Into the draft
        </Key>
        <Key look="outlined" onClick={onCancel}>
          Not now
        </Key>
      </KeyRow>
    </section>
  )
}
