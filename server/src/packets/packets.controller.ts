import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { IsIn, IsOptional, Matches } from 'class-validator'
import type { Response } from 'express'
import { daysBetween, type Day, type Id, type TemperatureScale } from '@logged-thermal/core'
import { LANGUAGES, type Language } from '@logged-thermal/wording'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { requireDays } from '../http/days'
import { Problem } from '../http/problem'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { KEPT, Packets } from './packets.service'

class AskPacketDto {
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Say from which day.' })
  from: Day

  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Say to which day.' })
  to: Day

  @IsIn(['C', 'F'], { message: '"scale" has to be C or F.' })
  scale: TemperatureScale

  /** In which language it is read; British English, if left out. */
  @IsOptional()
  @IsIn(LANGUAGES, { message: `"language" has to be one of ${LANGUAGES.join(', ')}.` })
  language?: Language
}

/** A packet is of so many days at most: more is asked for in pieces. */
const LONGEST_DAYS = 366

/** Packets of a period, to be handed out. Whoever leads asks for them; an auditor may take them. */
@ApiTags('packets')
@Controller('packets')
export class PacketsController {
  constructor(private readonly packets: Packets) {}

  @Get()
  @Needs('read')
  @Answers('Packets')
  async list(@OfShift() shift: Shift): Promise<Answer['Packets']> {
    requireMay(shift)
    const packets = await this.packets.list(shift.kitchenId)
    return { packets: packets.map((packet) => ({ ...packet, keptUntil: packet.askedAt + KEPT })) }
  }

  @Post()
  @HttpCode(202)
  @Needs('write')
  @Answers('PacketAsked', 202)
  async ask(
    @OfShift() shift: Shift,
    @Body() { from, to, scale, language = 'en-GB' }: AskPacketDto,
  ): Promise<Answer['PacketAsked']> {
    if (shift.role !== 'lead') throw new Problem(403, 'not yours', 'The lead asks for records to hand out.')
    requireDays({ from, to })
    const days = daysBetween(from, to) + 1
    if (days > LONGEST_DAYS)
      throw new Problem(
        422,
        'bad period',
        `That is ${days} days. A packet holds a year: ask for the years one by one.`,
        'to',
      )
    return { id: await this.packets.ask(shift.kitchenId, shift.personId, from, to, { scale, language }) }
  }

  @Post(':id/cancel')
  @HttpCode(200)
  @Needs('write')
  @Answers('PacketCancelled')
  async cancel(@OfShift() shift: Shift, @Param('id', ParseUUIDPipe) id: Id): Promise<Answer['PacketCancelled']> {
    if (shift.role !== 'lead') throw new Problem(403, 'not yours', 'The lead asks for records to hand out.')
    await this.packets.cancel(shift.kitchenId, id)
    return { cancelled: true }
  }

  /** The packet itself. Whoever was cut off asks for the rest with a range. */
  @Get(':id/file')
  @Needs('read')
  @AnswersFile('application/zip')
  async file(@OfShift() shift: Shift, @Param('id', ParseUUIDPipe) id: Id, @Res() response: Response): Promise<void> {
    requireMay(shift)
    const { path, name } = await this.packets.file(shift.kitchenId, id)
    response.download(path, name, { acceptRanges: true, cacheControl: false, dotfiles: 'allow' })
  }
}

function requireMay({ role }: Shift): void {
  if (role !== 'lead' && role !== 'inspector')
    throw new Problem(
      403,
      'not yours',
      'Records to hand out are the lead’s, and an auditor’s. Open a shift of your own to see them.',
    )
}
