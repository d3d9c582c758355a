import type { Bodies } from '../ledger/entry'
import type { MoveHow } from '../ledger/storeEntries'
import { inheritedOf } from '../state/newItem'
import { dispatchesOf, itemLeft, tapsOf } from '../state/item'
import type { History } from './history'
import { leftOverOf } from '../judgement/eggs/eggLedger'
import { nextSplitCode } from '../ground/itemCode'
import { DOZENS, WHY, type Act } from './history'
import { custard, FREEZER, FRIDGE, idOf, PROBE } from './kitchenStory'

/** What becomes of what was put away. */

const NOTHING = { note: null, measure: null, grams: null, cost: null }

const moved =
  (how: MoveHow, unit: string | null = null): Act =>
  (history, deed) => {
    const item = history.item(deed)
    if (item) history.post('item-moved', item.id, deed, { how, unit, shelf: unit === null ? null : 1 })
  }

const used =
  (more: Partial<Bodies['item-used']> = {}): Act =>
  (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    history.post('item-used', item.id, deed, { measure: { value: 10, unit: 'g' }, then: 'sold', ...more })
    return 'betters nothing'
  }

const part =
  (more: Partial<Bodies['part-used']> = {}): Act =>
  (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    const body = history.story.part(item.id, history.pots[1 - deed.pot]!, history.now, 'hold')
    history.post('part-used', item.id, deed, { ...body, ...more })
    return 'betters nothing'
  }

const sentOut =
  (more: Partial<Bodies['item-dispatched']> = {}): Act =>
  (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    const typed = { value: Math.round(deed.b * 80) / 10, unit: 'C' as const }
    const to = deed.b < 0.3 ? ('care home' as const) : ('customer' as const)
    const box = { box: 'box 2', vehicle: null, name: 'The Lantern tearoom' }
    const measure = { value: 50, unit: item.measure.unit }
    history.post('item-dispatched', item.id, deed, { measure, to, typed, instrument: PROBE, ...box, ...more })
    return 'betters nothing'
  }

const finished =
  (more: Parameters<History['story']['finish']>[3] = {}): Act =>
  (history, deed) => {
    const [base, on] = [history.item(deed), history.item({ ...deed, a: deed.b })]
    if (!base || !on || itemLeft(base).value === 0) return
    const nuts = { ingredient: 'pistachio' }
    const good = { good: true, why: null }
    const { into, posted } = history.story.finish(base.id, deed.b > 0.8 ? nuts : on.id, history.now, {
      by: history.by(deed),
      condition: good,
      ...(deed.b < 0.4 ? { on: 100 } : {}),
      ...more,
    })
    if (posted.ok) history.items.push(into)
    return 'betters nothing'
  }

export const itemDeeds: Record<string, Act> = {
  'put away': (history, deed) => {
    try {
      history.items.push(history.story.putAway(history.pot(deed), history.now, { last: deed.b > 0.9 }, custard))
    } catch {
      // Refused, as of a batch that was thrown away.
    }
  },
  'left over': (history, deed) => {
    const batch = history.batch(deed)
    const id = idOf(`left over ${history.items.length} ${history.now}`)
    const lots = history.lots.flatMap((lot) => history.story.kitchen.read('lot', lot) ?? [])
    if (batch.facts['eggs-taken'].length === 0) return
    const body = leftOverOf(batch, 'white', 30, 'kept', lots, { unit: FRIDGE, shelf: 1 })
    if (body && history.post('left-over', id, deed, body)) history.items.push(id)
  },
  move: moved('move', FRIDGE),
  out: moved('out'),
  'to the guests': moved('serve'),
  thaw: moved('thaw', FRIDGE),
  freeze: moved('freeze', FREEZER),
  'put away into the frost': (history, deed) => {
    try {
      const said = { last: deed.b > 0.9, unit: FREEZER, frozen: true as const }
      history.items.push(history.story.putAway(history.pot(deed), history.now, said, custard))
    } catch {
      // Refused, as what is not proven cold.
    }
  },
  'late freeze': (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    history.postLate('item-moved', item.id, deed, { how: 'freeze', unit: FREEZER, shelf: 1 }, 2000)
    return 'betters nothing'
  },
  'late move': (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    history.postLate('item-moved', item.id, deed, { how: 'move', unit: FRIDGE, shelf: 2 }, 60)
    return 'betters nothing'
  },
  'read item': (history, deed) => {
    const item = history.item(deed)
    const typed = { value: Math.round(deed.a * 150) / 10, unit: 'C' as const }
    if (item) history.post('item-read', item.id, deed, { typed, instrument: deed.b < 0.7 ? PROBE : null })
  },
  'hold item': (history, deed) => {
    const item = history.item(deed)
    if (item) history.post('item-held', item.id, deed, { reason: 'smells' })
  },
  'release item': (history, deed) => {
    const item = history.item(deed)
    if (item) history.decide('item-released', item.id, { reason: WHY })
  },
  'answer for it': (history, deed) => {
    const item = history.item(deed)
    if (item) history.decide('went-out-answered', item.id, { reason: WHY })
  },
  open: (history, deed) => {
    const item = history.item(deed)
    if (item) history.post('item-opened', item.id, deed, {})
  },
  split: (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    const into = idOf(`split ${history.items.length} ${history.now}`)
    const taken = item.splits.map(({ value }) => value.code)
    const measure = { value: 50, unit: item.measure.unit }
    const as = inheritedOf(item, measure.value / item.measure.value)
    const body = { into, code: nextSplitCode(item.code, taken), measure, as }
    if (history.post('item-split', item.id, deed, body)) history.items.push(into)
  },
  dispatch: sentOut(),
  'sent out already': sentOut({ happened: true, to: 'care home' }),
  arrive: (history, deed) => {
    const item = history.item(deed)
    const [sent] = item ? dispatchesOf(item).slice(-1) : []
    const typed = { value: Math.round(deed.b * 150) / 10, unit: 'C' as const }
    const body = { target: sent?.out.entry ?? DOZENS, typed, instrument: PROBE, warm: false }
    if (item) history.post('item-arrived', item.id, deed, body)
    return 'betters nothing'
  },
  finish: finished(),
  'finish warm': finished({ celsius: 40, warm: true }),
  'finished already': finished({ happened: true }),
  part: part(),
  'part in already': part({ happened: true }),
  use: used(),
  'sold already': used({ happened: true }),
  label: (history, deed) => {
    const item = history.item(deed)
    if (item) history.post('label-printed', item.id, deed, { copies: 2 })
    return 'betters nothing'
  },
  'take back': (history, deed) => {
    const item = history.item(deed)
    const tap = item && tapsOf(item).at(-1)
    if (tap) history.post('taken-back', item.id, deed, { target: tap.entry, also: [] })
  },
  discard: (history, deed) => {
    const item = history.item(deed)
    if (item && deed.b < 0.3) history.post('item-discarded', item.id, deed, { reason: 'not proven', ...NOTHING })
  },
}
