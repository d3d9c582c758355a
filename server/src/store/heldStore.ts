import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import {
  limitsAt,
  type Course,
  type Id,
  type Instant,
  type LimitsState,
  type Look,
  type Store,
  type UnitCard,
} from '@logged-thermal/core'
import { KeptRows } from '../database/keptRows'
import { Problem } from '../http/problem'
import { Kitchen } from '../people/kitchen.entity'

/** What a kitchen holds and what it is judged by, asked for with every list of the store. */
@Injectable()
export class HeldStore {
  private readonly held = new KeptRows<HeldItem>('item', 'card::text, course', 'live', byUntil)
  private readonly places = new KeptRows<{ card: UnitCard; airs: Look[] }>('unit', 'card, airs', 'true', (a, b) =>
    a.card.id < b.card.id ? -1 : 1,
  )
  private readonly limits = new KeptRows<{ state: LimitsState }>('limit_set', 'state', 'true', () => 0)

  /** Every item that is held, in short and as it is judged; what ends first on top. */
  items(em: EntityManager, kitchenId: Id): Promise<readonly HeldItem[]> {
    return this.held.read(em, kitchenId)
  }

  async units(em: EntityManager, kitchenId: Id): Promise<UnitCard[]> {
    return (await this.places.read(em, kitchenId)).map(({ card }) => card)
  }

  /** Its units with what their air was, its limits at an instant, its zone. */
  async judgedBy(em: EntityManager, kitchenId: Id, now: Instant): Promise<Store> {
    const { zone, limitsId: id } = await em.findOneOrFail(Kitchen, { id: kitchenId })
    const sets = await this.limits.read(em, kitchenId)
    const limits = limitsAt(sets.find(({ state }) => state.id === id)?.state.versions ?? [], now)
    if (!limits) throw new Problem(409, 'no limits', 'This kitchen has no limits in force.', 'kitchen')
    const units = (await this.places.read(em, kitchenId)).map(({ card, airs }) => ({ ...card, airs }))
    return { units, limits, zone }
  }
}

function byUntil({ course: a }: HeldItem, { course: b }: HeldItem): number {
  return (a.wall?.until ?? Infinity) - (b.wall?.until ?? Infinity) || 0
}

export interface HeldItem {
  id: Id
  /** An ItemCard as JSON, to be handed on as it is. */
  card: string
  course: Course
}
