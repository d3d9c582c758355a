import { Link } from 'react-router'
import { NEAR, type NearMisses } from '@logged-thermal/core'
import { difference, limitDegreesOf, trendsMessages, type Reader } from '@logged-thermal/wording'
import { pageOf } from '../app/pageOf'
import { speaks } from '../kit/language'
import { valueWords } from './values'
import styles from './trends.module.css'

const say = speaks(trendsMessages)

/** What passed, and hardly: each with the gate that it nearly missed, and the way to it. */
export function Near({ near: { count, latest }, reader }: { near: NearMisses; reader: Reader }) {
  const degrees = difference(NEAR['°C'], reader)
  const minutes = NEAR.min
  return (
    <section aria-label={say('near')} className={styles.near}>
      <h2 className="title">{say('near')}</h2>
      <p>{count === 0 ? say('nearNone', { minutes, degrees }) : say('nearOf', { count, minutes, degrees })}</p>
      {count > latest.length && <p className="muted">{say('nearLatest', { shown: latest.length })}</p>}
      <ul>
        {latest.map(({ id, name, code, celsius, unit, spare }) => (
          <li key={id}>
            <Link to={pageOf({ type: 'batch', id })}>
              {say('nearBy', {
                name,
                code,
                value: valueWords(spare, unit, reader),
                gate: limitDegreesOf(celsius, reader),
              })}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
