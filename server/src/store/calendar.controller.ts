import { timingSafeEqual } from 'node:crypto'
import { Controller, Get, Param, ParseUUIDPipe, Post, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import { addDays, parseDay, type ItemCard } from '@logged-thermal/core'
import { measureWords, type Spoken } from '@logged-thermal/wording'
import { readerOf } from '../people/reader'
import { KitchenScope } from '../database/kitchenScope'
import { Refold } from '../ledger/refold'
import { StatesRepository } from '../ledger/states.repository'
import { Problem } from '../http/problem'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import ical from 'ical-generator'
import { CalendarRepository } from './calendar.repository'
import { StoreRepository } from './store.repository'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const NO_FEED = () => new Problem(404, 'not there', 'There is no calendar at this address.', 'secret')

/** Discard and ready dates as a calendar, at an address that only the kitchen knows. */
@ApiTags('calendar')
@Controller()
export class CalendarController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly refold: Refold,
    private readonly states: StatesRepository,
    private readonly calendars: CalendarRepository,
    private readonly repository: StoreRepository,
  ) {}

  /** The address, made the first time it is asked for. */
  @Get('store/feed')
  @Needs('write')
  @Answers('Calendar')
  feed(@OfShift() { kitchenId }: Shift): Promise<Answer['Calendar']> {
    return this.scope.inKitchen(kitchenId, async (em) => ({
      path: pathOf(kitchenId, await this.calendars.secretOrNew(em, kitchenId)),
    }))
  }

  /** Another address: the old one answers no more, to whomever it was given. The lead's to do. */
  @Post('store/feed/renew')
  @Needs('write')
  @Answers('Calendar', 201)
  renew(@OfShift() { kitchenId, personId }: Shift): Promise<Answer['Calendar']> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const kitchen = await this.states.one(em, kitchenId, 'kitchen', kitchenId)
      if (kitchen?.people?.find(({ id }) => id === personId)?.role !== 'lead')
        throw new Problem(403, 'not yours', 'Only the food-safety lead gives the calendar another address.')
      return { path: pathOf(kitchenId, await this.calendars.renew(em, kitchenId)) }
    })
  }

  @Needs('nothing')
  @Get('calendar/:kitchen/:file')
  @AnswersFile('text/calendar')
  async calendar(
    @Param('kitchen', new ParseUUIDPipe({ exceptionFactory: NO_FEED })) kitchenId: string,
    @Param('file') file: string,
    @Res() response: Response,
  ) {
    const given = file.replace(/\.ics$/, '')
    await this.refold.whole(kitchenId)
    const text = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const secret = await this.calendars.secret(em, kitchenId)
      if (secret === null || !isSame(secret, given)) throw NO_FEED()
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const units = await this.states.all(em, kitchenId, 'unit')
      const nameOf = (id: string | null) => units.find((unit) => unit.id === id)?.name ?? 'out'
      return calendarOf(kitchen.name, await this.repository.ending(em, kitchenId), nameOf, readerOf(kitchen, 24))
    })
    response.type('text/calendar').set('Cache-Control', 'private, max-age=300').send(text)
  }
}

function calendarOf(
  name: string,
  cards: readonly ItemCard[],
  unitName: (id: string | null) => string,
  reader: Spoken,
): string {
  const calendar = ical({ name: `${name}: cold store`, prodId: { company: 'Logged Thermal', product: 'cold store' } })
  for (const card of cards) {
    const { id, code, name: dish, left, lastDay, ready, ruledBy, unit } = card
    const what = `${dish} ${code}`
    const described = `${measureWords(left, reader)}, ${unitName(unit)}. Set by ${ruledBy}.`
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

function pathOf(kitchenId: string, of: string): string {
  return `/api/calendar/${kitchenId}/${of}.ics`
}

function isSame(a: string, b: string): boolean {
  const [left, right] = [Buffer.from(a), Buffer.from(b)]
  return left.length === right.length && timingSafeEqual(left, right)
}
