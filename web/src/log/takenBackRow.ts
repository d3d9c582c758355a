import {
  celsiusOf,
  type Acceptance,
  type Change,
  type Id,
  type SealedEntry,
  type SubjectType,
} from '@logged-thermal/core'
import { changesMessages, clock, degrees, eventWords, type Names, type Reader } from '@logged-thermal/wording'
import type { Changed } from '../app/logAnswers'
import { pageOf } from '../app/pageOf'
import { speaks } from '../kit/language'

const say = speaks(changesMessages)

/** A line of what was late, put right or taken back. */
export interface ChangeRow {
  entry: Id
  madeAt: number
  name: string
  /** The page of what it is about. */
  path: string
  /** What stood before; null: nothing, it came late. */
  before: string | null
  /** What stands after; null: nothing, it was taken back. */
  after: string | null
  reason: string
  by: Id
  stands: Change['stands']
  decided: Acceptance | null
  /** What the lead decides of; null: nothing, it counts at once. */
  change: Changed | null
}

/** A tap on an item or a list, or a look at a unit, that was taken back within minutes. */
export function takenBackRow(
  { entry: { claim }, target }: { entry: SealedEntry; target: SealedEntry },
  names: Names,
  reader: Reader,
): ChangeRow {
  const { type, id } = claim.about
  return {
    entry: claim.id,
    madeAt: claim.at,
    name: type === 'kitchen' ? say('dailyList') : (names.of(id) ?? ''),
    path: PATHS[type] ?? pageOf({ type: 'item', id }),
    before: say('toldAt', { what: struckWords(target, names, reader), time: clock(target.claim.at, reader) }),
    after: null,
    reason: '',
    by: claim.by,
    stands: 'counts',
    decided: null,
    change: null,
  }
}

/** Where that stands which has no page of its own. */
const PATHS: Partial<Record<SubjectType, string>> = { unit: '/store', kitchen: '/lists' }

function struckWords(target: SealedEntry, names: Names, reader: Reader): string {
  const { claim } = target
  if (claim.kind === 'unit-read' || claim.kind === 'item-read') return degrees(celsiusOf(claim.body.typed), reader)
  return eventWords(target, names, reader) ?? say('somethingDone')
}
