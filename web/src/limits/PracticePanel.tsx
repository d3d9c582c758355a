import { useState } from 'react'
import { PERMITS, type LimitSet, type Permits, type Practice, type Variance } from '@logged-thermal/core'
import { dayName, permitWord } from '@logged-thermal/wording'
import { Key } from '../parts/Key'
import { VarianceFields, varianceProblem } from './VarianceFields'

const NO_VARIANCE: Variance = { authority: '', reference: '', reason: '', validUntil: '' }
const WARM = [15, 20, 30, 45, 60]
const SERVE = [10, 15, 20, 30, 45]
const REWARM = [0, 1, 2, 3]

interface Props {
  draft: LimitSet
  /** The lead may change it: it goes into the draft of the next version. */
  onChange: ((draft: LimitSet) => void) | null
  onClose: () => void
}

/** How the house works beside its limits, and what it holds a written permission for. */
export function PracticePanel({ draft, onChange, onClose }: Props) {
  const { practice } = draft
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
      <div className="set-keys">
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
  const minutes = (
    name: string,
    values: number[],
    value: number,
    key: 'warmMinutes' | 'serveMinutes' | 'rewarmings',
  ) => (
    <>
      <h3 className="title">{name}</h3>
      <div className="set-keys five">
        {values.map((each) => (
          <Key
            key={each}
            look={each === value ? 'primary' : 'plain'}
            aria-pressed={each === value}
            disabled={!onChange}
            onClick={() => change({ [key]: each })}
          >
            {each}
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
    <section className="limits-panel" aria-label="How the house works">
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
      {minutes('Minutes between 5 and 57 °C before a note is asked for', WARM, practice.warmMinutes, 'warmMinutes')}
      {minutes('Minutes to serve what is served at once', SERVE, practice.serveMinutes, 'serveMinutes')}
      {minutes('How often a proven batch may be melted or baked again', REWARM, practice.rewarmings, 'rewarmings')}
      <h3 className="title">Written permissions</h3>
      {PERMITS.map((key) => {
        const held = practice.permits[key]
        return (
          <div className="printed" key={key}>
            <strong>{permitWord[key].name}</strong>
            <p>
              {held
                ? `${held.authority}, ${held.reference}: ${held.reason}. To the end of ${dayName(held.validUntil)}.`
                : permitWord[key].without}
            </p>
            {onChange && (
              <div className="limits-keys">
                <Key onClick={() => setWriting(key)}>{held ? 'Change' : 'Attach one'}</Key>
                {held && (
                  <Key look="outlined" onClick={() => permit(key, null)}>
                    Take it away
                  </Key>
                )}
              </div>
            )}
          </div>
        )
      })}
    </section>
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
    <section className="limits-panel" aria-label={name}>
      <h2 className="title">{name}</h2>
      <VarianceFields variance={variance} onChange={setVariance} />
      <p role="status">{problem ?? 'Whole: it ends with its last day.'}</p>
      <div className="limits-keys">
        <Key look="primary" disabled={problem !== null} onClick={() => onDone(variance)}>
          Into the draft
        </Key>
        <Key look="outlined" onClick={onCancel}>
          Not now
        </Key>
      </div>
    </section>
  )
}
