import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common'
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger'
import { IsBoolean, IsEmail, IsOptional, Matches, MaxLength, ValidateIf } from 'class-validator'
import { administers, type Id, type TimeOfDay } from '@logged-thermal/core'
import { SignedDto } from '../access/signed.dto'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { Jobs } from '../jobs/jobs.service'
import { StatesRepository } from '../ledger/states.repository'
import { Pins } from '../people/pins.service'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'
import { NoticesRepository } from './notices.repository'
import { Noticing } from './noticing.service'

const TIME = /^([01]\d|2[0-3]):[0-5]\d$/

class NoticesDto extends SignedDto {
  @ApiProperty({ description: 'false: nobody is told' })
  @IsBoolean({ message: 'Notices are on or off.' })
  on: boolean

  @ApiPropertyOptional({ example: 'lead@kitchen.example' })
  @ValidateIf(({ on }: NoticesDto) => on)
  @IsEmail({}, { message: 'Type an address, as name@example.org.' })
  @MaxLength(200, { message: 'That address is too long.' })
  to: string

  @ApiPropertyOptional()
  @ValidateIf(({ on }: NoticesDto) => on)
  @IsBoolean({ message: 'At once is yes or no.' })
  urgent: boolean

  @ApiPropertyOptional()
  @ValidateIf(({ on }: NoticesDto) => on)
  @IsBoolean({ message: 'Each day is yes or no.' })
  digest: boolean

  @ApiPropertyOptional({ example: '22:30', description: 'Since when it is quiet; with its end' })
  @IsOptional()
  @Matches(TIME, { message: 'Quiet hours begin at a time, HH:MM.' })
  quietFrom?: TimeOfDay

  @ApiPropertyOptional({ example: '06:30' })
  @IsOptional()
  @Matches(TIME, { message: 'Quiet hours end at a time, HH:MM.' })
  quietUntil?: TimeOfDay
}

/** Letters shown as sent. */
const SHOWN = 5

/** Who is told of what waits: set by the lead, or whoever looks after people and tablets, and seen by them. */
@ApiTags('notices')
@Controller('notices')
export class NoticesController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly repository: NoticesRepository,
    private readonly noticing: Noticing,
    private readonly jobs: Jobs,
    private readonly pins: Pins,
  ) {}

  /** What is set, what was sent last, and what waits or was given up. To anybody else only whether it is on. */
  @Get()
  @Needs('read')
  @Answers('Notices')
  async seen(@OfShift() { kitchenId, personId }: Shift): Promise<Answer['Notices']> {
    const [wish, sent] = await this.scope.asOfOneMoment(kitchenId, async (em) => [
      await this.repository.wish(em, kitchenId),
      await this.repository.sent(em, kitchenId),
    ])
    const canSend = this.noticing.canSend
    const on = wish !== null
    if (!(await this.administers(kitchenId, personId))) return { canSend, on, wish: null, sent: [], jobs: [] }
    const jobs = canSend ? await this.jobs.seen('notice', kitchenId) : []
    return {
      canSend,
      on,
      wish,
      sent: sent.slice(0, SHOWN),
      jobs: jobs.map(({ data, state, tries, at, said }) => ({ name: data.name, state, tries, at: at.getTime(), said })),
    }
  }

  @Post()
  @HttpCode(200)
  @Needs('write')
  @Answers('Notices')
  async set(@OfShift() shift: Shift, @Body() body: NoticesDto): Promise<Answer['Notices']> {
    const { on, to, urgent, digest, quietFrom, quietUntil } = body
    if (on && !urgent && !digest) throw new Problem(422, 'nothing asked', 'Choose one of the two at least.', 'urgent')
    if ((quietFrom === undefined) !== (quietUntil === undefined))
      throw new Problem(
        422,
        'half a time',
        'Quiet hours have a begin and an end.',
        quietFrom ? 'quietUntil' : 'quietFrom',
      )
    await this.requireAdministrator(shift, body)
    const quiet = quietFrom && quietUntil ? { from: quietFrom, until: quietUntil } : null
    const { kitchenId } = shift
    await this.scope.inKitchen(kitchenId, async (em) => {
      // Changed, it goes on from when it was switched on: what waits still goes out.
      const since = (await this.repository.wish(em, kitchenId))?.since ?? clock.now()
      await this.repository.setWish(em, kitchenId, on ? { to, urgent, digest, quiet, since } : null)
    })
    return this.seen({ ...shift, personId: body.signer })
  }

  /** A trial letter to the address that is set. */
  @Post('try')
  @HttpCode(200)
  @Needs('write')
  @Answers('Notices')
  async tryIt(@OfShift() shift: Shift, @Body() signed: SignedDto): Promise<Answer['Notices']> {
    const { kitchenId } = shift
    await this.requireAdministrator(shift, signed)
    if (!this.noticing.canSend) throw new Problem(409, 'no mail server', 'This installation has no mail server.', null)
    if (!(await this.scope.inKitchen(kitchenId, (em) => this.repository.wish(em, kitchenId))))
      throw new Problem(409, 'notices off', 'Notices are off. Set an address first.', null)
    await this.noticing.tryIt(kitchenId)
    return this.seen({ ...shift, personId: signed.signer })
  }

  private async administers(kitchenId: Id, person: Id): Promise<boolean> {
    const kitchen = await this.scope.inKitchen(kitchenId, (em) => this.states.one(em, kitchenId, 'kitchen', kitchenId))
    return administers(kitchen?.people ?? [], person)
  }

  private async requireAdministrator(shift: Shift, { signer, pin }: SignedDto): Promise<void> {
    if (!(await this.administers(shift.kitchenId, signer)))
      throw new Problem(
        403,
        'not yours',
        'The food-safety lead, or whoever looks after people and tablets, sets notices.',
        'signer',
      )
    await this.pins.require(shift.kitchenId, signer, pin, placeOf(shift))
  }
}
