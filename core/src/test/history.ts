import { dayOf, daysBetween } from '../ground/zone'
import { itemWalls } from '../judgement/dates/walls'
import type { Id } from '../ledger/subject'
import type { Bodies, Kind } from '../ledger/entry'
import type { BatchState } from '../state/batch'
import type { ItemState } from '../state/item'
import { standingsOf } from '../judgement/batch/disposition'
import type { Standing } from '../ledger/standing'
import { COOK, idOf, KitchenStory, LEAD, OTHER, type How } from './kitchenStory'
import { inIce } from './probeStory'
import { at } from './traces'

/** What somebody does in a history made by chance: what, to which pot, with two numbers from 0 to 1, after so many minutes. */
export interface Deed {
  kind: string
  pot: number
  a: number
  b: number
  wait: number
  who: 'cook' | 'other' | 'lead'
}

/**
 * Does it. 'betters nothing' says that it was known too late, or stands in doubt; 'proves nothing', that it counts from when
 * it was known, as if it had been done then.
 */
export type Act = (history: History, deed: Deed) => Allowed | void
export type Allowed = 'betters nothing' | 'proves nothing'

/** A reason in writing, long enough for whatever asks for one. */
export const WHY = 'looked at by two, in writing, for the record'

export const VESSEL = idOf('tub of the histories')
export const DOZENS = idOf('shell eggs of the histories')
export const CARTON = idOf('carton of the histories')
export const SIEVE = idOf('sieve of the histories')
export const OWN = idOf('own ingredient of the histories')
export const MILK = idOf('milk of the histories')
/** What the probe is compared with. */
export const REFERENCE = idOf('reference of the histories')

/** A kitchen's day made by chance: two pots, what is made of them, a lot of eggs and a carton. Minutes are after ten. */
export class History {
  readonly story = new KitchenStory()
  readonly pots: Id[]
  readonly items: Id[] = []
  readonly lots = [DOZENS, CARTON]
  now = 20

  /** @param honest which of the pots was cooked through as it should be */
  constructor(honest: readonly boolean[]) {
    const { story } = this
    this.pots = ['pot a', 'pot b'].map((name, i) => (honest[i] ? story.cooked(name) : story.begin(name)))
    story.air(0, 3)
    const inside = { kind: 'rectangular' as const, length: 0.5, width: 0.3, height: 0.1 }
    story.enter(
      'vessel-registered',
      VESSEL,
      1,
      { name: 'Tub', inside, wall: 'steel', food: true, hotFill: true },
      { by: LEAD },
    )
    story.receive(DOZENS, 2, 'egg', 'shell')
    story.receive(CARTON, 2, 'yolk', 'pasteurized')
    story.receive(MILK, 2, 'soy-drink')
    const checks = { everyDays: 7, overdue: 'counts' as const }
    const register = { code: 'R', kind: 'probe' as const, place: null, tolerance: 1, checks }
    story.enter('instrument-registered', REFERENCE, 3, register, { by: LEAD })
    story.enter('instrument-checked', REFERENCE, 4, inIce(0))
  }

  /** Does a deed. Returns what it may not do, where it may not do all; the lead's may. */
  act(deed: Deed, act: Act): Allowed | null {
    this.now = Math.round((this.now + deed.wait) * 1000) / 1000
    const allowed = act(this, deed) ?? null
    return deed.who === 'lead' ? null : allowed
  }

  /** Who does it. */
  by({ who }: Deed): Id {
    return who === 'cook' ? COOK : who === 'other' ? OTHER : LEAD
  }

  pot({ pot }: Deed): Id {
    return this.pots[pot]!
  }

  batch(deed: Deed): BatchState {
    return this.story.kitchen.read('batch', this.pot(deed))!
  }

  /** One of the items, by chance; null while there is none. */
  item({ a }: Deed): ItemState | null {
    const id = this.items[Math.floor(a * this.items.length)]
    return id === undefined ? null : this.story.kitchen.read('item', id)
  }

  /** Enters it now, taken or refused: what nobody may do is tried too. */
  post<K extends Kind>(kind: K, about: Id, deed: Deed, body: Bodies[K], how: How = {}): boolean {
    return this.story.post(kind, about, this.now, body, { by: this.by(deed), ...how }).posted.ok
  }

  /** Entered `after` minutes later than it says that it was, on a tablet where it then lay for so many before it arrived. */
  postLate<K extends Kind>(kind: K, about: Id, deed: Deed, body: Bodies[K], after: number, lay = 0): boolean {
    const made = this.now - Math.min(this.now - 17, lay)
    const late = Math.min(made, after)
    const when = Math.round(at(made))
    const away = lay > 0 ? { away: { from: when, to: Math.round(at(this.now)), at: when } } : {}
    const how = { by: this.by(deed), after: late, arrives: this.now, ...away }
    return this.story.post(kind, about, made - late, body, how).posted.ok
  }

  /** The same by the lead. */
  decide<K extends Kind>(kind: K, about: Id, body: Bodies[K]): boolean {
    return this.story.post(kind, about, this.now, body, { by: LEAD }).posted.ok
  }

  dispose(batch: Id, decision: Bodies['disposed']['decision']): void {
    const findings = standingsOf(this.story.kitchen.findings(batch, at(this.now)))
    this.decide('disposed', batch, { decision, reason: WHY, findings, core: '1' })
  }

  /** How every check of every batch stands, as of one instant; quality is a note. */
  standings(when: number): Map<string, Standing> {
    return new Map(
      this.pots.flatMap((batch) =>
        this.story.kitchen
          .findings(batch, at(when))
          .filter(({ check }) => check.limit.force !== 'quality')
          .map(({ check, standing }): [string, Standing] => [`${batch} ${check.key}`, standing]),
      ),
    )
  }

  /** Days that each item has left, the present one too; in the frost those it will have on thawing. */
  daysLeft(when: number): Map<Id, number> {
    return new Map(
      this.items.flatMap((id): [Id, number][] => {
        const [wall] = itemWalls(this.story.kitchen.read('item', id)!, 'UTC')
        if (!wall) return []
        return [[id, wall.lastDay ? daysBetween(dayOf(at(when), 'UTC'), wall.lastDay) + 1 : (wall.daysLeft ?? 0)]]
      }),
    )
  }

  /** How long each item was certainly warm, ms. */
  warm(when: number): Map<Id, number> {
    return new Map(this.items.map((item) => [item, this.story.kitchen.item(item, at(when)).exposure.least]))
  }
}
