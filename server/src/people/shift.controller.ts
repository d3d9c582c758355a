import { LoginRepository } from './login.repository'
import { Body, Controller, Get, HttpCode, Post, Req, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Request, Response } from 'express'
import { OpenShiftDto } from './openShift.dto'
import { cookieOf, Needs, SHIFT_COOKIE } from './shift.guard'
import { Shifts } from './shifts.service'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const COOKIE_DAYS = 90

@ApiTags('shift')
@Controller()
export class ShiftController {
  constructor(
    private readonly names: LoginRepository,
    private readonly shifts: Shifts,
  ) {}

  /** Who can open a shift in which kitchen. */
  @Needs('nothing')
  @Get('login')
  @Answers('Login')
  login(): Promise<Answer['Login']> {
    return this.names.read()
  }

  /** The shift of this tablet: null while it belongs to no kitchen. */
  @Needs('nothing')
  @Get('shift')
  @Answers('Shift')
  async current(@Req() request: Request): Promise<Answer['Shift']> {
    const cookie = cookieOf(request)
    const shift = cookie ? await this.shifts.find(cookie) : null
    return { shift: shift && { kitchen: shift.kitchenId, person: shift.personId, open: shift.open } }
  }

  /** Opens a shift with name and PIN. */
  @Needs('nothing')
  @Post('shift')
  @HttpCode(200)
  @Answers('Shift')
  async open(
    @Body() { kitchen, person, pin, device }: OpenShiftDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Shift']> {
    const token = await this.shifts.open(kitchen, person, pin, device)
    response.cookie(SHIFT_COOKIE, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/api',
      maxAge: COOKIE_DAYS * 86_400_000,
    })
    return { shift: { kitchen, person, open: true } }
  }

  /** Locks the shift; the Line stays readable. */
  @Post('shift/lock')
  @HttpCode(200)
  @Needs('read')
  @Answers('Locked')
  async lock(@Req() request: Request): Promise<Answer['Locked']> {
    const cookie = cookieOf(request)
    if (cookie) await this.shifts.lock(cookie)
    return { locked: true }
  }
}
