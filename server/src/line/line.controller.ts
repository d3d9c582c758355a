import { Controller, Get } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import type {
  BatchState,
  Id,
  InstrumentState,
  ItemState,
  KitchenState,
  LimitsState,
  LotState,
  MethodState,
  UnitState,
  VesselState,
} from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { clock } from '../clock/clock'

/** All that a tablet needs to show the Line and go on by itself: facts as of entry `seq`. Judging is core's. */
@ApiTags('line')
@Controller('line')
export class LineController {
  constructor(private readonly scope: KitchenScope) {}

  @Get()
  @Needs('read')
  line(@OfShift() { kitchenId }: Shift) {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const people = await em.find(Person, { kitchenId }, { orderBy: { name: 'asc' } })
      const [head] = await em.execute<{ seq: string }[]>('select seq from chain_head where kitchen_id = ?', [kitchenId])
      const states = <T>(table: string, where = '') => statesOf<T>(em, kitchenId, table, where)
      const [codes] = await states<KitchenState>('kitchen_state')
      const limits = await states<LimitsState>('limit_set')
      return {
        now: clock.now(),
        seq: Number(head?.seq ?? 0),
        kitchen: { id: kitchen.id, name: kitchen.name, zone: kitchen.zone, unit: kitchen.unit },
        people: people.map(({ id, name, role, job }) => ({ id, name, role, job })),
        codes: codes?.codes ?? [],
        handover: codes?.handover ?? null,
        delegate: codes?.delegate ?? null,
        limits: limits.find(({ id }) => id === kitchen.limitsId) ?? null,
        methods: await states<MethodState>('method'),
        instruments: await states<InstrumentState>('instrument'),
        batches: await states<BatchState>('batch', 'and not closed and not put_away'),
        lots: await lotsInUse(em, kitchenId),
        vessels: await states<VesselState>('vessel'),
        units: await states<UnitState>('unit'),
        // What was used up or went into the bin is history.
        items: await states<ItemState>('item', 'and live'),
      }
    })
  }
}

/** Lots that may still be taken: the latest, and all that something held was made of. */
const LATEST_LOTS = 200

async function lotsInUse(em: SqlEntityManager, kitchenId: Id): Promise<LotState[]> {
  const rows = await em.execute<{ state: LotState }[]>(
    `select state from lot l where kitchen_id = ? and (seq >= coalesce(
         (select seq from lot where kitchen_id = ? order by seq desc offset ? limit 1), 0)
       or exists (select from edge e join item i on i.kitchen_id = e.kitchen_id and i.id = e.child_id
         where e.kitchen_id = l.kitchen_id and e.parent_id = l.id and i.live))
     order by id`,
    [kitchenId, kitchenId, LATEST_LOTS],
  )
  return rows.map(({ state }) => state)
}

async function statesOf<T>(em: SqlEntityManager, kitchenId: Id, table: string, where: string): Promise<T[]> {
  const rows = await em.execute<{ state: T }[]>(
    `select state from ${table} where kitchen_id = ? ${where} order by id`,
    [kitchenId],
  )
  return rows.map(({ state }) => state)
}
