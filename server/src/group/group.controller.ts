import { Controller, Get, Param, ParseUUIDPipe, Req, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Request, Response } from 'express'
import { DAY, type BatchState, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { KeptLines } from '../line/keptLines.service'
import { sendPacked } from '../line/sendPacked'
import type { Account } from '../people/accounts.service'
import { Needs, OfAccount } from '../people/shift.guard'
import { figuresOf } from './compare'

/** Batches of so long ago are compared, ms. */
const COMPARED = 30 * DAY

/** The kitchens that somebody leads or audits, to be read beside each other. Nothing is written across them. */
@ApiTags('group')
@Controller('group')
@Needs('account')
export class GroupController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly lines: KeptLines,
  ) {}

  @Get()
  @Answers('Group')
  async group(@OfAccount() account: Account): Promise<Answer['Group']> {
    const now = clock.now()
    const kitchens = await Promise.all(
      led(account).map(async ({ id, name }) => ({ id, name, ...figuresOf(await this.batches(id, now - COMPARED)) })),
    )
    return { now, kitchens }
  }

  /** The Line of one of them, as its own tablets are told it. */
  @Get(':kitchen/line')
  @Answers('Line')
  async line(
    @OfAccount() account: Account,
    @Param('kitchen', new ParseUUIDPipe()) kitchen: Id,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    requireLed(account, kitchen)
    sendPacked(request, response, await this.lines.of(kitchen))
  }

  /** A piece of a long trace that such a Line named. */
  @Get(':kitchen/line/traces/:hash')
  @Answers('TracePiece')
  piece(
    @OfAccount() account: Account,
    @Param('kitchen', new ParseUUIDPipe()) kitchen: Id,
    @Param('hash') hash: string,
    @Req() request: Request,
    @Res() response: Response,
  ): void {
    requireLed(account, kitchen)
    const piece = this.lines.piece(kitchen, hash)
    if (!piece) throw new Problem(404, 'not there', 'The Line has gone on. Ask for it again.', 'hash')
    sendPacked(request, response, piece)
  }

  private batches(kitchen: Id, since: number): Promise<BatchState[]> {
    return this.scope.inKitchen(kitchen, async (em) => {
      const rows = await query<{ state: BatchState }>(em, {
        sql: `select state from batch where kitchen_id = ? and (state ->> 'startedAt')::bigint >= ?`,
        params: [kitchen, since],
      })
      return rows.map(({ state }) => state)
    })
  }
}

/** Where somebody answers for the kitchen, or audits it. */
function led({ kitchens }: Account): Account['kitchens'] {
  return kitchens.filter(({ role }) => role === 'lead' || role === 'inspector')
}

function requireLed(account: Account, kitchen: Id): void {
  if (!led(account).some(({ id }) => id === kitchen))
    throw new Problem(403, 'other kitchen', 'You do not lead or audit that kitchen.', 'kitchen')
}
