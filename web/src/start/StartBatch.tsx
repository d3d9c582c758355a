import ButtonBase from '@mui/material/ButtonBase'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { checksFor, dayOf, dayOfYear, limitsAt, methodRef, nextCode, type Method } from '@logged-thermal/core'
import { limitTitle, sourceLine } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Header } from '../app/Header'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { Key } from '../parts/Key'
import './start.css'

/** Which method, what it will be held to, and Start. The method made last is chosen already. */
export function StartBatch() {
  const line = useLine()
  const now = useNow()
  const navigate = useNavigate()
  const enter = useEnter()
  const { reader, open } = useHand(line)
  const methods = line ? latestFirst(line) : []
  const [chosen, setChosen] = useState<string | null>(null)
  const method = methods.find(({ id }) => id === chosen) ?? methods[0]
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  if (!line || !limits || !method) return <p className="whole">This kitchen has no method to start yet.</p>

  const today = dayOf(now, line.kitchen.zone)
  const checks = checksFor(method, limits, today)
  const code = nextCode(line.codes, dayOfYear(today))
  const start = () => {
    const batch = uuid()
    const body = {
      code,
      method: methodRef(method),
      limits: { id: limits.id, version: limits.version },
      checks,
      vessel: method.vessel,
    }
    // The very instant the checks were resolved for: a variance or a version may end with the minute.
    enter('batch-started', batch, body, { at: now })
    void navigate(`/bench/${batch}`)
  }
  return (
    <main className="view">
      <Header>
        <h1>
          <strong>Start a batch.</strong> The last one made stands first.
        </h1>
      </Header>
      <div className="start">
        <div className="start-methods" role="radiogroup" aria-label="Which method">
          {methods.map(({ id, name, vessel }) => (
            <ButtonBase
              key={id}
              role="radio"
              aria-checked={id === method.id}
              className={id === method.id ? 'chosen' : ''}
              onClick={() => setChosen(id)}
            >
              {name}
              <small>{vessel.name}</small>
            </ButtonBase>
          ))}
        </div>
        <aside className="start-side">
          <h2 className="title">{method.name} is held to</h2>
          <ul tabIndex={0} aria-label="Limits">
            {checks
              .filter(({ limit }) => limit.key !== 'rework')
              .map((check) => (
                <li key={check.key}>
                  <strong>{limitTitle(check, reader)}</strong>
                  <small>{sourceLine(check)}</small>
                </li>
              ))}
          </ul>
          <p className="muted">Limits are a starting point: check them against the edition in force where you are.</p>
          <Key look="primary" disabled={!open} onClick={start}>
            Start {code}
          </Key>
          <Key look="outlined" onClick={() => void navigate('/')}>
            Not now
          </Key>
        </aside>
      </div>
    </main>
  )
}

function latestFirst({ methods, batches }: LineData): Method[] {
  const last = (id: string) =>
    Math.max(0, ...batches.filter(({ method }) => method.id === id).map(({ startedAt }) => startedAt))
  return [...methods].sort((a, b) => last(b.id) - last(a.id) || a.name.localeCompare(b.name))
}
