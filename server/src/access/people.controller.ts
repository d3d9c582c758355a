import { Body, Controller, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common'
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger'
import { IsBoolean, IsIn, IsOptional, IsUUID, Length, Matches } from 'class-validator'
import { v7 as uuid } from 'uuid'
import type { EntityManager } from '@mikro-orm/postgresql'
import { ROLES, type Bodies, type Id, type Role } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { Append } from '../ledger/append.service'
import { claimMaker } from '../ledger/claims'
import { LEADS_DIGITS, Pins, requireGoodPin } from '../people/pins.service'
import { hashSecret } from '../people/secretHash'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'
import { SignedDto } from './signed.dto'
import { VISIBLE } from './visible'

class CalledDto extends SignedDto {
  @ApiProperty({ example: 'Ana Lind' })
  @Length(1, 60, { message: 'Give the person a name of 60 letters at most.' })
  @Matches(VISIBLE, { message: 'A name has letters, and none that cannot be seen.' })
  name: string

  @ApiProperty({ example: 'pastry cook', description: 'As it stands under the name' })
  @Length(1, 40, { message: 'Say what they do, in 40 letters at most.' })
  @Matches(VISIBLE, { message: 'A job has letters, and none that cannot be seen.' })
  job: string
}

class AddPersonDto extends CalledDto {
  @ApiProperty({ enum: ROLES })
  @IsIn(ROLES, { message: 'Choose what they may do here.' })
  role: Role

  @ApiPropertyOptional({ description: 'Looks after people, tablets and passwords beside their work' })
  @IsOptional()
  @IsBoolean({ message: 'Looking after people is yes or no.' })
  administers?: boolean

  @ApiProperty({ description: 'The PIN of the new person' })
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four to twelve digits.' })
  next: string
}

class GiveRoleDto extends SignedDto {
  @ApiProperty({ enum: ROLES, nullable: true, description: 'null: works here no more' })
  @IsIn([...ROLES, null], { message: 'Choose what they may do here.' })
  role: Role | null

  @ApiPropertyOptional({ description: 'Looks after people, tablets and passwords beside their work' })
  @IsOptional()
  @IsBoolean({ message: 'Looking after people is yes or no.' })
  administers?: boolean
}

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

/**
 * Who works here. The logbook says who may do what, by id; names, jobs and PINs stand beside it, and change together with
 * the entry that says so.
 */
@ApiTags('people')
@Controller('people')
export class PeopleController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly pins: Pins,
    private readonly append: Append,
  ) {}

  /** Another PIN: that it changed is an entry, what it is stands nowhere. */
  @Post('pin')
  @HttpCode(200)
  @Needs('write')
  @Answers('PinChanged')
  async changePin(@OfShift() shift: Shift, @Body() body: ChangePinDto): Promise<Answer['PinChanged']> {
    const { person, signer, pin, next } = body
    const { role } = await this.listed(shift.kitchenId, person)
    requireGoodPin(next, role ?? 'cook', 'next')
    await this.pins.require(shift.kitchenId, signer, pin, placeOf(shift))
    const hash = await hashSecret(next)
    await this.enter(shift, signer, 'pin-changed', { person }, (em) =>
      query(em, {
        sql: 'update person set pin_hash = ?, pin_digits = ? where kitchen_id = ? and id = ?',
        params: [hash, next.length, shift.kitchenId, person],
      }),
    )
    return { changed: true }
  }

  /** Somebody new, with a role and a PIN. */
  @Post()
  @HttpCode(200)
  @Needs('write')
  @Answers('PersonAdded')
  async add(@OfShift() shift: Shift, @Body() body: AddPersonDto): Promise<Answer['PersonAdded']> {
    const { kitchenId } = shift
    const { name, job, role, administers = false, next, signer, pin } = body
    requireGoodPin(next, role, 'next')
    await this.pins.require(kitchenId, signer, pin, placeOf(shift))
    const id = uuid()
    const hash = await hashSecret(next)
    await this.enter(shift, signer, 'role-given', { person: id, role, administers }, async (em) => {
      await requireFree(em, kitchenId, id, name)
      await query(em, {
        sql: 'select add_person(?, ?, ?, ?, ?, ?, ?::smallint)',
        params: [kitchenId, id, name.trim(), role, job.trim(), hash, next.length],
      })
    })
    return { id }
  }

  /** Another role, or none any more: then no tablet opens with that name, and what is open with it closes. */
  @Post(':id/role')
  @HttpCode(200)
  @Needs('write')
  @Answers('PersonChanged')
  async giveRole(
    @OfShift() shift: Shift,
    @Param('id', new ParseUUIDPipe()) person: Id,
    @Body() { role, administers = false, signer, pin }: GiveRoleDto,
  ): Promise<Answer['PersonChanged']> {
    const { name, digits } = await this.listed(shift.kitchenId, person)
    if (role === 'lead' && digits < LEADS_DIGITS)
      throw new Problem(
        409,
        'short pin',
        `A food-safety lead signs with ${LEADS_DIGITS} digits. Give ${name} a longer PIN first.`,
        'role',
      )
    await this.pins.require(shift.kitchenId, signer, pin, placeOf(shift))
    await this.enter(shift, signer, 'role-given', { person, role, administers }, () => Promise.resolve())
    return { changed: true }
  }

  private async listed(kitchenId: Id, person: Id): Promise<Listed> {
    const [row] = await this.scope.inKitchen(kitchenId, (em) =>
      query<Listed>(em, {
        sql: `select p.name, p.pin_digits as digits,
            (select each ->> 'role' from kitchen_state k, jsonb_array_elements(k.state -> 'people') each
             where k.kitchen_id = p.kitchen_id and k.id = p.kitchen_id and each ->> 'id' = p.id::text) as role
          from person p where p.kitchen_id = ? and p.id = ?`,
        params: [kitchenId, person],
      }),
    )
    if (!row) throw new Problem(404, 'not there', 'Nobody of this kitchen has that name.', 'person')
    return row
  }

  /** Signed by who typed a PIN that was found right. */
  private enter<K extends 'pin-changed' | 'role-given'>(
    { kitchenId, personId: postedBy, deviceId }: Shift,
    signedBy: Id,
    kind: K,
    body: Bodies[K],
    rows: (em: EntityManager) => Promise<unknown>,
  ): Promise<void> {
    const claims = [claimMaker(kitchenId, deviceId)(kind, kitchenId, clock.now(), signedBy, body)]
    return this.append.withRows({ kitchenId, postedBy, signedBy, clockAheadMs: 0, claims }, rows)
  }
}

interface Listed {
  name: string
  digits: number
  /** null: works here no more. */
  role: Role | null
}

/** Two people of one name could not be told apart at the door. The chain's head is locked: nobody adds another meanwhile. */
async function requireFree(em: EntityManager, kitchenId: Id, id: Id, name: string): Promise<void> {
  const [same] = await query<{ name: string }>(em, {
    sql: `select name from person
      where kitchen_id = ? and id <> ? and lower(name) = lower(?) and works_here(kitchen_id, id)`,
    params: [kitchenId, id, name.trim()],
  })
  if (same)
    throw new Problem(
      409,
      'already there',
      `There is a ${same.name} already. Add a letter that tells them apart.`,
      'name',
    )
}
