import { canonical } from '../../ground/canonical'
import { DAY } from '../../ground/instant'
import { FieldError, list, nameOf, object, text, whole, type Field } from '../../ground/field'
import { timeOfDayIn } from '../../ground/timeOfDay'
import { MOST_LINES, MOST_LISTS, type DailyList } from '../../ledger/dailyList'
import { knownAt } from '../../ledger/late'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'lists-set': { lists: DailyList[] }
  }
}

/** The lead says which lists the house goes through, on which days and by when: from now on, never for what is past. */
export const listsSet: KindOf<'lists-set'> = {
  kind: 'lists-set',
  v: 1,
  about: 'kitchen',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { lists } = object(body, ['lists'])
    return { lists: keyed(lists, parseList, MOST_LISTS) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about, kitchen }) =>
    about.id === kitchen ? null : { code: 'not there', field: 'about.id', what: 'kitchen' },
  folds: {
    kitchen(state, entry) {
      const { body } = entry.claim
      // From when the kitchen knows of it: dated back it would take away what was missed since.
      const at = Math.max(entry.claim.at, knownAt(entry))
      const goesOn = (one: DailyList) =>
        state.lists.some(({ list: there, until }) => until === null && canonical(there) === canonical(one))
      const ended = state.lists.map((version) => {
        const stays = body.lists.some((one) => canonical(one) === canonical(version.list))
        return version.until === null && !stays ? { ...version, until: at } : version
      })
      const begun = body.lists.filter((one) => !goesOn(one)).map((one) => ({ list: one, since: at, until: null }))
      const known = ended.filter(({ until }) => until === null || at - until < KEPT)
      return { ...state, lists: [...known, ...begun] }
    },
  },
}

/** What is no longer asked for a kitchen knows by heart for so long, ms. */
const KEPT = 40 * DAY

function parseList(field: Field): DailyList {
  const { key, name, days, by, lines } = object(field, ['key', 'name', 'days', 'by', 'lines'])
  const on = [...new Set(list(days, (day) => whole(day, 0, 6), 7))].sort((a, b) => a - b)
  if (on.length === 0) throw new FieldError(days.path, { code: 'not a list' })
  const asked = keyed(
    lines,
    (line) => {
      const said = object(line, ['key', 'text'])
      return { key: nameOf(said.key, 40), text: text(said.text, 160) }
    },
    MOST_LINES,
  )
  if (asked.length === 0) throw new FieldError(lines.path, { code: 'not a list' })
  return { key: nameOf(key, 40), name: nameOf(name, 60), days: on, by: timeOfDayIn(by), lines: asked }
}

/** A list in which no two share a key. */
function keyed<T extends { key: string }>(field: Field, each: (field: Field) => T, most: number): T[] {
  const found = list(field, each, most)
  const double = found.findIndex(({ key }, i) => found.findIndex((other) => other.key === key) < i)
  if (double >= 0) throw new FieldError(`${field.path}[${double}].key`, { code: 'not one of', allowed: 'another key' })
  return found
}
