import { nameOf, object, oneOf, id } from '../../ground/field'
import type { TraceBegun } from '../../ledger/traceTry'
import type { Read } from '../../state/state'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'trace-begun': TraceBegun
  }
}

/** Somebody begins to try whether everything of a lot or a thing is found, both ways. It holds nothing. */
export const traceBegun: KindOf<'trace-begun'> = {
  kind: 'trace-begun',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { of, name, code } = object(body, ['of', 'name', 'code'])
    const { type, id: thing } = object(of, ['type', 'id'])
    return {
      of: { type: oneOf(type, ['lot', 'item'] as const), id: id(thing) },
      name: nameOf(name, 120),
      code: nameOf(code, 40),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { of } }) => [of],
  refuse({ about, kitchen, body: { of } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    return called(of, read) ? null : { code: 'not there', field: 'body.of', what: of.type }
  },
  derive: ({ body: { of } }, read) => called(of, read) ?? {},
  folds: {
    kitchen(state, { claim: { id: entry, at, by, body } }) {
      return { ...state, traceTries: [...state.traceTries, { ...body, entry, at, by, ended: null }] }
    },
  },
}

function called(of: TraceBegun['of'], read: Read): Pick<TraceBegun, 'name' | 'code'> | null {
  const found = of.type === 'lot' ? read('lot', of.id) : of.type === 'item' ? read('item', of.id) : null
  return found ? { name: found.name, code: found.code } : null
}
