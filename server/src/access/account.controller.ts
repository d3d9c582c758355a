import { Body, Controller, Get, HttpCode, Post, Req, Res } from '@nestjs/common'
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger'
import { IsOptional, IsUUID, Length, Matches } from 'class-validator'
import type { CookieOptions, Request, Response } from 'express'
import { toString as qrCode } from 'qrcode'
import { Answers } from '../http/answers.decorator'
import type { AccountAnswer, Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { Accounts, type Account } from '../people/accounts.service'
import { codeUri, newCodeSecret, newRecoveryCodes } from '../people/oneTimeCodes'
import { LONGEST_PASSWORD } from '../people/password'
import { COOKIE_DAYS, cookieOptions } from '../people/shift.controller'
import { ACCOUNT_COOKIE, cookieOf, Needs, OfAccount, SHIFT_COOKIE, TABLET_COOKIE } from '../people/shift.guard'
import { Shifts } from '../people/shifts.service'
import { Tablets } from '../people/tablets.service'

class PasswordDto {
  @ApiProperty()
  @Length(1, LONGEST_PASSWORD, { message: 'Type your password.' })
  password: string
}

class SignInDto extends PasswordDto {
  @ApiProperty({ example: 'ilse.varrow' })
  @Length(1, 60, { message: 'Type the name that you sign in with.' })
  called: string

  @ApiPropertyOptional({ description: 'Of the app, or a recovery code' })
  @IsOptional()
  @Length(6, 20, { message: 'A code has six digits; a recovery code has twelve letters and digits.' })
  code?: string
}

class CodeDto {
  @ApiProperty({ example: '407153' })
  @Matches(/^\d{6}$/, { message: 'The code of the app has six digits.' })
  code: string
}

class OpenDto {
  @ApiProperty({ format: 'uuid' })
  @IsUUID(undefined, { message: 'Choose a kitchen.' })
  kitchen: string

  @ApiProperty({ format: 'uuid', description: 'The tablet, made by it once and kept.' })
  @IsUUID(undefined, { message: 'The tablet has to name itself with a UUID.' })
  device: string
}

/** Signing in with a password, and what somebody sets for themselves then. */
@ApiTags('account')
@Controller()
export class AccountController {
  constructor(
    private readonly accounts: Accounts,
    private readonly shifts: Shifts,
    private readonly tablets: Tablets,
  ) {}

  /** Signs in with name, password and, where they are on, a one-time code. */
  @Post('sign-in')
  @HttpCode(200)
  @Needs('nothing')
  @Answers('Account')
  async signIn(
    @Body() { called, password, code }: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Account']> {
    const token = await this.accounts.signIn(called, password, code ?? null, cookieOf(request, ACCOUNT_COOKIE))
    response.cookie(ACCOUNT_COOKIE, token, forThisBrowser(request))
    return { account: answered(await this.accounts.find(token)) }
  }

  /** Who is signed in here: null while nobody is. */
  @Get('account')
  @Needs('nothing')
  @Answers('Account')
  async current(@Req() request: Request): Promise<Answer['Account']> {
    const cookie = cookieOf(request, ACCOUNT_COOKIE)
    return { account: answered(cookie === null ? null : await this.accounts.find(cookie)) }
  }

  @Post('account/out')
  @HttpCode(200)
  @Needs('account')
  @Answers('Account')
  async signOut(
    @OfAccount() account: Account,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Account']> {
    const cookie = cookieOf(request, ACCOUNT_COOKIE)
    if (cookie) await this.accounts.signOut(cookie)
    const opened = cookieOf(request) ?? ''
    const shift = await this.shifts.find(opened)
    // The shift that was opened so ends with it; a tablet of the kitchen stays one.
    if (shift?.tabletId === null && account.kitchens.some(({ person }) => person === shift.personId))
      await this.shifts.end(opened)
    response.clearCookie(ACCOUNT_COOKIE, { path: '/api' })
    return { account: null }
  }

  /** Opens a shift in one of the account's kitchens. */
  @Post('account/open')
  @HttpCode(200)
  @Needs('account')
  @Answers('Shift')
  async open(
    @OfAccount() account: Account,
    @Body() { kitchen, device }: OpenDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Answer['Shift']> {
    const own = account.kitchens.find(({ id }) => id === kitchen)
    if (!own) throw new Problem(403, 'other kitchen', 'You do not work in that kitchen.', 'kitchen')
    const tablet = await this.tablets.find(cookieOf(request, TABLET_COOKIE))
    const token = await this.shifts.begin(kitchen, own.person, device, tablet)
    response.cookie(SHIFT_COOKIE, token, cookieOptions(request, COOKIE_DAYS))
    return { shift: { kitchen, person: own.person, open: true } }
  }

  /** A secret for an app that shows codes; they are asked for once its first code came. */
  @Post('account/codes')
  @HttpCode(200)
  @Needs('account')
  @Answers('CodesPrepared')
  async prepareCodes(
    @OfAccount() account: Account,
    @Body() { password }: PasswordDto,
  ): Promise<Answer['CodesPrepared']> {
    const secret = newCodeSecret()
    await this.accounts.prepareCodes(account, password, secret)
    const uri = codeUri(secret, account.name)
    return { uri, qr: await qrCode(uri, { type: 'svg', margin: 2 }) }
  }

  /** The first code of the app. Answers codes for whoever loses it, told once. */
  @Post('account/codes/on')
  @HttpCode(200)
  @Needs('account')
  @Answers('CodesOn')
  async turnCodesOn(@OfAccount() account: Account, @Body() { code }: CodeDto): Promise<Answer['CodesOn']> {
    const recovery = newRecoveryCodes()
    await this.accounts.turnCodesOn(account, code, recovery)
    return { recovery }
  }

  @Post('account/codes/off')
  @HttpCode(200)
  @Needs('account')
  @Answers('Account')
  async turnCodesOff(@OfAccount() account: Account, @Body() { password }: PasswordDto): Promise<Answer['Account']> {
    await this.accounts.turnCodesOff(account, password)
    return { account: answered({ ...account, codes: false }) }
  }
}

/** Until the browser is closed, and never longer than the session. */
function forThisBrowser(request: Request): CookieOptions {
  const options = cookieOptions(request, 1)
  delete options.maxAge
  return options
}

function answered(account: Account | null): AccountAnswer | null {
  if (!account) return null
  const { name, codes, kitchens } = account
  return { name, codes, kitchens: kitchens.map(({ id, name: called, role }) => ({ id, name: called, role })) }
}
