import { asCooked, type BatchState } from '@logged-thermal/core'
import { clock, deedsOf, logMessages, stepName, type Reader } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import { Link } from 'react-router'
import { speaks, spoken } from '../kit/language'
import styles from './batch.module.css'

const say = speaks(logMessages)

/** The steps of the method that it was begun by; a black bar stands where it was made otherwise. Then all that was done. */
export function Cooked({ batch, reader }: { batch: BatchState; reader: Reader }) {
  const steps = asCooked(batch)
  const others = steps.filter(({ otherwise, leftOut }) => otherwise.length > 0 || leftOut).length
  const notes = batch.facts.noted.filter(({ void: gone, value }) => !gone && value.text !== '')
  const deeds = deedsOf(batch, spoken)
  return (
    <section aria-label={say('asCooked')}>
      <h2 className="title">
        {say('asCooked')}{' '}
        <small>
          <Link to={`/methods/${batch.method.id}`}>{say('version', { version: batch.method.version })}</Link>
        </small>
      </h2>
      <ol className={styles.steps}>
        {steps.map(({ step, began, ended, leftOut, otherwise }) => (
          <li key={step.key} className={clsx((otherwise.length > 0 || leftOut) && styles.otherwise)}>
            <strong>{stepName(step.kind, spoken)}</strong> <span>{when(began, ended, reader)}</span>
            {leftOut && <em> {say('skipped')}</em>}
            {otherwise.map(({ said, at }) => (
              <p key={at}>{said}</p>
            ))}
          </li>
        ))}
      </ol>
      <p className="muted">{others > 0 ? say('notAsWritten', { count: others }) : say('asWritten')}</p>
      {deeds.length > 0 && (
        <>
          <h3 className="title">{say('whatWasDone')}</h3>
          <ul className={styles.deeds}>
            {deeds.map(({ entry, at, words }) => (
              <li key={entry}>
                <b>{clock(at, reader)}</b> {words}
              </li>
            ))}
          </ul>
        </>
      )}
      {notes.length > 0 && (
        <>
          <h3 className="title">{say('notes')}</h3>
          <ul className={styles.deeds}>
            {notes.map(({ entry, at, value }) => (
              <li key={entry}>
                <b>{clock(at, reader)}</b> {value.text}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

function when(began: number | null, ended: number | null, reader: Reader): string {
  const said = [began, ended].flatMap((at) => (at === null ? [] : [clock(at, reader)]))
  return [...new Set(said)].join(' – ')
}
