import { apply, asFolded, touches, type Entry, type Id, type KitchenState } from '@logged-thermal/core'
import { kitchenOf, type LineData } from './lineData'

/**
 * The kitchen after one more entry, by the same fold as the server's. An entry that was counted already changes
 * nothing; one still on the tablet folds on top.
 */
export function foldLine(line: LineData, entry: Entry): LineData {
  const seq = entry.seal?.seq ?? line.seq
  if (entry.seal && seq <= line.seq) return line
  let next: LineData = { ...line, seq }
  const today = asFolded(entry)
  for (const { type, id } of touches(today.claim, today.seal)) {
    switch (type) {
      case 'batch':
        next = { ...next, batches: put(next.batches, id, (state) => apply.batch(id, state, today)) }
        break
      case 'method':
        next = { ...next, methods: put(next.methods, id, (state) => apply.method(id, state, today)) }
        break
      case 'instrument':
        next = { ...next, instruments: put(next.instruments, id, (state) => apply.instrument(id, state, today)) }
        break
      case 'lot':
        next = { ...next, lots: put(next.lots, id, (state) => apply.lot(id, state, today)) }
        break
      case 'item':
        next = { ...next, items: put(next.items, id, (state) => apply.item(id, state, today)) }
        break
      case 'vessel':
        next = { ...next, vessels: put(next.vessels, id, (state) => apply.vessel(id, state, today)) }
        break
      case 'unit':
        next = { ...next, units: put(next.units, id, (state) => apply.unit(id, state, today)) }
        break
      // Matters are asked for when somebody looks at them.
      case 'matter':
        break
      case 'limits':
        next = { ...next, limits: apply.limits(id, next.limits, today) }
        break
      case 'kitchen':
        next = withKitchen(next, apply.kitchen(id, kitchenOf(next), today))
        break
    }
  }
  return next
}

/** Names are no facts of the logbook; who may do what is. */
function withKitchen(line: LineData, state: KitchenState | null): LineData {
  if (!state) return line
  const { people: roles, named, ...rest } = state
  const kitchen = named ? { ...line.kitchen, ...named } : line.kitchen
  if (!roles || roles === line.roles) return { ...line, ...rest, kitchen, roles }
  const memberOf = new Map(roles.map((member) => [member.id, member]))
  return {
    ...line,
    ...rest,
    kitchen,
    roles,
    people: line.people.map(({ administers: _before, ...one }) => ({
      ...one,
      role: null,
      ...memberOf.get(one.id),
    })),
  }
}

function put<T extends { id: Id }>(list: T[], id: Id, change: (state: T | null) => T | null): T[] {
  const known = list.find((item) => item.id === id) ?? null
  const changed = change(known)
  if (changed === null) return list
  return known ? list.map((item) => (item === known ? changed : item)) : [...list, changed]
}
