import { limitChanges, type LimitChange, type LimitSet, type LimitsState, dayOf } from '@logged-thermal/core'
import { timeOfDay, dayName, lineName, ruleWords, type Reader, practiceSentence } from '@logged-thermal/wording'
import type { PersonOnList } from '../app/lineData'
import { Key } from '../kit/Key'
import styles from './limits.module.css'

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
    <section className={styles.panel} aria-label="Versions">
      <header>
        <h2 className="title">Versions</h2>
        <Key look="outlined" onClick={onClose}>
          Close
        </Key>
      </header>
      <ol className={styles.versions}>
        {versions.reverse().map(({ set, before, signed }) => (
          <li key={set.version}>
            <strong>
              Version {set.version}
              {set.from > now ? ', not in force yet' : ''}
            </strong>
            <p>
              {set.ruleSet.name}, judged in {set.unit === 'stricter' ? 'the stricter of both units' : `°${set.unit}`},
              from {dayName(dayOf(set.from, reader.zone), reader)} {timeOfDay(set.from, reader)}. Signed by{' '}
              {people.find(({ id }) => id === signed?.by)?.name ?? 'somebody'}.
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
      return `Rule set: ${after.ruleSet.name}.`
    case 'unit':
      return after.unit === 'stricter' ? 'The stricter of both units decides.' : `°${after.unit} decides.`
    case 'guard':
      return after.guard === 'none' ? 'The tolerance is not taken off.' : "The thermometer's tolerance is taken off."
    case 'practice':
      return practiceSentence(after.practice)
    case 'house line':
      return key && line?.house
        ? `${lineName(key)}: ${ruleWords(line.house.rule, after.unit, reader)}. ${line.house.reason}.`
        : `${key ? lineName(key) : ''}: no line of the house's any more.`
    case 'variance':
      return key && line?.variance
        ? `${lineName(key)}: variance ${line.variance.reference} until ${line.variance.validUntil}.`
        : `${key ? lineName(key) : ''}: no variance any more.`
  }
}
