import { withItemFact } from '../../state/itemChanges'
import { object, text } from '../../ground/field'
import { isOfItsBatch } from '../../state/item'
import { itemStanding } from '../../judgement/keeping/itemStanding'
import { lineageBars } from '../../judgement/lineage/lineageBars'
import { releaseBar } from '../../judgement/lineage/cleared'
import { ASSESSMENT_LENGTH } from '../../judgement/batch/disposition'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'
import { aroundItem, storeOf } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-released': { reason: string }
  }
}

/**
 * The lead looked at an item and lets it go on: held, not proven, or warm for a time that no law forbids. What is past
 * its day or proven too long too warm is not released by any reason, nor what was made of a batch that none releases.
 */
export const itemReleased: KindOf<'item-released'> = {
  kind: 'item-released',
  v: 1,
  about: 'item',
  ...BY_THE_LEAD,
  parse: (body) => ({ reason: text(object(body, ['reason']).reason, 300) }),
  writes: ({ about }) => [about],
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  resolve({ about, at }, read, world) {
    const item = read('item', about.id)
    const around = item && storeOf(item, read, world, at)
    if (!around?.ancestry.further) return null
    const bars = lineageBars(item!, around.ancestry.further, world.zone, at)
    return { answers: bars.map(({ type, id }) => `${type} ${id}`) }
  },
  refuse(claim, read, world) {
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    const around = storeOf(item, read, world, claim.at)
    if (!around) return { code: 'not there', field: 'kitchen', what: 'limits' }
    const { asks, why } = itemStanding(item, around.store, claim.at)
    if (asks === 'discard')
      return { code: 'item shut', field: 'about.id', item: item.code, why: { code: 'to discard', why } }
    if (why === 'recalled') return { code: 'recall stands', field: 'about.id', item: item.code }
    const { batch } = around.ancestry
    const bar = isOfItsBatch(item) && batch ? releaseBar(batch, world.zone, claim.at) : null
    if (bar) return { code: 'decision shut', field: 'body.decision', decision: 'release', why: bar }
    const { further } = around.ancestry
    const bars = further ? lineageBars(item, further, world.zone, claim.at) : []
    const fast = bars.find(({ why: of }) => of !== 'not proven' && of !== 'lot not accepted')
    if (fast)
      return {
        code: 'item shut',
        field: 'about.id',
        item: item.code,
        why: { code: 'lineage', what: fast.why, of: fast.code },
      }
    return claim.body.reason.trim().length < ASSESSMENT_LENGTH ? { code: 'reason short', field: 'body.reason' } : null
  },
  folds: {
    item: (state, entry) => {
      const { claim, seal } = entry
      const answers = seal?.resolved?.answers
      const hold = { held: false, reason: claim.body.reason, recall: null, ...(answers ? { answers } : {}) }
      return withItemFact(state, 'holds', entry, hold)
    },
  },
}
