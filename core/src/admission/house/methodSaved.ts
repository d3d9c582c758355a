import type { Method } from '../../recipe/method/method'
import { NOTHING_SIGNED } from '../../recipe/checks/signed'
import type { MethodState } from '../../state/method'
import type { EntryOf, KindOf } from '../guard/kindOf'
import { object } from '../../ground/field'
import { parseMethod } from '../../recipe/method/parseMethod'

declare module '../../ledger/entry' {
  interface Bodies {
    'method-saved': { method: Method }
  }
}

/** A version of a method: a draft until the lead approves it. */
export const methodSaved: KindOf<'method-saved'> = {
  kind: 'method-saved',
  v: 1,
  about: 'method',
  may: ['chef', 'lead'],
  signed: false,
  parse(body) {
    return { method: parseMethod(object(body, ['method']).method) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, body: { method } }, read) {
    if (method.id !== about.id) return { code: 'not there', field: 'body.method.id', what: 'method' }
    const current = read('method', about.id)?.versions.at(-1)?.version ?? 0
    return method.version === current + 1 ? null : { code: 'older version', field: 'body', current }
  },
  begins: {
    method: (entry, id) =>
      versionSaved({ id, versions: [], saved: [], approved: [], signed: NOTHING_SIGNED, plan: null }, entry),
  },
  folds: { method: versionSaved },
}

function versionSaved(state: MethodState, { claim: { by, at, body } }: EntryOf<'method-saved'>): MethodState {
  return { ...state, versions: [...state.versions, body.method], saved: [...state.saved, { by, at }] }
}
