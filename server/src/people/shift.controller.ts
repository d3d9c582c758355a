import { LoginRepository } from './login.repository'
import { Body, Controller, Get, HttpCode, Post, Req, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { CookieOptions, Request, Response } from 'express'
import { OpenShiftDto } from './openShift.dto'
import { Problem } from '../http/problem'
import { idOf } from './handles'
import { cookieOf, Needs, SHIFT_COOKIE, TABLET_COOKIE } from './shift.guard'
import { Tablets } from './tablets.service'
import { Shifts } from './shifts.service'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

export const COOKIE_DAYS = 90

/** Kept from scripts and from other sites. */
export function cookieOptions(request: Request, days: number): CookieOptions {
  return { httpOnly: true, sameSite: 'strict', secure: request.secure, path: '/api', maxAge: days * 86_400_000 }
}

@ApiTags('shift')
@Controller()
export class ShiftController {
  constructor(
    private readonly names: LoginRepository,
    private readonly shifts: Shifts,
    private readonly tablets: Tablets,
  ) {}

  /** Who can open a shift in which kitchen. */
  @Needs('nothing')
  @Get('login')
  @Answers('Login')
  async login(@Req() request: Request): Promise<Answer['Login']> {
    return this.names.read(await this.tablets.find(cookieOf(request, TABLET_COOKIE)))
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
    @Body() { kitchen: inKitchen, person: who, pin, device }: OpenShiftDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Shift']> {
    const [kitchen, person] = [idOf(inKitchen), idOf(who)]
    if (!kitchen || !person)
      throw new Problem(403, 'not on the list', 'That list of names is old. Load the page again.', 'person')
    const tablet = await this.tablets.find(cookieOf(request, TABLET_COOKIE))
    const token = await this.shifts.open(kitchen, person, pin, device, tablet)
    response.cookie(SHIFT_COOKIE, token, cookieOptions(request, COOKIE_DAYS))
    return { shift: { kitchen, person, open: true } }
  }

  /** Hands touched the tablet: the shift goes on, unless it has locked already. */
  @Post('shift/touched')
  @HttpCode(200)
  @Needs('read')
  @Answers('Shift')
  async touched(@Req() request: Request): Promise<Answer['Shift']> {
    const cookie = cookieOf(request)
    if (cookie) await this.shifts.touch(cookie)
    return this.current(request)
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
