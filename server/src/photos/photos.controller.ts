import { createHash } from 'node:crypto'
import { Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common'
import { ApiProperty, ApiTags } from '@nestjs/swagger'
import { IsString, Matches, MaxLength } from 'class-validator'
import type { Response } from 'express'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { pictureIn } from './jpeg'

/** A photo's bytes and sides at most: a tablet makes it so small before it sends it. */
const MOST_BYTES = 450_000
const MOST_SIDE = 1600
/** Photos of a kitchen in a day: nobody needs more, and a disk is soon full. */
const MOST_A_DAY = 200

class PhotoDto {
  @ApiProperty({ description: 'A JPEG, base64' })
  @IsString({ message: 'That is no picture.' })
  @Matches(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'That is no picture.' })
  @MaxLength(Math.ceil((MOST_BYTES * 4) / 3), { message: 'That picture is too large. Take a smaller one.' })
  jpeg: string
}

/** Photos that belong to an incident: kept under their hash, which the entry names. */
@ApiTags('photos')
@Controller('photos')
export class PhotosController {
  constructor(private readonly scope: KitchenScope) {}

  /** Keeps a photo, without anything that says where or with what it was taken. The same one again is the same one. */
  @Post()
  @HttpCode(200)
  @Needs('write')
  @Answers('PhotoKept')
  async keep(@OfShift() { kitchenId, personId }: Shift, @Body() { jpeg }: PhotoDto): Promise<Answer['PhotoKept']> {
    const picture = pictureIn(Buffer.from(jpeg, 'base64'))
    if (!picture) throw new Problem(422, 'no picture', 'That is no picture, or only a part of one.', 'jpeg')
    const { bytes, width, height } = picture
    if (bytes.length > MOST_BYTES || Math.max(width, height) > MOST_SIDE || Math.min(width, height) === 0)
      throw new Problem(422, 'too large', 'That picture is too large. Take a smaller one.', 'jpeg')
    const hash = createHash('sha256').update(bytes).digest('hex')
    const now = clock.now()
    await this.scope.inKitchen(kitchenId, async (em) => {
      const [today] = await query<{ count: string }>(em, {
        sql: 'select count(*) from photo where kitchen_id = ? and at > ?',
        params: [kitchenId, now - 86_400_000],
      })
      if (Number(today!.count) >= MOST_A_DAY)
        throw new Problem(429, 'too many', `${MOST_A_DAY} photos were kept today. Tell of it without one.`, 'jpeg')
      await query(em, {
        sql: `insert into photo (kitchen_id, hash, bytes, at, by) values (?, ?, decode(?, 'base64'), ?, ?)
          on conflict (kitchen_id, hash) do nothing`,
        params: [kitchenId, hash, bytes.toString('base64'), now, personId],
      })
    })
    return { hash }
  }

  @Get(':hash')
  @Needs('read')
  @AnswersFile('image/jpeg')
  async photo(@OfShift() { kitchenId }: Shift, @Param('hash') hash: string, @Res() response: Response): Promise<void> {
    const [row] = /^[0-9a-f]{64}$/.test(hash)
      ? await this.scope.inKitchen(kitchenId, (em) =>
          query<{ bytes: Buffer }>(em, {
            sql: 'select bytes from photo where kitchen_id = ? and hash = ?',
            params: [kitchenId, hash],
          }),
        )
      : []
    if (!row) throw new Problem(404, 'not there', 'This kitchen has no such photo.', 'hash')
    response.type('image/jpeg').set('Cache-Control', 'private, max-age=31536000, immutable').send(row.bytes)
  }
}
