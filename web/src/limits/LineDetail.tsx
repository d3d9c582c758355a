import { useState } from 'react'
import { judged, isJudged, isLooser, type LimitSet, type Line } from '@logged-thermal/core'
import { forceWord, lineName, ruleWords, sourceOf, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { HouseLineForm } from './HouseLineForm'
import { KeyRow } from '../kit/KeyRow'
import styles from './limits.module.css'

interface Props {
  line: Line
  set: LimitSet
  reader: Reader
  /** The lead may change it: the changed line goes into the draft of the next version. */
  onChange: ((line: Line) => void) | null
  onClose: () => void
}

/** One limit whole: every row, where it is from, what the house adds and why. */
export function LineDetail({ line, set, reader, onChange, onClose }: Props) {
  const [editing, setEditing] = useState(false)
  const { house, variance, published } = line
  const decided = judged[line.key] && published.some(({ rule }) => isJudged(rule))
  if (editing && onChange) {
    return (
      <HouseLineForm
        line={line}
        onCancel={() => setEditing(false)}
        onDone={(changed) => {
          onChange(changed)
          setEditing(false)
        }}
      />
    )
  }
  return (
    <section className={styles.panel} aria-label={lineName(line.key)}>
      <header>
        <h2 className="title">{lineName(line.key)}</h2>
        <Key look="outlined" onClick={onClose}>
          Close
        </Key>
      </header>
      {published.map((limit, i) => (
        <div className={styles.printed} key={i}>
          <strong>{ruleWords(limit.rule, set.unit, reader)}</strong>
          <p>
            {sourceOf(limit)}. {forceWord[limit.force]}, confidence {limit.source.confidence}
            {limit.alternative ? '; only where the house chooses it' : ''}.
          </p>
        </div>
      ))}
      {!judged[line.key] && (
        <p>
          <strong>Printed for people to keep.</strong> This program judges nothing by it: no reading proves it, and none
          denies it.
        </p>
      )}
      <p className="muted">A starting point: check it against the edition in force where you are.</p>
      <h3 className="title">House line</h3>
      {house ? (
        <div className={styles.printed}>
          <strong>{ruleWords(house.rule, set.unit, reader)}</strong>
          <p>
            {isLooser(line) ? 'Looser than printed, by variance' : 'Holds beside what is printed'}. Reason:{' '}
            {house.reason}.
          </p>
          {variance && (
            <p>
              {variance.authority}, {variance.reference}: {variance.reason}. Valid to the end of {variance.validUntil};
              then what is printed returns.
            </p>
          )}
        </div>
      ) : (
        <p>{decided ? 'None: what is printed holds.' : 'Not a limit that readings decide.'}</p>
      )}
      {decided && onChange && (
        <KeyRow>
          <Key look="primary" onClick={() => setEditing(true)}>
            {house ? 'Change the house line' : 'Set a house line'}
          </Key>
          {house && (
            <Key look="outlined" onClick={() => onChange({ ...line, house: null, variance: null })}>
              Take it away
            </Key>
          )}
        </KeyRow>
      )}
    </section>
  )
}
