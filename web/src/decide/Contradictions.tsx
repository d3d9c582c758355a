import type { BatchState, Contested, Fact, Id, ItemState } from '@logged-thermal/core'
import { contestedWords, decideMessages, type Reader } from '@logged-thermal/wording'
import { useLine } from '../app/kitchen'
import { speaks } from '../kit/language'
import styles from './contradictions.module.css'

const say = speaks(decideMessages)

/** What two tablets entered without hearing of each other and contradicts itself; nothing where all fits together. */
export function Contradictions({
  of,
  facts,
  reader,
}: {
  of: { batch: BatchState } | { item: ItemState }
  facts: readonly Fact<Contested>[]
  reader: Reader
}) {
  const line = useLine()
  const name = (id: Id) => line?.people.find((person) => person.id === id)?.name ?? ''
  if (facts.length === 0) return null
  return (
    <section className={styles.contradictions} aria-label={say('contradictions')}>
      <h3 className="title">{say('contradictions')}</h3>
      <ul>
        {facts.map(({ entry, by, value }) => (
          <li key={entry}>{contestedWords(value, of, name(by), reader)}</li>
        ))}
      </ul>
    </section>
  )
}
