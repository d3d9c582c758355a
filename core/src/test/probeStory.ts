import type { Bodies } from '../ledger/entry'
import { instrumentStanding } from '../state/instrument'
import { idOf, KitchenStory, PROBE } from './kitchenStory'
import { at } from './traces'

/** A kitchen with two probes, one of them checked as a story says. Minutes are after ten. */

export const DAY = 24 * 60
export const OTHER_PROBE = idOf('another probe')
export const WEEKLY: { everyDays: number; overdue: 'counts' | 'proves nothing' } = { everyDays: 7, overdue: 'counts' }
export const none = { reference: 0, error: 0, passed: true, since: null, doubted: [] }

export const kitchen = (checks: 'not asked' | typeof WEEKLY = WEEKLY) =>
  new KitchenStory({
    instruments: [
      { id: PROBE, code: 'P4', kind: 'probe', checks },
      { id: OTHER_PROBE, code: 'P2', kind: 'probe' },
    ],
  })

export const inIce = (celsius: number): Bodies['instrument-checked'] => ({
  against: { kind: 'ice' },
  shown: [celsius, celsius, celsius].map((value) => ({ value, unit: 'C' })),
  found: none,
})

export const check = (story: KitchenStory, minutes: number, celsius: number, after = 0) =>
  story.enter('instrument-checked', PROBE, minutes, inIce(celsius), { after })

export const stands = (story: KitchenStory, minutes: number) =>
  instrumentStanding(story.kitchen.read('instrument', PROBE)!, at(minutes))

export const due = (story: KitchenStory, batch: string, minutes: number) => story.standing(batch, 'egg', minutes)
