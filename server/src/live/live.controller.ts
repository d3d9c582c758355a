import { BeforeApplicationShutdown, Controller, Get, Headers, Query, Req, Sse, type MessageEvent } from '@nestjs/common'
import type { Request } from 'express'
import { ApiTags } from '@nestjs/swagger'
import { concatMap, filter, ignoreElements, interval, last, map, merge, takeUntil, type Observable } from 'rxjs'
import { cookieOf, Needs, OfShift } from '../people/shift.guard'
import { Shifts, type Shift } from '../people/shifts.service'
import { Tablets } from '../people/tablets.service'
import { Live } from './live.service'
import { clock } from '../clock/clock'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const HEARTBEAT_MS = 15_000

@ApiTags('live')
@Controller('live')
export class LiveController implements BeforeApplicationShutdown {
  constructor(
    private readonly live: Live,
    private readonly shifts: Shifts,
    private readonly tablets: Tablets,
  ) {}

  /**
   * New entries as they are recorded, as server-sent events whose id is the entry's number; as long as the shift is one.
   */
  @Sse()
  @AnswersFile('text/event-stream')
  @Needs('read')
  watch(
    @OfShift() { kitchenId, tabletId }: Shift,
    @Req() request: Request,
    @Query('after') after: string | undefined,
    @Headers('last-event-id') lastEventId: string | undefined,
  ): Observable<MessageEvent> {
    const seq = Number(lastEventId || after || 0)
    const entries = this.live.watch(kitchenId, Number.isInteger(seq) && seq >= 0 ? seq : 0)
    const events = entries.pipe(
      map((entry): MessageEvent => ({ id: String(entry.seal.seq), type: 'entry', data: entry })),
    )
    const beats = merge(interval(HEARTBEAT_MS), clock.jumps).pipe(
      map((): MessageEvent => ({ type: 'beat', data: { now: clock.now() } })),
    )
    const whole = merge(events, beats.pipe(takeUntil(entries.pipe(ignoreElements(), last(null, null)))))
    return whole.pipe(takeUntil(this.ended(cookieOf(request) ?? '', tabletId)))
  }

  /** When the tablet is forgotten, at once; or the shift is found to be none any more. */
  private ended(cookie: string, tabletId: string | null): Observable<unknown> {
    return merge(
      this.tablets.forgotten.pipe(filter((id) => id === tabletId)),
      interval(HEARTBEAT_MS).pipe(
        // While the database is away nobody is sent away.
        concatMap(() => this.shifts.find(cookie).catch(() => undefined)),
        filter((shift) => shift === null),
      ),
    )
  }

  /** The kitchen's clock, ms: by how long the asking took, a tablet knows how far its own is off. */
  @Get('now')
  @Needs('read')
  @Answers('Clock')
  now(): Answer['Clock'] {
    return { now: clock.now() }
  }

  beforeApplicationShutdown(): void {
    this.live.endAll()
  }
}
