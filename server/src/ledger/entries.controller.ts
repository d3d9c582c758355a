import { Body, Controller, Get, HttpCode, Param, ParseIntPipe, Post } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { EntityManager } from '@mikro-orm/postgresql'
import type { Appended, ClockHours, Id, Kind, Refusal } from '@logged-thermal/core'
import { refusalSentence, type Reader } from '@logged-thermal/wording'
import { Metrics } from '../metrics/metrics'
import { Kitchen } from '../people/kitchen.entity'
import { readerOf } from '../people/reader'
import { Pins } from '../people/pins.service'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'
import { Append } from './append.service'
import { Entries } from './entries.service'
import { PostEntriesDto } from './postEntries.dto'
import { clock } from '../clock/clock'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer, PostResult } from '../http/answers'
import type { ReaderQuery } from '../people/readerQuery'

@ApiTags('entries')
@Controller('entries')
export class EntriesController {
  constructor(
    private readonly append: Append,
    private readonly entries: Entries,
    private readonly pins: Pins,
    private readonly em: EntityManager,
    private readonly metrics: Metrics,
  ) {}

  /** Appends entries to the kitchen's logbook. Posting the same entry again changes nothing. */
  @Post()
  @HttpCode(200)
  @Answers('Posted')
  @Needs('write')
  @ApiOperation({
    summary: 'Each entry is answered: accepted, already there, or refused with a code, a field and a sentence.',
  })
  async post(
    @OfShift() shift: Shift,
    @Body() { sentAt, entries, signer, pin, second, secondPin, scale, language, hours }: PostEntriesDto,
  ): Promise<Answer['Posted']> {
    const arrived = clock.now()
    const { kitchenId, personId: postedBy } = shift
    const signedBy = signer && pin ? signer : null
    if (signer && pin) await this.pins.require(kitchenId, signer, pin, placeOf(shift))
    const secondedBy = second && secondPin ? second : null
    if (second && secondPin) await this.pins.require(kitchenId, second, secondPin, placeOf(shift), 'secondPin')
    const claims = entries.filter((entry) => !hasItsOwnRoute(entry))
    const outcomes = await this.append.append({
      kitchenId,
      postedBy,
      signedBy,
      secondedBy,
      clockAheadMs: sentAt - arrived,
      tabletId: shift.tabletId,
      claims,
    })
    let reader: Reader | null = null
    const results: PostResult[] = []
    for (const each of outcomes) {
      this.metrics.entries.inc({ outcome: each.outcome })
      if (each.outcome === 'refused') {
        this.metrics.refusals.inc({ code: each.refusal.code })
        reader ??= await this.readerIn(kitchenId, { scale, language }, hours)
        results.push(refused(each, reader))
      } else results.push(each)
    }
    // In the order in which they were sent.
    const answers = entries.map((entry) => (hasItsOwnRoute(entry) ? elsewhere(entry) : results.shift()!))
    return { now: clock.now(), results: answers }
  }

  /** The hash of an entry; null where there is none of that number: a tablet holds it against what it saw. */
  @Get(':seq/hash')
  @Answers('EntryHash')
  @Needs('read')
  async hash(@OfShift() { kitchenId }: Shift, @Param('seq', ParseIntPipe) seq: number): Promise<Answer['EntryHash']> {
    if (!Number.isSafeInteger(seq)) return { hash: null }
    return { hash: await this.entries.hashOf(kitchenId, seq) }
  }

  /** Who reads the refusals: as the tablet says, else as people of this kitchen read figures. */
  private async readerIn(id: Id, { scale, language }: ReaderQuery, hours: ClockHours = 24): Promise<Reader> {
    const reader = readerOf(await this.em.fork().findOneOrFail(Kitchen, { id }), hours)
    return { ...reader, scale: scale ?? reader.scale, locale: language ?? reader.locale }
  }
}

/** What changes rows beside the logbook is entered by the route that changes both at once. */
const OWN_ROUTES: readonly unknown[] = ['role-given', 'pin-changed', 'password-given', 'kitchen-named'] satisfies Kind[]

function hasItsOwnRoute(entry: unknown): boolean {
  return OWN_ROUTES.includes((entry as { kind?: unknown } | null)?.kind)
}

function elsewhere(entry: unknown): PostResult {
  const { id } = entry as { id?: unknown }
  const sentence = 'That is done under People and Settings: more changes with it than the logbook.'
  const answer = { outcome: 'refused', status: 403, code: 'has its own route', field: 'kind', sentence } as const
  return { id: typeof id === 'string' ? id : null, ...answer }
}

function refused({ id, refusal }: Extract<Appended, { outcome: 'refused' }>, reader: Reader): PostResult {
  const { code, field } = refusal
  return { id, outcome: 'refused', status: STATUS[code], code, field, sentence: refusalSentence(refusal, reader) }
}

const STATUS: Record<Refusal['code'], number> = {
  'bad field': 422,
  'ahead of clock': 422,
  'id taken': 409,
  'other kitchen': 403,
  'not on the list': 403,
  'may not': 403,
  'lead must sign': 403,
  'second needed': 403,
  'sign yourself': 403,
  'before it began': 422,
  'readings out of order': 422,
  'marked already': 409,
  'not there': 404,
  'already there': 409,
  'code taken': 409,
  'batch closed': 409,
  'cannot measure that': 422,
  'instrument gone': 409,
  'instrument in doubt': 409,
  'too long ago': 409,
  'not checked so': 422,
  'reference not checked': 409,
  'read again': 422,
  'not steady': 422,
  'not a reading': 422,
  'older version': 409,
  'plan changed': 409,
  'still kept': 409,
  'trace incomplete': 409,
  looser: 422,
  'kept too short': 422,
  'method blocked': 422,
  backdated: 422,
  'matter open': 409,
  'day not over': 422,
  'day long over': 422,
  'changed since': 409,
  'decision shut': 422,
  'out of order': 422,
  'clean first': 409,
  'other lot': 409,
  'lot past its day': 422,
  'wrong egg': 422,
  'lot needed': 422,
  'package needed': 422,
  'not proven to serve': 409,
  'time to serve is up': 409,
  'rewarmed enough': 422,
  'not proven to rewarm': 409,
  'other unit': 422,
  'over the rim': 422,
  'unrated vessel': 422,
  'heated here': 422,
  'other lineage': 422,
  'more than is left': 422,
  'item gone': 409,
  'not guidance': 422,
  'signed too long': 422,
  'not crumb': 422,
  'bakes wanting': 422,
  'bake not shown': 409,
  'kept, not served': 422,
  'item shut': 422,
  'move shut': 422,
  'not to open': 422,
  'not proven to leave': 409,
  'nothing went out': 409,
  'recall stands': 409,
  'recalled already': 409,
  'reason short': 422,
  'no lead left': 409,
  'no role for it': 409,
  'not taken back': 409,
  'lot refused': 422,
  'lot not accepted': 422,
  'received otherwise': 422,
  'keeps too long': 422,
}
