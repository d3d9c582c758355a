import { FieldError, id, list, object, type Field } from '../../ground/field'
import { timeOfDayIn } from '../../ground/timeOfDay'
import type { OpenDay, Week } from '../../ledger/week'
import { DEPUTIES, isInside } from '../../state/signing'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'week-set': { week: Week }
  }
}

/** As many people answer in one day at most. */
const MOST_TURNS = 12

/** The lead says when the kitchen is open, and who signs in which hours, from now on. */
export const weekSet: KindOf<'week-set'> = {
  kind: 'week-set',
  v: 1,
  about: 'kitchen',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { week } = object(body, ['week'])
    const days = list(week, (day) => (day.value === null ? null : openDay(day)), 7)
    if (days.length !== 7) throw new FieldError(week.path, { code: 'not a list' })
    days.forEach((day, i) => {
      const next = days[(i + 1) % 7]
      // At or before its opening it closes on the day after, which has not begun then.
      if (day && next && day.closes <= day.opens && next.opens < day.closes)
        throw new FieldError(`${week.path}[${i}].closes`, { code: 'not one of', allowed: `up to ${next.opens}` })
    })
    return { week: days }
  },
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, body: { week } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const people = read('kitchen', kitchen)?.people
    const deputies = people?.filter(({ role }) => DEPUTIES.includes(role)).map((each) => each.id)
    const signs = week.flatMap((day) => day?.signs ?? [])
    return deputies && signs.some(({ person }) => !deputies.includes(person))
      ? { code: 'not there', field: 'body.week', what: 'person' }
      : null
  },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, week: body.week }) },
}

function openDay(field: Field): OpenDay {
  const fields = object(field, ['opens', 'closes', 'signs'])
  const hours = { opens: timeOfDayIn(fields.opens), closes: timeOfDayIn(fields.closes) }
  const signs = list(
    fields.signs,
    (each) => {
      const { person, from, until } = object(each, ['person', 'from', 'until'])
      const turn = { person: id(person), from: timeOfDayIn(from), until: timeOfDayIn(until) }
      if (!isInside(hours, turn))
        throw new FieldError(from.path, { code: 'not one of', allowed: `${hours.opens} to ${hours.closes}` })
      return turn
    },
    MOST_TURNS,
  )
  return { ...hours, signs }
}
