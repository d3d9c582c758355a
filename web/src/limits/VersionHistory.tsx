import { limitChanges, type LimitChange, type LimitSet, type LimitsState, dayOf } from '@logged-thermal/core'
import {
  timeOfDay,
  dayName,
  lineName,
  ruleWords,
  type Reader,
  practiceSentence,
  limitsMessages,
} from '@logged-thermal/wording'
import type { PersonOnList } from '../app/lineData'
import { Key } from '../kit/Key'
import styles from './limits.module.css'
import { speaks } from '../kit/language'

const say = speaks(limitsMessages)

/** Every version that was ever in force, newest first: from when, by whom, and what it changed. */
export function VersionHistory({
  state,
  people,
  reader,
  now,
  onClose,
}: {
  state: LimitsState
  people: PersonOnList[]
  reader: Reader
  now: number
  onClose: () => void
}) {
  const versions = state.versions.map((set, i) => ({
    set,
    before: state.versions[i - 1] ?? null,
    signed: state.signed[i],
  }))
  return (
    <section className={styles.panel} aria-label={say('versions')}>
      <header>
        <h2 className="title">{say('versions')}</h2>
        <Key look="outlined" onClick={onClose}>
          {say('close')}
        </Key>
      </header>
      <ol className={styles.versions}>
        {versions.reverse().map(({ set, before, signed }) => (
          <li key={set.version}>
            <strong>{say('versionNotForceYet', { version: set.version, hasFrom: set.from > now })}</strong>
            <p>
              {say('judgedStricterBothUnits', {
                ruleSet: set.ruleSet.name,
                unit: set.unit,
                isStricter: set.unit === 'stricter',
                day: dayName(dayOf(set.from, reader.zone), reader),
                time: timeOfDay(set.from, reader),
                people: people.find(({ id }) => id === signed?.by)?.name ?? say('somebody'),
              })}
            </p>
            {before &&
              limitChanges(before, set).map((change) => (
                <p key={`${change.what} ${change.line ?? ''}`}>{changeWords(change, set, reader)}</p>
              ))}
          </li>
        ))}
      </ol>
    </section>
  )
}

/** What a version changes, in one sentence. */
export function changeWords({ what, line: key }: LimitChange, after: LimitSet, reader: Reader): string {
  const line = after.lines.find((each) => each.key === key)
  switch (what) {
    case 'rule set':
      return say('ruleSet', { ruleSet: after.ruleSet.name })
    case 'unit':
      return after.unit === 'stricter' ? say('stricterBothUnitsDecides') : say('decidesUnit2', { unit: after.unit })
    case 'guard':
      return after.guard === 'none' ? say('toleranceNotTakenOff') : say('thermometersToleranceTakenOff')
    case 'practice':
      return practiceSentence(after.practice, reader)
    case 'house line':
      return key && line?.house
        ? `${lineName(key, reader)}: ${ruleWords(line.house.rule, after.unit, reader)}. ${line.house.reason}.`
        : say('noLineHousesAny', { value: key ? lineName(key, reader) : '' })
    case 'variance':
      return key && line?.variance
        ? say('varianceUntil', {
            lineName: lineName(key, reader),
            reference: line.variance.reference,
            validUntil: line.variance.validUntil,
          })
        : say('noVarianceAnyMore', { value: key ? lineName(key, reader) : '' })
  }
}
