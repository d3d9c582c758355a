import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { InstrumentCheck, Instant } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Workers, type Work } from '../workers/workers.service'
import { DoubtedRepository } from './doubted.repository'
import type * as LookBackWork from './lookBack.work'

const WORK: Work<typeof LookBackWork> = { file: require.resolve('./lookBack.work') }

class InstrumentId extends ParseUUIDPipe {
  constructor() {
    super({ exceptionFactory: notThere })
  }
}

function notThere(): Problem {
  return new Problem(404, 'not there', 'This kitchen has no such instrument.', 'id')
}

@ApiTags('instruments')
@Controller('instruments')
@Needs('read')
export class InstrumentsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly doubted: DoubtedRepository,
    private readonly workers: Workers,
  ) {}

  /** Everything that the last failed check of an instrument throws doubt on; nothing where it never failed one. */
  @Get(':id/look-back')
  @Answers('LookBack')
  async lookBack(@OfShift() { kitchenId }: Shift, @Param('id', InstrumentId) id: string): Promise<Answer['LookBack']> {
    const now = clock.now()
    const found = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const instrument = await this.states.one(em, kitchenId, 'instrument', id)
      if (!instrument) throw notThere()
      const { zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const failed = lastFailed(instrument.history, now)
      const states = await this.doubted.by(em, kitchenId, failed?.entry ?? null)
      return { zone, failed, ...states, left: await this.doubted.leftOf(em, kitchenId, states.batchIds) }
    })
    const { zone, failed, batches, items, lots, units, instruments, left } = found
    if (!failed) return { now, check: null, batches: [], items: [], lots: [], units: [] }
    const { entry: check, against } = failed
    // What it was itself compared with is in no doubt by this.
    const reference = against.kind === 'instrument' ? against.id : null
    const judged = await this.workers.run(WORK, 'lookedBack', {
      check,
      instruments: [id, ...instruments.filter((each) => each !== reference)],
      batches,
      items,
      lots,
      units,
      zone,
      now,
    })
    return { ...judged, now, check: failed, batches: judged.batches.map((each) => ({ ...each, items: left(each.id) })) }
  }
}

function lastFailed(history: readonly InstrumentCheck[], now: Instant): InstrumentCheck | null {
  return history.findLast(({ passed, from }) => !passed && from <= now) ?? null
}
