import { Body, Controller, HttpCode, Post, Req, Res } from '@nestjs/common'
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger'
import { IsBoolean, IsIn, IsOptional, IsTimeZone, IsUUID, Length, Matches } from 'class-validator'
import type { Request, Response } from 'express'
import { MEASURE_SYSTEMS, ruleSets, type ClockHours, type MeasureSystem } from '@logged-thermal/core'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { SetUp } from '../kitchens/setUp.service'
import { cookieOptions, COOKIE_DAYS } from '../people/shift.controller'
import { Needs, SHIFT_COOKIE } from '../people/shift.guard'
import { Shifts } from '../people/shifts.service'
import { VISIBLE } from './visible'

class SetUpDto {
  @ApiProperty({ example: 'K7QM-2R9X', description: 'As the server’s console shows it' })
  @Length(8, 12, { message: 'The set-up code has eight letters and digits.' })
  code: string

  @ApiProperty({ example: 'Fennimore Row pastry' })
  @Length(1, 60, { message: 'Give the kitchen a name of 60 letters at most.' })
  @Matches(VISIBLE, { message: 'A name has letters, and none that cannot be seen.' })
  name: string

  @ApiPropertyOptional({ example: '14 Fennimore Row, Harrowfield', description: 'One line, for labels and records' })
  @IsOptional()
  @Length(1, 120, { message: 'Give the address in one line of 120 letters at most.' })
  @Matches(VISIBLE, { message: 'An address has letters, and none that cannot be seen.' })
  address?: string

  @ApiProperty({ example: 'Europe/London', description: 'IANA time zone: the kitchen’s days are its days' })
  @IsTimeZone({ message: 'Choose the time zone of the kitchen.' })
  zone: string

  @ApiProperty({ enum: ['C', 'F'] })
  @IsIn(['C', 'F'], { message: 'Choose °C or °F.' })
  unit: 'C' | 'F'

  @ApiProperty({ enum: Object.keys(ruleSets), description: 'The rule set to begin with' })
  @IsIn(Object.keys(ruleSets), { message: 'Choose the rules that your inspector uses.' })
  ruleSet: string

  @ApiPropertyOptional({ enum: [12, 24], default: 24, description: 'How the kitchen writes a time of day' })
  @IsOptional()
  @IsIn([12, 24], { message: 'Choose a clock of 12 or of 24 hours.' })
  hours?: ClockHours

  @ApiPropertyOptional({
    enum: MEASURE_SYSTEMS,
    default: 'metric',
    description: 'Whose measures recipes are written in',
  })
  @IsOptional()
  @IsIn(MEASURE_SYSTEMS, { message: 'Choose metric, US or UK measures.' })
  measures?: MeasureSystem

  @ApiPropertyOptional({ default: false, description: 'Takes the stricter lines that the rule set offers a house' })
  @IsOptional()
  @IsBoolean({ message: 'Say whether the stricter lines are taken.' })
  takesOffers?: boolean

  @ApiProperty({ example: 'Ana Lind', description: 'The food-safety lead' })
  @Length(1, 60, { message: 'Give the lead a name of 60 letters at most.' })
  @Matches(VISIBLE, { message: 'A name has letters, and none that cannot be seen.' })
  lead: string

  @ApiProperty({ description: 'The lead’s PIN' })
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four to twelve digits.' })
  pin: string

  @ApiProperty({ format: 'uuid', description: 'The tablet, made by it once and kept.' })
  @IsUUID(undefined, { message: 'The tablet has to name itself with a UUID.' })
  device: string
}

/** The first kitchen of an installation. */
@ApiTags('set-up')
@Controller('set-up')
export class SetUpController {
  constructor(
    private readonly setUp: SetUp,
    private readonly shifts: Shifts,
  ) {}

  /** Founds it with the code from the console, and opens the lead's shift on the tablet that asks. */
  @Needs('nothing')
  @Post()
  @HttpCode(200)
  @Answers('Shift')
  async found(
    @Body()
    {
      code,
      name,
      address,
      zone,
      unit,
      ruleSet,
      hours = 24,
      measures = 'metric',
      takesOffers = false,
      lead,
      pin,
      device,
    }: SetUpDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Shift']> {
    const asked = {
      name: name.trim(),
      address: address?.trim() ?? null,
      zone,
      unit,
      ruleSet,
      hours,
      measures,
      takesOffers,
      lead: { name: lead.trim(), pin },
    }
    const { kitchen, lead: person } = await this.setUp.found(code, asked)
    const token = await this.shifts.open(kitchen, person, pin, device, null)
    response.cookie(SHIFT_COOKIE, token, cookieOptions(request, COOKIE_DAYS))
    return { shift: { kitchen, person, open: true } }
  }
}
