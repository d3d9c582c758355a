import { Link } from 'react-router'
import { unfitness } from '@logged-thermal/core'
import { clock, fitnessMessages, fitnessSource, fitnessUntil, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import type { Handled, UnfitPerson } from './fitnessApi'
import styles from './fitness.module.css'

const say = speaks(fitnessMessages)

export interface Rules {
  ruleSet: string
  susceptible: boolean
}

interface Props {
  of: UnfitPerson
  name: string
  rules: Rules
  reader: Reader
  onAct: (act: 'tell' | 'back' | 'forget') => void
}

/** One person: from what they stay, until when, and what they had in hand since it began. */
export function UnfitCard({ of, name, rules: { ruleSet, susceptible }, reader, onAct }: Props) {
  const { onset, back, handled } = of
  const asked = unfitness(of, ruleSet, susceptible)
  return (
    <section className={styles.card} aria-label={name}>
      <header>
        <h2 className="title">{name}</h2>
        <strong>
          {back
            ? say('backAt', { time: clock(back.at, reader) })
            : `${say(`keeps_${asked.keeps}`)} ${say('keptSince', { time: clock(onset, reader) })}`}
        </strong>
      </header>
      {!back && (
        <>
          <ul className={styles.rules}>
            {asked.rules.map(({ symptom, rule }) => (
              <li key={symptom}>
                {fitnessUntil(symptom, rule, reader)} <small>{fitnessSource(rule, reader)}</small>
              </li>
            ))}
          </ul>
          {(asked.backFrom === null || asked.backFrom > onset) && (
            <p>
              {asked.backFrom === null ? say('notFreeYet') : say('earliest', { time: clock(asked.backFrom, reader) })}
            </p>
          )}
        </>
      )}
      <h3>{say('inHand')}</h3>
      {handled.length === 0 && <p>{say('nothingInHand')}</p>}
      <Hands title={say('notHeated')} of={handled.filter(({ heatedAfter }) => !heatedAfter)} reader={reader} />
      <Hands title={say('heated')} of={handled.filter(({ heatedAfter }) => heatedAfter)} reader={reader} />
      {handled.some(({ heatedAfter }) => heatedAfter) && <p className="muted">{say('heatedSays')}</p>}
      {handled.length > 0 && <p className="muted">{say('whoLogs')}</p>}
      <KeyRow>
        {back ? (
          <Key look="outlined" onClick={() => onAct('forget')}>
            {say('forgetKey')}
          </Key>
        ) : (
          <>
            <Key look="outlined" onClick={() => onAct('tell')}>
              {say('changeKey')}
            </Key>
            <Key look="outlined" onClick={() => onAct('back')}>
              {say('backKey')}
            </Key>
          </>
        )}
      </KeyRow>
    </section>
  )
}

/** Things that were in hand, each the way to where it is and can be held. */
function Hands({ title, of, reader }: { title: string; of: readonly Handled[]; reader: Reader }) {
  if (of.length === 0) return null
  return (
    <>
      <h4>{title}</h4>
      <ul className={styles.hands}>
        {of.map(({ type, id, code, name, first, last, left }) => (
          <li key={id}>
            <Link to={`/store/lineage/${type}/${id}`} aria-label={say('follow', { name: `${name} ${code}` })}>
              {name} <b>{code}</b>
            </Link>
            <span>{say('handled', { first: clock(first, reader), last: clock(last, reader) })}</span>
            {left.length > 0 && (
              <small>{say('stillHeld', { items: left.map((item) => `${item.name} ${item.code}`).join(', ') })}</small>
            )}
          </li>
        ))}
      </ul>
    </>
  )
}
