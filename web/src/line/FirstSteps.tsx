import { clsx } from 'clsx'
import { Link } from 'react-router'
import { approvedOf, type InstrumentState } from '@logged-thermal/core'
import { firstStepsMessages } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'
import styles from './firstSteps.module.css'

const say = speaks(firstStepsMessages)

interface Step {
  key: 'probe' | 'check' | 'method' | 'people' | 'hours' | 'units' | 'vessels'
  path: string
  done: boolean
}

/** What a new kitchen still lacks, on its Line until it is there: first what the first batch needs, then what can wait. */
export function FirstSteps({ line }: { line: LineData }) {
  const needed: Step[] = [
    { key: 'probe', path: '/instruments', done: line.instruments.some(({ kind }) => kind === 'probe') },
    { key: 'check', path: '/instruments', done: line.instruments.some(isChecked) },
    { key: 'method', path: '/methods', done: line.methods.some((method) => approvedOf(method) !== null) },
  ]
  const later: Step[] = [
    { key: 'people', path: '/people', done: line.people.filter(({ role }) => role !== null).length > 1 },
    { key: 'hours', path: '/hours', done: line.week !== null },
    { key: 'units', path: '/cooldown', done: line.units.length > 0 },
    { key: 'vessels', path: '/cooldown', done: line.vessels.length > 0 },
  ]
  if ([...needed, ...later].every(({ done }) => done)) return null
  return (
    <section className={styles.steps} aria-label={say('firstSteps')}>
      <Steps title={say('beforeFirst')} steps={needed} />
      <Steps title={say('wheneverTime')} steps={later} />
    </section>
  )
}

/** A probe that passed a check, or that none is asked of. */
function isChecked({ kind, checks, history }: InstrumentState): boolean {
  return kind === 'probe' && (checks === 'not asked' || history.some(({ passed }) => passed))
}

function Steps({ title, steps }: { title: string; steps: readonly Step[] }) {
  return (
    <div>
      <h2 className="title">{title}</h2>
      <ol>
        {steps.map(({ key, path, done }) => (
          <li key={key} className={clsx(done && styles.done)}>
            <Link to={path}>
              <strong>{say(key)}</strong>
              <small>{done ? say('isThere') : say(`${key}Says`)}</small>
            </Link>
          </li>
        ))}
      </ol>
    </div>
  )
}
