import { list, nameOf, object, text } from '../../ground/field'
import { DAY } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import { MOST_LINES, type ListDone } from '../../ledger/dailyList'
import { enteredAt } from '../../ledger/late'
import { parseDayField } from '../../rules/parseVariance'
import { askedOn } from '../../state/dailyLists'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'list-done': ListDone
  }
}

/** Somebody went through a list of the day: all of it is right, but for the faults that they name. */
export const listDone: KindOf<'list-done'> = {
  kind: 'list-done',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { list: key, day, faults } = object(body, ['list', 'day', 'faults'])
    return {
      list: nameOf(key, 40),
      day: parseDayField(day),
      faults: list(
        faults,
        (fault) => {
          const { line, note } = object(fault, ['line', 'note'])
          return { line: nameOf(line, 40), note: text(note, 300) }
        },
        MOST_LINES,
      ),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, at, body }, read, { zone }) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const lists = read('kitchen', kitchen)?.lists ?? []
    const asked = askedOn(lists, body.day, zone).find((each) => each.list.key === body.list)
    // Of its own day: yesterday's is not gone through today.
    if (!asked || dayOf(at, zone) !== body.day) return { code: 'not there', field: 'body.list', what: 'list' }
    const unknown = body.faults.findIndex(({ line }) => !asked.list.lines.some(({ key }) => key === line))
    return unknown < 0 ? null : { code: 'not there', field: `body.faults[${unknown}].line`, what: 'list' }
  },
  folds: {
    kitchen(state, entry) {
      const { id, at, by, body } = entry.claim
      const list = state.lists.findLast((version) => version.list.key === body.list && version.since <= at)?.list
      const textOf = (line: string) => list?.lines.find(({ key }) => key === line)?.text ?? line
      const faults = body.faults.map(({ line, note }) => ({ text: textOf(line), note }))
      const known = Math.max(at, enteredAt(entry))
      const done = { entry: id, list: body.list, name: list?.name ?? body.list, day: body.day, faults, at, by, known }
      return { ...state, listsDone: [...state.listsDone.filter((each) => known - each.known < KEPT), done] }
    },
  },
}

/** So long a kitchen knows by heart what was gone through, ms. */
const KEPT = 40 * DAY
