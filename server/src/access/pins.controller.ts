import { Body, Controller, HttpCode, Post } from '@nestjs/common'
import { ApiProperty, ApiTags } from '@nestjs/swagger'
import { IsUUID, Matches } from 'class-validator'
import { refusalSentence } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { claimMaker } from '../ledger/claims'
import { Append } from '../ledger/append.service'
import { StatesRepository } from '../ledger/states.repository'
import { COOKS_DIGITS, LEADS_DIGITS, Pins } from '../people/pins.service'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'

class ChangePinDto {
  @ApiProperty({ format: 'uuid', description: 'Whose PIN changes' })
  @IsUUID(undefined, { message: 'Tap a name.' })
  person: string

  @ApiProperty({ format: 'uuid', description: 'Who signs: that person, or the lead' })
  @IsUUID(undefined, { message: 'Tap the name of who signs.' })
  signer: string

  @ApiProperty({ description: 'The PIN of who signs, as it is now' })
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four digits or more.' })
  pin: string

  @ApiProperty({ description: 'The new one' })
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four to twelve digits.' })
  next: string
}

/** Another PIN: that it changed is an entry, what it is stands nowhere. */
@ApiTags('people')
@Controller('people')
export class PinsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly pins: Pins,
    private readonly append: Append,
  ) {}

  @Post('pin')
  @HttpCode(200)
  @Needs('write')
  @Answers('PinChanged')
  async change(@OfShift() shift: Shift, @Body() body: ChangePinDto): Promise<Answer['PinChanged']> {
    const { kitchenId, personId: postedBy, deviceId: device } = shift
    const { person, signer, pin, next } = body
    await this.requireLength(kitchenId, person, next)
    await this.pins.require(kitchenId, signer, pin, placeOf(shift))
    const claim = claimMaker(kitchenId, device)('pin-changed', kitchenId, clock.now(), signer, { person })
    const [outcome] = await this.append.append({
      kitchenId,
      postedBy,
      signedBy: signer,
      clockAheadMs: 0,
      claims: [claim],
    })
    if (outcome?.outcome === 'refused')
      throw new Problem(
        403,
        'not yours',
        refusalSentence(outcome.refusal, { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }),
        'signer',
      )
    await this.pins.change(kitchenId, person, next)
    return { changed: true }
  }

  /** What the lead signs weighs more. */
  private async requireLength(kitchenId: string, person: string, next: string): Promise<void> {
    const kitchen = await this.scope.inKitchen(kitchenId, (em) => this.states.one(em, kitchenId, 'kitchen', kitchenId))
    const role = kitchen?.people?.find(({ id }) => id === person)?.role
    const least = role === 'lead' ? LEADS_DIGITS : COOKS_DIGITS
    if (next.length < least)
      throw new Problem(
        400,
        'bad field',
        `The PIN of a ${role === 'lead' ? 'food-safety lead' : 'cook'} has ${least} digits or more.`,
        'next',
      )
    if (/^(\d)\1*$/.test(next) || '01234567890123'.includes(next) || '98765432109876'.includes(next))
      throw new Problem(400, 'bad field', 'That PIN is the first that anybody tries. Take another.', 'next')
  }
}
