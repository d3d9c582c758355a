import {
  BeforeApplicationShutdown,
  Controller,
  Get,
  Headers,
  ParseIntPipe,
  Query,
  Req,
  Sse,
  type MessageEvent,
} from '@nestjs/common'
import type { Request } from 'express'
import { ApiTags } from '@nestjs/swagger'
import {
  concatMap,
  filter,
  ignoreElements,
  interval,
  last,
  map,
  merge,
  of,
  share,
  takeUntil,
  tap,
  type Observable,
} from 'rxjs'
import { cookieOf, Needs, OfShift } from '../people/shift.guard'
import { Shifts, type Shift } from '../people/shifts.service'
import { Tablets } from '../people/tablets.service'
import { Entries } from '../ledger/entries.service'
import { Live } from './live.service'
import { clock } from '../clock/clock'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const HEARTBEAT_MS = 15_000
/** As many entries are answered at once to who asks. */
const AT_ONCE = 500

@ApiTags('live')
@Controller('live')
export class LiveController implements BeforeApplicationShutdown {
  constructor(
    private readonly live: Live,
    private readonly entries: Entries,
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
    let known = Number.isInteger(seq) && seq >= 0 ? seq : 0
    const entries = this.live.watch(kitchenId, known).pipe(share())
    const events = entries.pipe(
      tap(({ seal }) => (known = seal.seq)),
      map((entry): MessageEvent => ({ id: String(entry.seal.seq), type: 'entry', data: entry })),
    )
    const beats = merge(of(0), interval(HEARTBEAT_MS), clock.jumps).pipe(
      // Whoever comes back after a beat goes on from the entry before it. The first says at once that nothing holds them up.
      map((): MessageEvent => ({ id: String(known), type: 'beat', data: { now: clock.now() } })),
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

  /** Entries after a number, for a tablet that the stream does not reach: so many at once, and whether there are more. */
  @Get('since')
  @Needs('read')
  @Answers('Since')
  async since(@OfShift() { kitchenId }: Shift, @Query('after', ParseIntPipe) after: number): Promise<Answer['Since']> {
    const seq = Number.isSafeInteger(after) ? Math.max(0, after) : 0
    const entries = await this.entries.after(kitchenId, seq, AT_ONCE)
    return { now: clock.now(), entries, more: entries.length === AT_ONCE }
  }

  beforeApplicationShutdown(): void {
    this.live.endAll()
  }
}
