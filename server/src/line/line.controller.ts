import { Controller, Get } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { KitchenScope } from '../database/kitchenScope'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { clock } from '../clock/clock'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

/** All that a tablet needs to show the Line and go on by itself: facts as of entry `seq`. Judging is core's. */
@ApiTags('line')
@Controller('line')
export class LineController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
  ) {}

  @Get()
  @Needs('read')
  @Answers('Line')
  line(@OfShift() { kitchenId }: Shift): Promise<Answer['Line']> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const people = await em.find(Person, { kitchenId }, { orderBy: { name: 'asc' } })
      const [state] = await this.states.all(em, kitchenId, 'kitchen')
      return {
        now: clock.now(),
        seq: await this.states.lastSeq(em, kitchenId),
        kitchen: { id: kitchen.id, name: kitchen.name, zone: kitchen.zone, unit: kitchen.unit },
        people: people.map(({ id, name, role, job }) => ({ id, name, role, job })),
        codes: state?.codes ?? [],
        handover: state?.handover ?? null,
        delegate: state?.delegate ?? null,
        limits: await this.states.one(em, kitchenId, 'limits', kitchen.limitsId),
        methods: await this.states.all(em, kitchenId, 'method'),
        instruments: await this.states.all(em, kitchenId, 'instrument'),
        batches: await this.states.openBatches(em, kitchenId),
        lots: await this.states.lotsInUse(em, kitchenId),
        vessels: await this.states.all(em, kitchenId, 'vessel'),
        units: await this.states.all(em, kitchenId, 'unit'),
        items: await this.states.heldItems(em, kitchenId),
      }
    })
  }
}
