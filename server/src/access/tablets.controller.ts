import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Req, Res } from '@nestjs/common'
import { ApiProperty, ApiTags } from '@nestjs/swagger'
import { Length, Matches } from 'class-validator'
import type { Request, Response } from 'express'
import { administers, type Id } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { StatesRepository } from '../ledger/states.repository'
import { Pins } from '../people/pins.service'
import { cookieOptions } from '../people/shift.controller'
import { cookieOf, Needs, OfShift, SHIFT_COOKIE, TABLET_COOKIE } from '../people/shift.guard'
import { placeOf, Shifts, type Shift } from '../people/shifts.service'
import { Tablets } from '../people/tablets.service'
import { SignedDto } from './signed.dto'
import { VISIBLE } from './visible'

/** As long as browsers keep any cookie. */
const TABLET_DAYS = 400

class EnrolDto extends SignedDto {
  @ApiProperty({ example: 'Sauce bench' })
  @Length(1, 40, { message: 'Give the tablet a name of 40 letters at most.' })
  @Matches(VISIBLE, { message: 'A name has letters, and none that cannot be seen.' })
  name: string
}

/** Tablets of the kitchen: the lead, or whoever looks after them, enrols and forgets them. */
@ApiTags('tablets')
@Controller('tablets')
export class TabletsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly pins: Pins,
    private readonly shifts: Shifts,
    private readonly tablets: Tablets,
  ) {}

  @Get()
  @Needs('read')
  @Answers('Tablets')
  async list(@OfShift() { kitchenId }: Shift, @Req() request: Request): Promise<Answer['Tablets']> {
    return this.tablets.list(kitchenId, await this.tablets.find(cookieOf(request, TABLET_COOKIE)))
  }

  /** The tablet that asks belongs to the kitchen from now on. */
  @Post()
  @HttpCode(200)
  @Needs('write')
  @Answers('Tablets')
  async enrol(
    @OfShift() shift: Shift,
    @Body() { signer, pin, name }: EnrolDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Tablets']> {
    const { kitchenId } = shift
    await this.requireAdministrator(shift, signer, pin)
    const own = await this.tablets.find(cookieOf(request, TABLET_COOKIE))
    if (own?.kitchenId === kitchenId)
      throw new Problem(409, 'already there', 'This tablet is enrolled already.', 'name')
    const cookie = await this.tablets.enrol(kitchenId, name, signer)
    response.cookie(TABLET_COOKIE, cookie, cookieOptions(request, TABLET_DAYS))
    await this.shifts.belongs((request.cookies as Record<string, string>)[SHIFT_COOKIE]!, cookie)
    return this.tablets.list(kitchenId, await this.tablets.find(cookie))
  }

  /** It is a stranger's at once, and whoever has it in hand has to open a shift again. */
  @Post(':id/forget')
  @HttpCode(200)
  @Needs('write')
  @Answers('Tablets')
  async forget(
    @OfShift() shift: Shift,
    @Param('id', new ParseUUIDPipe()) id: Id,
    @Body() { signer, pin }: SignedDto,
  ): Promise<Answer['Tablets']> {
    await this.requireAdministrator(shift, signer, pin)
    await this.tablets.forget(shift.kitchenId, id)
    return this.tablets.list(shift.kitchenId, null)
  }

  private async requireAdministrator(shift: Shift, signer: Id, pin: string): Promise<void> {
    const { kitchenId } = shift
    const people = await this.scope.inKitchen(kitchenId, async (em) => {
      const kitchen = await this.states.one(em, kitchenId, 'kitchen', kitchenId)
      return kitchen?.people ?? []
    })
    if (!administers(people, signer))
      throw new Problem(
        403,
        'not yours',
        'The food-safety lead, or whoever looks after people and tablets, enrols and forgets tablets.',
        'signer',
      )
    await this.pins.require(kitchenId, signer, pin, placeOf(shift))
  }
}
