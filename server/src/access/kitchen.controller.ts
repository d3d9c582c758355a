import { Body, Controller, HttpCode, Post } from '@nestjs/common'
import { ApiProperty, ApiTags } from '@nestjs/swagger'
import { IsIn, Length, Matches, ValidateIf } from 'class-validator'
import { clock } from '../clock/clock'
import { query } from '../database/query'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Append } from '../ledger/append.service'
import { claimMaker } from '../ledger/claims'
import { Pins } from '../people/pins.service'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'
import { SignedDto } from './signed.dto'
import { VISIBLE } from './visible'

class NameKitchenDto extends SignedDto {
  @ApiProperty({ example: 'Fennimore Row pastry' })
  @Length(1, 60, { message: 'Give the kitchen a name of 60 letters at most.' })
  @Matches(VISIBLE, { message: 'A name has letters, and none that cannot be seen.' })
  name: string

  @ApiProperty({ nullable: true, example: '14 Fennimore Row', description: 'One line, for records; null: not said' })
  @ValidateIf((_, value) => value !== null)
  @Length(1, 120, { message: 'Give the address in one line of 120 letters at most.' })
  @Matches(VISIBLE, { message: 'An address has letters, and none that cannot be seen.' })
  address: string | null

  @ApiProperty({ enum: ['C', 'F'] })
  @IsIn(['C', 'F'], { message: 'Choose °C or °F.' })
  unit: 'C' | 'F'
}

/** What belongs to the kitchen as a whole. */
@ApiTags('kitchen')
@Controller('kitchen')
export class KitchenController {
  constructor(
    private readonly append: Append,
    private readonly pins: Pins,
  ) {}

  /** What it is called, where it is, and in which degrees it reads, from now on. */
  @Post()
  @HttpCode(200)
  @Needs('write')
  @Answers('KitchenNamed')
  async name(@OfShift() shift: Shift, @Body() body: NameKitchenDto): Promise<Answer['KitchenNamed']> {
    const { kitchenId, personId: postedBy, deviceId } = shift
    const { signer, pin, unit } = body
    const [name, address] = [body.name.trim(), body.address?.trim() ?? null]
    await this.pins.require(kitchenId, signer, pin, placeOf(shift))
    const named = { name, address: address || null, unit }
    const claims = [claimMaker(kitchenId, deviceId)('kitchen-named', kitchenId, clock.now(), signer, named)]
    await this.append.withRows({ kitchenId, postedBy, signedBy: signer, clockAheadMs: 0, claims }, (em) =>
      query(em, { sql: 'select name_kitchen(?, ?)', params: [name, unit] }),
    )
    return { named: true }
  }
}
