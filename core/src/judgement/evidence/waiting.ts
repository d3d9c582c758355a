import type { Instant } from '../../ground/instant'
import type { Hash, Id } from '../../ledger/subject'
import type { Typed } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { isWaiting, valid, type Fact } from '../../state/fact'

/** An entry about a batch that was known too late, and that the lead has not looked at. */
export interface WaitingEntry {
  entry: Id
  what: 'reading' | 'file' | 'mark' | 'addition' | 'eggs' | 'place' | 'correction' | 'taken back' | 'other'
  /** Of a reading, or of what a correction would put in its place. */
  typed: Typed | null
  /** The picture of the sheet that a reading was copied from; null: it was not. */
  paper: Hash | null
  /** The file that readings came out of; left out: none. */
  file?: string
  at: Instant
  knownAt: Instant
}

/** What was known too late about a batch, as it was told: late readings, marks and moves, and late corrections of them. */
export function waitingIn(batch: BatchState): WaitingEntry[] {
  const {
    facts: {
      'reading-taken': readings,
      'step-marked': marks,
      added: additions,
      'eggs-taken': eggs,
      placed: placements,
      poured: pourings,
      stirred: stirrings,
      rewarmed,
      'acidity-measured': acidities,
    },
  } = batch
  const others: Fact<unknown>[] = [...pourings, ...stirrings, ...rewarmed, ...acidities]
  const byHand = readings.filter(({ value }) => value.file === undefined)
  // All that one file brought in waits as one.
  const files = new Map(readings.filter(({ value }) => value.file !== undefined).map((fact) => [fact.entry, fact]))
  return [
    ...of(byHand, 'reading', ({ value: { typed, paper = null } }) => ({ typed, paper })),
    ...of([...files.values()], 'file', ({ value: { file } }) => ({ typed: null, paper: null, file: file!.name })),
    ...of(marks, 'mark'),
    ...of(additions, 'addition'),
    ...of(eggs, 'eggs'),
    ...of(placements, 'place'),
    ...of(others, 'other'),
  ].sort((a, b) => a.at - b.at)
}

function of<T>(
  facts: readonly Fact<T>[],
  what: WaitingEntry['what'],
  read: (fact: { value: T }) => Pick<WaitingEntry, 'typed' | 'paper' | 'file'> = () => ({ typed: null, paper: null }),
): WaitingEntry[] {
  return valid(facts).flatMap((fact): WaitingEntry[] => [
    ...(isWaiting(fact) && !fact.refused
      ? [{ entry: fact.entry, what, ...read(fact), at: fact.at, knownAt: fact.knownAt }]
      : []),
    ...fact.waiting
      .filter(({ refused }) => !refused)
      .map(({ entry, now, madeAt }): WaitingEntry => {
        const told = now === 'void' ? null : now
        return {
          entry,
          what: told ? 'correction' : 'taken back',
          ...read(told ?? fact),
          at: told?.at ?? fact.at,
          knownAt: madeAt,
        }
      }),
  ])
}
