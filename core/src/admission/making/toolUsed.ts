import { flag, id, object, text } from '../../ground/field'
import { MINUTE } from '../../ground/instant'
import type { ToolUsed, Traces } from '../../ledger/tool'
import { NEW_KITCHEN } from '../../state/kitchen'
import { withKnown } from '../../judgement/lineage/contents'
import { toolUseOf } from '../../judgement/lineage/carryOver'
import { usedBy } from '../../state/tool'
import { isEntryLate } from '../../ledger/late'
import { throughTools } from '../guard/throughTools'
import { atKnownStep, isRefusal } from '../guard/knownStep'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'tool-used': ToolUsed
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'tool-used': ToolUsed
  }
}

/** Told later than this, washing counts for nothing until the lead accepts it. A house rule. */
const LATE_AFTER = 30 * MINUTE

/** A batch went through a tool of the kitchen, or through none; washed or not since what was in it before. */
export const toolUsed: KindOf<'tool-used'> = {
  kind: 'tool-used',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const found = ['name', 'called', 'left', 'after', 'holds'] as const
    const { step, tool, washed, ...core } = object(body, ['step', 'tool', 'washed', ...found])
    return {
      step: text(step, 40),
      tool: tool.value === null ? null : id(tool),
      washed: flag(washed),
      // What was and is in it needs no parsing: what core finds is taken and not these.
      name: core.name.value as string,
      called: core.called.value as string,
      left: core.left.value as Traces,
      after: core.after.value as string | null,
      holds: core.holds.value as Traces,
    }
  },
  writes: ({ about, kitchen }) => [about, { type: 'kitchen', id: kitchen }],
  reads: () => [],
  readsThen: ({ kitchen }, read) => throughTools(kitchen, read),
  refuse(claim, read) {
    const { step, tool } = claim.body
    const batch = atKnownStep(claim, step, read)
    if (isRefusal(batch)) return batch
    const known = tool === null || read('kitchen', claim.kitchen)?.tools.some((each) => each.tool === tool)
    return known ? null : { code: 'not there', field: 'body.tool', what: 'tool' }
  },
  derive({ about, at, kitchen, body }, read, { now = at }) {
    const { tools, ingredients } = read('kitchen', kitchen) ?? NEW_KITCHEN
    const known = now - at > LATE_AFTER ? now : null
    const batch = withKnown(read('batch', about.id)!, ingredients)
    return toolUseOf(batch, body, tools, (of) => read('batch', of), at, known)
  },
  lateAfter: LATE_AFTER,
  fact: asEntered,
  folds: {
    kitchen(state, entry) {
      const { id: of, about, at, body } = entry.claim
      const use = {
        entry: of,
        batch: about.id,
        called: body.called,
        at,
        washed: body.washed && !isEntryLate(entry, at),
        holds: body.holds,
      }
      return { ...state, tools: state.tools.map((each) => (each.tool === body.tool ? usedBy(each, use) : each)) }
    },
  },
}
