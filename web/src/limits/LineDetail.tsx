import { useState } from 'react'
import { judged, isJudged, isLooser, type LimitSet, type Line } from '@logged-thermal/core'
import {
  forceWord,
  lineName,
  ruleWords,
  sourceOf,
  type Reader,
  limitsMessages,
  confidenceWord,
} from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { HouseLineForm } from './HouseLineForm'
import { KeyRow } from '../kit/KeyRow'
import styles from './limits.module.css'
import { speaks } from '../kit/language'

const say = speaks(limitsMessages)

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
    <section className={styles.panel} aria-label={lineName(line.key, reader)}>
      <header>
        <h2 className="title">{lineName(line.key, reader)}</h2>
        <Key look="outlined" onClick={onClose}>
          {say('close')}
        </Key>
      </header>
      {published.map((limit, i) => (
        <div className={styles.printed} key={i}>
          <strong>{ruleWords(limit.rule, set.unit, reader)}</strong>
          <p>
            {say('confidenceOnlyWhereHouse', {
              sourceOf: sourceOf(limit),
              forceWord: forceWord(limit.force, reader),
              confidence: confidenceWord(limit.source.confidence, reader),
              hasAlternative: Boolean(limit.alternative),
            })}
          </p>
        </div>
      ))}
      {!judged[line.key] && (
        <p>
          <strong>{say('printedForPeopleKeep')}</strong> {say('programJudgesNothingBy')}
        </p>
      )}
      <p className="muted">{say('startingPointCheckAgainst')}</p>
      <h3 className="title">{say('houseLine')}</h3>
      {house ? (
        <div className={styles.printed}>
          <strong>{ruleWords(house.rule, set.unit, reader)}</strong>
          <p>{say('looserThanPrintedBy', { isLooser: isLooser(line), reason: house.reason })}</p>
          {variance && (
            <p>
              {say('validEndThenWhat', {
                authority: variance.authority,
                reference: variance.reference,
                reason: variance.reason,
                validUntil: variance.validUntil,
              })}
            </p>
          )}
        </div>
      ) : (
        <p>{decided ? say('noneWhatPrintedHolds') : say('notLimitReadingsDecide')}</p>
      )}
      {decided && onChange && (
        <KeyRow>
          <Key look="primary" onClick={() => setEditing(true)}>
            {house ? say('changeHouseLine') : say('setHouseLine')}
          </Key>
          {house && (
            <Key look="outlined" onClick={() => onChange({ ...line, house: null, variance: null })}>
              {say('takeAway')}
            </Key>
          )}
        </KeyRow>
      )}
    </section>
  )
}
