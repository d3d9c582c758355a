import { useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import {
  approvedOf,
  dayOf,
  dayOfYear,
  factsOf,
  heldTo,
  limitsAt,
  nextCode,
  scaled,
  type CoolingPlan,
  type Method,
} from '@logged-thermal/core'
import { limitTitle, planWords, sourceLine, startMessages } from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { methodMatches } from '../app/methodMatches'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { AmountPicker } from './AmountPicker'
import { EggTerms } from './EggTerms'
import { RowKey } from '../kit/RowKey'
import { Whole } from '../kit/Whole'
import { clsx } from 'clsx'
import styles from './start.module.css'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(startMessages)

/** Which method, how much, what it will be held to, and Start. The method made last is chosen already. */
export function StartBatch() {
  const line = useLine()
  const now = useNow()
  const navigate = useNavigate()
  const goOn = useGoOn()
  const enter = useEnter()
  const { reader, open } = useHand(line)
  const [wanted, setWanted] = useState('')
  const planned = usePlanned()
  const [chosen, setChosen] = useState<{ id: string; factor: number } | null>(
    planned && { id: planned.method, factor: 1 },
  )
  const all = line ? latestFirst(line) : []
  const methods = all.filter((each) => methodMatches(each, wanted, factsOf(each, findIn(line))))
  const method = all.find(({ id }) => id === chosen?.id) ?? methods[0] ?? all[0]
  const [forSusceptible, setForSusceptible] = useState(false)
  const factor = chosen?.id === method?.id ? (chosen?.factor ?? 1) : 1
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  if (!line || !limits || !method) return <Whole>{say('kitchenNoMethodStart')}</Whole>

  const plan = planned?.method === method.id ? planned.plan : null
  const today = dayOf(now, line.kitchen.zone)
  const signed = line.methods.find(({ id }) => id === method.id)?.signed
  const held = heldTo(method, factor, limits, forSusceptible, today, signed)
  const { checks } = held
  const code = nextCode(line.codes, dayOfYear(today))
  const start = () => {
    const batch = uuid()
    const { vessel } = scaled(method, factor)
    // The very instant the checks were resolved for: a variance or a version may end with the minute.
    enter(
      'batch-started',
      batch,
      { code, ...held, limits: { id: limits.id, version: limits.version }, vessel, factor },
      { at: now },
    )
    if (plan) enter('cooling-planned', batch, plan)
    goOn(`/bench/${batch}`)
  }
  return (
    <View
      place="start"
      sentence={
        <>
          <strong>{say('startBatch')}</strong> {say('lastOneMadeStands')}
        </>
      }
    >
      <div className={styles.start}>
        <div className={styles.list}>
          <Field
            label={say('findMethod')}
            quietly
            value={wanted}
            mode="search"
            placeholder={say('findByNameFamily')}
            onValue={setWanted}
          />
          <div className={styles.methods} role="radiogroup" aria-label={say('whichMethod')}>
            {methods.map(({ id, name, vessel }) => (
              <RowKey
                key={id}
                role="radio"
                aria-checked={id === method.id}
                className={clsx(id === method.id && styles.chosen)}
                onClick={() => setChosen({ id, factor: 1 })}
              >
                {name}
                <small>{vessel.name}</small>
              </RowKey>
            ))}
          </div>
        </div>
        <aside className={styles.side}>
          <h2 className="title">{method.name}</h2>
          <AmountPicker
            key={method.id}
            method={method}
            factor={factor}
            onFactor={(next) => setChosen({ id: method.id, factor: next })}
          />
          {plan && <p role="note">{say('aboutPlanProvesNothing', { planWords: planWords(plan, reader) })}</p>}
          <EggTerms terms={held.terms} forSusceptible={forSusceptible} onSusceptible={setForSusceptible} />
          <ul tabIndex={0} aria-label={say('limits')}>
            {checks
              .filter(({ limit }) => limit.key !== 'rework' && limit.key !== 'rewarmed')
              .map((check) => (
                <li key={check.key}>
                  <strong>{limitTitle(check, reader)}</strong>
                  <small>{sourceLine(check, reader)}</small>
                </li>
              ))}
          </ul>
          <p className="muted">{say('limitsStartingPointCheck')}</p>
          <div className={styles.keys}>
            <Key look="outlined" onClick={() => void navigate('/')}>
              {say('notNow')}
            </Key>
            <Key look="primary" why={shutUnless(open)} onClick={start}>
              {say('startCode', { code })}
            </Key>
          </div>
        </aside>
      </div>
    </View>
  )
}

/** A way to cool that was chosen before the batch is begun. */
function usePlanned(): { method: string; plan: CoolingPlan } | null {
  return useLocation().state as { method: string; plan: CoolingPlan } | null
}

function findIn(line: LineData | null) {
  return (id: string): Method | null => approvedOf(line?.methods.find((state) => state.id === id) ?? null)
}

function latestFirst({ methods, batches }: LineData): Method[] {
  const last = (id: string) =>
    Math.max(0, ...batches.filter(({ method }) => method.id === id).map(({ startedAt }) => startedAt))
  return methods
    .flatMap((state) => approvedOf(state) ?? [])
    .sort((a, b) => last(b.id) - last(a.id) || a.name.localeCompare(b.name))
}
