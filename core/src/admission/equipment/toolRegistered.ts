import { flag, id, nameOf, object, oneOf } from '../../ground/field'
import type { Tool } from '../../ledger/tool'
import { TOOL_KINDS } from '../../recipe/method/tool'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'tool-registered': Tool
  }
}

/** A churn, a sieve, a bag becomes one of the kitchen's, is called otherwise, or is gone. What was in it stays known. */
export const toolRegistered: KindOf<'tool-registered'> = {
  kind: 'tool-registered',
  v: 1,
  about: 'kitchen',
  may: ['chef', 'lead'],
  signed: false,
  parse(body) {
    const { tool, name, kind, gone } = object(body, ['tool', 'name', 'kind', 'gone'])
    return { tool: id(tool), name: nameOf(name, 60), kind: oneOf(kind, TOOL_KINDS), gone: flag(gone) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, kitchen, body }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const there = read('kitchen', kitchen)?.tools.find(({ tool }) => tool === body.tool)
    // A sieve is never a churn: what is asked about it hangs on its kind.
    return there && there.kind !== body.kind ? { code: 'already there', field: 'body.kind', what: 'tool' } : null
  },
  folds: {
    kitchen(state, { claim: { body } }) {
      const there = state.tools.find(({ tool }) => tool === body.tool)
      const others = state.tools.filter((each) => each !== there)
      return { ...state, tools: [...others, { ...body, uses: there?.uses ?? [] }] }
    },
  },
}
