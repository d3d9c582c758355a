import { randomBytes, timingSafeEqual } from 'node:crypto'
import { Controller, Get, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import { addDays, parseDay, type ItemCard, type UnitState } from '@logged-thermal/core'
import { measureWords } from '@logged-thermal/wording'
import { KitchenScope } from '../database/kitchenScope'
import { Refold } from '../ledger/refold'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import ical from 'ical-generator'

const NO_FEED = () => new Problem(404, 'not there', 'There is no calendar at this address.', 'secret')

/** Discard and ready dates as a calendar, at an address that only the kitchen knows. */
@ApiTags('calendar')
@Controller()
export class FeedController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly refold: Refold,
  ) {}

  /** The address, made the first time it is asked for. */
  @Get('store/feed')
  @Needs('write')
  feed(@OfShift() { kitchenId }: Shift) {
    return this.scope.inKitchen(kitchenId, async (em) => {
      await query(em, {
        sql: 'insert into feed (kitchen_id, secret) values (?, ?) on conflict do nothing',
        params: [kitchenId, secret()],
      })
      const [row] = await query<{ secret: string }>(em, {
        sql: 'select secret from feed where kitchen_id = ?',
        params: [kitchenId],
      })
      return { path: pathOf(kitchenId, row!.secret) }
    })
  }

  /** Another address: the old one answers no more, to whomever it was given. The lead's to do. */
  @Post('store/feed/renew')
  @Needs('write')
  renew(@OfShift() { kitchenId, personId }: Shift) {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const { role } = await em.findOneOrFail(Person, { kitchenId, id: personId })
      if (role !== 'lead')
        throw new Problem(403, 'not yours', 'Only the food-safety lead gives the calendar another address.')
      const fresh = secret()
      await query(em, {
        sql: 'insert into feed (kitchen_id, secret) values (?, ?) on conflict (kitchen_id) do update set secret = excluded.secret',
        params: [kitchenId, fresh],
      })
      return { path: pathOf(kitchenId, fresh) }
    })
  }

  @Needs('nothing')
  @Get('calendar/:kitchen/:file')
  async calendar(
    @Param('kitchen', new ParseUUIDPipe({ exceptionFactory: NO_FEED })) kitchenId: string,
    @Param('file') file: string,
    @Res() response: Response,
  ) {
    const given = file.replace(/\.ics$/, '')
    await this.refold.whole(kitchenId)
    const text = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const [row] = await query<{ secret: string }>(em, {
        sql: 'select secret from feed where kitchen_id = ?',
        params: [kitchenId],
      })
      if (!row || !isSame(row.secret, given)) throw NO_FEED()
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const cards = await query<{ card: ItemCard }>(em, {
        sql: 'select card from item where kitchen_id = ? and live order by until_ms nulls last limit 2000',
        params: [kitchenId],
      })
      const units = await query<{ state: UnitState }>(em, {
        sql: 'select state from unit where kitchen_id = ?',
        params: [kitchenId],
      })
      const nameOf = (id: string | null) => units.find(({ state }) => state.id === id)?.state.name ?? 'out'
      return calendarOf(
        kitchen.name,
        cards.map(({ card }) => card),
        nameOf,
      )
    })
    response.type('text/calendar').set('Cache-Control', 'private, max-age=300').send(text)
  }
}

function calendarOf(name: string, cards: readonly ItemCard[], unitName: (id: string | null) => string): string {
  const calendar = ical({ name: `${name}: cold store`, prodId: { company: 'Logged Thermal', product: 'cold store' } })
  for (const card of cards) {
    const { id, code, name: dish, left, lastDay, ready, ruledBy, unit } = card
    const what = `${dish} ${code}`
    const described = `${measureWords(left)}, ${unitName(unit)}. Set by ${ruledBy}.`
    if (lastDay) {
      calendar.createEvent({
        id: `${id}-ends`,
        summary: `Last day: ${what}`,
        description: described,
        allDay: true,
        start: new Date(parseDay('lastDay', lastDay)),
        end: new Date(parseDay('lastDay', addDays(lastDay, 1))),
        stamp: new Date(card.made),
      })
    }
    if (ready !== null)
      calendar.createEvent({
        id: `${id}-ready`,
        summary: `Ready: ${what}`,
        description: described,
        start: new Date(ready),
        end: new Date(ready + 15 * 60_000),
        stamp: new Date(card.made),
      })
  }
  return calendar.toString()
}

function secret(): string {
  return randomBytes(24).toString('base64url')
}

function pathOf(kitchenId: string, of: string): string {
  return `/api/calendar/${kitchenId}/${of}.ics`
}

function isSame(a: string, b: string): boolean {
  const [left, right] = [Buffer.from(a), Buffer.from(b)]
  return left.length === right.length && timingSafeEqual(left, right)
}
