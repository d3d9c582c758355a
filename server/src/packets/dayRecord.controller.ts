import { Controller, Get, Param, Query, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import { addDays, startOfDay, type Day } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { AnswersFile } from '../http/answers.decorator'
import { requireDays } from '../http/days'
import { Problem } from '../http/problem'
import { LogRows } from '../log/logRows.service'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Proofs } from '../proof/proofs.service'
import { ListFacts } from '../records/lists/listFacts'
import { RecordFacts } from '../records/recordFacts'
import { ReaderQuery } from '../people/readerQuery'
import { sendPdf } from '../records/sendPdf'
import { Workers } from '../workers/workers.service'
import { PacketFacts } from './packetFacts'
import { WORK } from './packetMaker.service'

/** A day of more batches is handed out as a packet. */
const MOST_BATCHES = 200

/** The sheet of a day with the records of its batches, as it lies in a packet. */
@ApiTags('records')
@Controller('records/day')
@Needs('read')
export class DayRecordController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly rows: LogRows,
    private readonly proofs: Proofs,
    private readonly records: RecordFacts,
    private readonly lists: ListFacts,
    private readonly facts: PacketFacts,
    private readonly workers: Workers,
  ) {}

  @Get(':day.pdf')
  @AnswersFile('application/pdf')
  async pdf(
    @OfShift() { kitchenId, personId }: Shift,
    @Param('day') day: Day,
    @Query() reads: ReaderQuery,
    @Res() response: Response,
  ): Promise<void> {
    requireDays({ from: day })
    await this.rows.current(kitchenId)
    const head = await this.proofs.head(kitchenId)
    const asked = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const shared = await this.records.shared(em, kitchenId, clock.now(), reads)
      const { zone } = shared.reader
      const begun = await this.facts.begun(em, kitchenId, startOfDay(day, zone), startOfDay(addDays(day, 1), zone))
      if (begun.length > MOST_BATCHES)
        throw new Problem(
          422,
          'too many',
          `More than ${MOST_BATCHES} batches began on it. Ask for a packet of that day.`,
        )
      const signed = await this.proofs.signedHead(em, kitchenId, head)
      return {
        ...shared,
        maker: shared.people[personId] ?? '',
        proved: signed && { head: signed, file: `day-${day}.proof` },
        day,
        kinds: await this.lists.kinds(em, kitchenId),
        batches: await this.records.batches(
          em,
          kitchenId,
          begun.map(({ id }) => id),
        ),
        ...(await this.facts.ofDay(em, kitchenId, day, zone)),
      }
    })
    const { pdf } = await this.workers.run(WORK, 'dayOfPacket', asked)
    sendPdf(response, `day-${day}.pdf`, pdf)
  }
}
