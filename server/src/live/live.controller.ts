import { BeforeApplicationShutdown, Controller, Get, Headers, Query, Sse, type MessageEvent } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { interval, map, merge, takeUntil, type Observable, last, ignoreElements } from 'rxjs'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Live } from './live.service'
import { clock } from '../clock/clock'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const HEARTBEAT_MS = 15_000

@ApiTags('live')
@Controller('live')
export class LiveController implements BeforeApplicationShutdown {
  constructor(private readonly live: Live) {}

  /** New entries as they are recorded, as server-sent events whose id is the entry's number. */
  @Sse()
  @AnswersFile('text/event-stream')
  @Needs('read')
  watch(
    @OfShift() { kitchenId }: Shift,
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
    return merge(events, beats.pipe(takeUntil(entries.pipe(ignoreElements(), last(null, null)))))
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
