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
        now: Date.now(),
        seq: Number(head?.seq ?? 0),
        kitchen: { id: kitchen.id, name: kitchen.name, zone: kitchen.zone, unit: kitchen.unit },
        people: people.map(({ id, name, role, job }) => ({ id, name, role, job })),
        codes: codes?.codes ?? [],
        handover: codes?.handover ?? null,
        delegate: codes?.delegate ?? null,
        limits: limits.find(({ id }) => id === kitchen.limitsId) ?? null,
        methods: await states<MethodState>('method'),
        instruments: await states<InstrumentState>('instrument'),
        batches: await states<BatchState>('batch', 'and not closed'),
        lots: await states<LotState>('lot'),
        vessels: await states<VesselState>('vessel'),
        units: await states<UnitState>('unit'),
        // What went into the bin is history.
        items: await states<ItemState>('item', `and state -> 'discarded' = 'null'`),
      }
    })
  }
}

async function statesOf<T>(em: SqlEntityManager, kitchenId: Id, table: string, where: string): Promise<T[]> {
  const rows = await em.execute<{ state: T }[]>(
    `select state from ${table} where kitchen_id = ? ${where} order by id`,
    [kitchenId],
  )
  return rows.map(({ state }) => state)
}
