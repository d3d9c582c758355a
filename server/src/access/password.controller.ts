import { Body, Controller, HttpCode, Post } from '@nestjs/common'
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger'
import { IsOptional, IsUUID, Length, Matches } from 'class-validator'
import { signsIn, type Member } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { Append } from '../ledger/append.service'
import { claimMaker } from '../ledger/claims'
import { StatesRepository } from '../ledger/states.repository'
import { Accounts } from '../people/accounts.service'
import { LONGEST_PASSWORD, requireGoodPassword } from '../people/password'
import { Pins } from '../people/pins.service'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'
import { SignedDto } from './signed.dto'
import { VISIBLE } from './visible'

class GivePasswordDto extends SignedDto {
  @ApiProperty({ format: 'uuid', description: 'Whose it is' })
  @IsUUID(undefined, { message: 'Tap a name.' })
  person: string

  @ApiProperty({ example: 'ilse.varrow', description: 'The name to sign in with, the only one in the installation' })
  @Length(3, 60, { message: 'A name to sign in with has 3 to 60 letters.' })
  @Matches(VISIBLE, { message: 'A name has letters, and none that cannot be seen.' })
  called: string

  @ApiProperty()
  @Length(1, LONGEST_PASSWORD, { message: `A password has ${LONGEST_PASSWORD} characters at most.` })
  password: string

  @ApiPropertyOptional({ description: 'As it is now, where it opens another kitchen too' })
  @IsOptional()
  @Length(1, LONGEST_PASSWORD, { message: `A password has ${LONGEST_PASSWORD} characters at most.` })
  current?: string
}

/** Passwords for those who read and decide away from the stove. */
@ApiTags('people')
@Controller('people/password')
export class PasswordController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly pins: Pins,
    private readonly append: Append,
    private readonly accounts: Accounts,
    private readonly states: StatesRepository,
  ) {}

  /** A password for a lead, an auditor or an administrator: that there is one is an entry, what it is stands nowhere. */
  @Post()
  @HttpCode(200)
  @Needs('write')
  @Answers('PasswordGiven')
  async give(@OfShift() shift: Shift, @Body() body: GivePasswordDto): Promise<Answer['PasswordGiven']> {
    const { kitchenId, personId: postedBy, deviceId } = shift
    const { person, called, password, current, signer, pin } = body
    const { names, people } = await this.known(kitchenId, person)
    if (!signsIn(people, person))
      throw new Problem(
        409,
        'no password',
        'A password is for a food-safety lead, an auditor, or whoever looks after people and tablets. All others open a tablet with their name and PIN.',
        'person',
      )
    requireGoodPassword(password, [...names, called])
    await this.pins.require(kitchenId, signer, pin, placeOf(shift))
    const claims = [claimMaker(kitchenId, deviceId)('password-given', kitchenId, clock.now(), signer, { person })]
    await this.append.withRows({ kitchenId, postedBy, signedBy: signer, clockAheadMs: 0, claims }, () =>
      this.accounts.give(kitchenId, person, called.trim(), password, current ?? null),
    )
    return { given: true }
  }

  private known(kitchenId: string, person: string): Promise<{ names: string[]; people: readonly Member[] }> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const [row] = await query<{ name: string; kitchen: string }>(em, {
        sql: `select p.name, k.name as kitchen
          from person p join kitchen k on k.id = p.kitchen_id where p.kitchen_id = ? and p.id = ?`,
        params: [kitchenId, person],
      })
      if (!row) throw new Problem(404, 'not there', 'Nobody of this kitchen has that name.', 'person')
      const kitchen = await this.states.one(em, kitchenId, 'kitchen', kitchenId)
      return { names: [row.name, row.kitchen], people: kitchen?.people ?? [] }
    })
  }
}
