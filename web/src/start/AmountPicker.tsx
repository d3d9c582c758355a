import { useState } from 'react'
import { eggGrams, eggsIn, factorOf, ingredientOf, scaled, type Method, type Target } from '@logged-thermal/core'
import { grams, startMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import styles from './start.module.css'
import { speaks } from '../kit/language'

const say = speaks(startMessages)

const FACTORS: [factor: number, said: string][] = [
  [0.5, say('half')],
  [1, say('once')],
  [1.5, '1½'],
  [2, say('twice')],
]

/** How much is made: so many times over, for so many portions, or to use up what is there. */
export function AmountPicker({
  method,
  factor,
  onFactor,
}: {
  method: Method
  factor: number
  onFactor: (factor: number) => void
}) {
  const [wrong, setWrong] = useState<string | null>(null)
  const parts = (['whole', 'yolk', 'white'] as const).filter((part) => eggsIn(method, part) > 0)
  const made = scaled(method, factor)
  const take = (target: Target) => {
    try {
      onFactor(Math.round(factorOf(method, target) * 1e4) / 1e4)
      setWrong(null)
    } catch {
      setWrong(say('noAmountWriteNumber'))
    }
  }
  return (
    <section aria-label={say('howMuch')}>
      <div className={styles.amountKeys} role="group" aria-label={say('howManyTimesOver')}>
        {FACTORS.map(([each, said]) => (
          <Key
            key={each}
            look={each === factor ? 'primary' : 'outlined'}
            onClick={() => take({ kind: 'factor', factor: each })}
          >
            {said}
          </Key>
        ))}
      </div>
      <div className={styles.amountFields}>
        {method.portions !== null && (
          <Count
            name={say('portions')}
            value={made.portions ?? 0}
            onCount={(portions) => take({ kind: 'portions', portions })}
          />
        )}
        {parts.slice(0, 2).map((part) => (
          <Count
            key={part}
            name={say('useUp', { part })}
            value={Math.round((eggsIn(made, part) / eggGrams(part)) * 10) / 10}
            onCount={(count) => take({ kind: 'eggs', part, count })}
          />
        ))}
      </div>
      {wrong && <p role="alert">{wrong}</p>}
      <p className="muted">
        {say('moreCmDeep', {
          amounts: made.amounts
            .slice(0, 4)
            .map((amount) => `${ingredientOf(amount, made)?.name} ${grams(amount.grams ?? 0)}`)
            .join(', '),
          hasAmounts: made.amounts.length > 4,
          fillDepth: Math.round(made.vessel.fillDepth * 1000) / 10,
        })}
      </p>
    </section>
  )
}

function Count({ name, value, onCount }: { name: string; value: number; onCount: (count: number) => void }) {
  const [text, setText] = useState<string | null>(null)
  return (
    <Field
      label={name}
      value={text ?? (value ? String(value) : '')}
      mode="numeric"
      onValue={(typed) => {
        setText(typed)
        if (typed.trim() !== '') onCount(Number(typed.replace(',', '.')))
      }}
      onLeave={() => setText(null)}
    />
  )
}
