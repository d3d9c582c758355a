import { Controller, Get, Inject, Param, ParseUUIDPipe, Query, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { Transform, Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsIn, IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator'
import type { Response } from 'express'
import {
  allergenNotice,
  ALLERGENS,
  type Instant,
  type ItemCard,
  type LimitSet,
  labellingOf,
  type Id,
  type ItemState,
} from '@logged-thermal/core'
import { labelFactsOf, noticeWords, PAPERS, type LabelFacts, type Paper, type Reader } from '@logged-thermal/wording'
import type { EntityManager } from '@mikro-orm/postgresql'
import { KitchenScope } from '../database/kitchenScope'
import { Problem } from '../http/problem'
import { Kitchen } from '../people/kitchen.entity'
import { readerOf } from '../people/reader'
import { Person } from '../people/person.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { StatesRepository } from '../ledger/states.repository'
import { HeldStore } from '../store/heldStore'
import { Workers, type Work } from '../workers/workers.service'
import type { NoticeText } from './noticeSheet'
import type * as LabelsWork from './labels.work'
import { clock } from '../clock/clock'
import { AnswersFile } from '../http/answers.decorator'

const WORK: Work<typeof LabelsWork> = { file: require.resolve('./labels.work') }

class PictureQuery {
  /** Sold packed: it says what the rule set asks of such a label. */
  @IsOptional()
  @IsIn(['sale'])
  use?: 'sale'

  /** As the tablet knows it: another picture has another address. */
  @IsOptional()
  @Matches(/^[\w-]{1,40}$/)
  v?: string
}

class SheetQuery extends PictureQuery {
  @Transform(({ value }: { value: unknown }) => String(value).split(','))
  @IsUUID(undefined, { each: true })
  @ArrayMinSize(1)
  @ArrayMaxSize(200)
  items: string[]

  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(200)
  copies: number

  @IsIn(Object.keys(PAPERS))
  paper: Paper
}

/** As many labels, copies counted, are printed at a time. */
const MOST_LABELS = 500

export const SERVER_ADDRESS = Symbol('server address')

/** Labels of items, to be printed. What was printed is entered by the tablet that asked. */
@ApiTags('labels')
@Controller('labels')
@Needs('read')
export class LabelsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly held: HeldStore,
    private readonly states: StatesRepository,
    private readonly workers: Workers,
    @Inject(SERVER_ADDRESS) private readonly address: string,
  ) {}

  @Get('sheet.pdf')
  @AnswersFile('application/pdf')
  async sheet(
    @OfShift() { kitchenId }: Shift,
    @Query() { items, copies, paper, use }: SheetQuery,
    @Res() response: Response,
  ) {
    if (items.length * copies > MOST_LABELS)
      throw new Problem(400, 'bad field', `Print at most ${MOST_LABELS} labels at a time.`, 'copies')
    const facts = await this.facts(kitchenId, items, use === 'sale')
    const pdf = await this.workers.run(WORK, 'sheet', { facts, copies, paper })
    response.type('application/pdf').set('Content-Disposition', 'inline; filename="labels.pdf"').send(Buffer.from(pdf))
  }

  /** What every dish that is held has in it, to be hung up where it is sold or served unpacked. */
  @Get('notice.pdf')
  @AnswersFile('application/pdf')
  async notice(@OfShift() { kitchenId }: Shift, @Res() response: Response) {
    const text = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const { limits } = await this.held.judgedBy(em, kitchenId, clock.now())
      const cards = (await this.held.items(em, kitchenId)).map(({ card }) => JSON.parse(card) as ItemCard)
      return noticeText(cards, limits, kitchen.name, clock.now(), readerOf(kitchen, limits.practice.clock ?? 24))
    })
    const pdf = await this.workers.run(WORK, 'notice', text)
    response
      .type('application/pdf')
      .set('Content-Disposition', 'inline; filename="allergens.pdf"')
      .send(Buffer.from(pdf))
  }

  @Get(':id.png')
  @AnswersFile('image/png')
  async picture(
    @OfShift() { kitchenId }: Shift,
    @Param('id', new ParseUUIDPipe()) id: string,
    @Query() { use }: PictureQuery,
    @Res() response: Response,
  ) {
    const [facts] = await this.facts(kitchenId, [id], use === 'sale')
    response.type('image/png').send(Buffer.from(await this.workers.run(WORK, 'picture', facts!)))
  }

  private facts(kitchenId: Id, ids: readonly Id[], forSale: boolean): Promise<LabelFacts[]> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const found = await this.states.some(em, kitchenId, 'item', ids)
      const missing = ids.find((id) => !found.some((item) => item.id === id))
      if (missing) throw new Problem(404, 'not there', 'This kitchen holds nothing by that number.', 'items')
      const own = await this.states.one(em, kitchenId, 'kitchen', kitchenId)
      return factsOf(
        this.held,
        em,
        kitchenId,
        ids.map((id) => found.find((item) => item.id === id)!),
        this.address,
        own?.named?.address ?? null,
        forSale,
      )
    })
  }
}

/** The rule set's own list where it asks for one in writing, else every allergen. */
function noticeText(
  cards: readonly ItemCard[],
  limits: LimitSet,
  kitchen: string,
  now: Instant,
  reader: Reader,
): NoticeText {
  const { packed, unpacked } = labellingOf(limits.ruleSet.key)
  const { document, section, edition } = (unpacked ?? packed).source
  return {
    ...noticeWords(`${document}, ${section}, ${edition}`, now, reader),
    kitchen,
    rows: allergenNotice(cards, unpacked?.allergens ?? ALLERGENS),
  }
}

async function factsOf(
  held: HeldStore,
  em: EntityManager,
  kitchenId: Id,
  items: readonly ItemState[],
  address: string,
  ofKitchen: string | null,
  forSale: boolean,
): Promise<LabelFacts[]> {
  const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
  const people = await em.find(Person, { kitchenId })
  const now = clock.now()
  const { limits } = await held.judgedBy(em, kitchenId, now)
  const reader = readerOf(kitchen, limits.practice.clock ?? 24)
  const printed = { origin: address, kitchen: kitchen.name, place: ofKitchen, forSale, limits, now, reader }
  return items.map((item) => labelFactsOf(item, people, printed))
}
