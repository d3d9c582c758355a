import { dayOf } from '../ground/zone'
import { isSettled } from '../judgement/log/settled'
import { judgeBatch } from '../judgement/batch/judgeBatch'
import { isOfItsBatch } from '../state/item'
import type { Id } from '../ledger/subject'
import type { Act, History } from './history'
import { idOf } from './kitchenStory'
import { at } from './traces'

/** What is told of a kitchen that no reading says, and what the lead closes and signs. */

/** The lead cannot put a name under what waits still. */
function mustStand({ story: { kitchen }, now }: History, batches: readonly Id[], what: string): void {
  for (const batch of batches) {
    const state = kitchen.read('batch', batch)!
    if (!isSettled(state, judgeBatch(state, { zone: 'UTC' }, at(now))))
      throw new Error(`${what} over ${batch}, which waits`)
  }
}

/** What was made of it waits with it. */
function mustBeHeld({ story: { kitchen }, items, now }: History, batch: Id): void {
  for (const id of items) {
    const item = kitchen.read('item', id)
    if (item?.from.some((of) => of.id === batch) && isOfItsBatch(item) && kitchen.item(id, at(now)).usable)
      throw new Error(`${id} goes on`)
  }
}

export const matterDeeds: Record<string, Act> = {
  incident: (history, deed) => {
    const batches = deed.a < 0.6 ? [history.pot(deed)] : []
    const items = deed.b < 0.4 ? history.items.slice(0, 1) : []
    const told = history.post('incident-told', idOf(`incident ${history.now} ${deed.a}`), deed, {
      what: 'glass',
      note: 'a jar broke beside it',
      items,
      batches,
    })
    if (told)
      for (const batch of batches) {
        const state = history.story.kitchen.read('batch', batch)!
        if (isSettled(state, judgeBatch(state, { zone: 'UTC' }, at(history.now))))
          throw new Error('nobody has to decide')
        mustBeHeld(history, batch)
      }
    return 'betters nothing'
  },
  complain: (history, deed) => {
    const eaten = Math.round(at(history.now - 600))
    history.post('incident-told', idOf(`complaint ${history.now} ${deed.a}`), deed, {
      what: 'complaint',
      note: 'two guests of one table',
      items: [],
      batches: [history.pot(deed)],
      complaint: { eaten, onset: deed.b < 0.5 ? null : eaten + 60_000, people: 2 },
    })
    return 'betters nothing'
  },
  'close a matter': (history, deed) => {
    const batch = history.pot(deed)
    const body = {
      of: 'batch' as const,
      subject: { type: 'batch' as const, id: batch },
      since: Math.round(at(history.now)),
      action: 'decided',
      why: 'too deep a tray',
      prevents: 'two trays',
    }
    if (history.decide('matter-closed', batch, body)) mustStand(history, [batch], 'closed')
    return 'betters nothing'
  },
  'sign the day': (history) => {
    const { kitchen } = history.story
    const day = dayOf(at(history.now), 'UTC')
    // A tablet that shows none of them.
    if (history.decide('day-signed', kitchen.id, { day, batches: [], core: '0' })) {
      const begun = history.pots.filter((id) => dayOf(kitchen.read('batch', id)!.startedAt, 'UTC') === day)
      mustStand(history, begun, 'signed')
      if (kitchen.read('kitchen', kitchen.id)!.signedDays.at(-1)!.day !== day) throw new Error('the day is not kept')
    }
    return 'betters nothing'
  },
}
