import { Body, Controller, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { v7 as uuid } from 'uuid'
import type { EntityManager } from '@mikro-orm/postgresql'
import { backShut, limitsAt, unfitness, type Id, type Unfitness } from '@logged-thermal/core'
import { fitnessShut } from '@logged-thermal/wording'
import { SignedDto } from '../access/signed.dto'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer, UnfitPerson } from '../http/answers'
import { Problem } from '../http/problem'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Pins } from '../people/pins.service'
import { readerOf } from '../people/reader'
import { Needs, OfShift } from '../people/shift.guard'
import { placeOf, type Shift } from '../people/shifts.service'
import { Workers, type Work } from '../workers/workers.service'
import { BackDto, UnfitDto } from './fitness.dto'
import type * as HandledWork from './handled.work'
import { UnfitRepository } from './unfit.repository'

const WORK: Work<typeof HandledWork> = { file: require.resolve('./handled.work') }

/**
 * Who is not fit to work with food. It is the lead's alone: every question, a look too, is signed with their PIN, and
 * nothing of it is in the logbook, which anybody may read and nobody can take anything out of.
 */
@ApiTags('fitness')
@Controller('fitness')
@Needs('write')
export class FitnessController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly rows: UnfitRepository,
    private readonly pins: Pins,
    private readonly workers: Workers,
  ) {}

  /** Everybody who is, or was and is not forgotten, with what they had in hand since. */
  @Post('seen')
  @HttpCode(200)
  @Answers('UnfitPeople')
  async seen(@OfShift() shift: Shift, @Body() signed: SignedDto): Promise<Answer['UnfitPeople']> {
    await this.requireLead(shift, signed)
    return this.list(shift.kitchenId)
  }

  /** What somebody told. Told again before they are back, it replaces what they told before; it began when it first began. */
  @Post()
  @HttpCode(200)
  @Answers('UnfitPeople')
  async tell(@OfShift() shift: Shift, @Body() body: UnfitDto): Promise<Answer['UnfitPeople']> {
    const { person, symptoms, onset, freeSince = null, signer } = body
    const now = clock.now()
    if (onset > now) throw new Problem(422, 'bad time', 'It began in the future? Check the time.', 'onset')
    if (freeSince !== null && (freeSince < onset || freeSince > now))
      throw new Problem(422, 'bad time', 'They were free of it after it began, and by now.', 'freeSince')
    await this.requireLead(shift, body)
    const { kitchenId } = shift
    await this.scope.inKitchen(kitchenId, async (em) => {
      const kitchen = await this.states.one(em, kitchenId, 'kitchen', kitchenId)
      if (!kitchen?.people?.some(({ id }) => id === person))
        throw new Problem(404, 'not there', 'Nobody of this kitchen has that name.', 'person')
      await this.rows.tell(em, kitchenId, {
        id: uuid(),
        person,
        symptoms,
        onset,
        freeSince,
        toldAt: now,
        toldBy: signer,
      })
    })
    return this.list(kitchenId)
  }

  /** They work with food again, from now on. Refused before the rules allow it. */
  @Post(':id/back')
  @HttpCode(200)
  @Answers('UnfitPeople')
  async back(
    @OfShift() shift: Shift,
    @Param('id', new ParseUUIDPipe()) id: Id,
    @Body() body: BackDto,
  ): Promise<Answer['UnfitPeople']> {
    await this.requireLead(shift, body)
    const { kitchenId } = shift
    const now = clock.now()
    await this.scope.inKitchen(kitchenId, async (em) => {
      const unfit = await this.one(em, kitchenId, id)
      const { asked, reader } = await this.asked(em, kitchenId, unfit)
      const shut = backShut(asked, now, body)
      if (shut) throw new Problem(422, shut.code, fitnessShut(shut, reader), shut.code === 'no paper' ? 'papers' : null)
      await this.rows.comeBack(em, kitchenId, id, {
        at: now,
        by: body.signer,
        papers: body.papers,
        covered: body.covered,
      })
    })
    return this.list(kitchenId)
  }

  /** Nothing of it is kept. Who is not back yet is not forgotten. */
  @Post(':id/forget')
  @HttpCode(200)
  @Answers('UnfitPeople')
  async forget(
    @OfShift() shift: Shift,
    @Param('id', new ParseUUIDPipe()) id: Id,
    @Body() signed: SignedDto,
  ): Promise<Answer['UnfitPeople']> {
    await this.requireLead(shift, signed)
    const { kitchenId } = shift
    await this.scope.inKitchen(kitchenId, async (em) => {
      const { back } = await this.one(em, kitchenId, id)
      if (!back) throw new Problem(422, 'not yet', 'They are not back yet. First say that they are.', null)
      await this.rows.forget(em, kitchenId, id)
    })
    return this.list(kitchenId)
  }

  private async one(em: EntityManager, kitchenId: Id, id: Id): Promise<Omit<UnfitPerson, 'handled'>> {
    const found = (await this.rows.all(em, kitchenId)).find((each) => each.id === id)
    if (!found) throw new Problem(404, 'not there', 'Nothing of that is kept.', 'id')
    return found
  }

  private async list(kitchenId: Id): Promise<Answer['UnfitPeople']> {
    const now = clock.now()
    const { zone, people } = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const listed = []
      for (const each of await this.rows.all(em, kitchenId)) {
        const { person, onset, back } = each
        listed.push({ ...each, touched: await this.rows.touchedBy(em, kitchenId, person, onset, back?.at ?? now) })
      }
      const { zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      return { zone, people: listed }
    })
    const batches = people.flatMap(({ touched }) => touched.flatMap(({ state }) => state ?? []))
    const heated = await this.workers.run(WORK, 'lastHeats', { batches, zone, now })
    let next = 0
    return {
      now,
      people: people.map(({ touched, ...person }) => ({
        ...person,
        handled: touched.map(({ state, ...each }) => {
          const heat = state === null ? null : (heated[next++] ?? null)
          return { ...each, heatedAfter: heat !== null && heat >= each.last }
        }),
      })),
    }
  }

  private async asked(em: EntityManager, kitchenId: Id, unfit: Omit<UnfitPerson, 'handled'>): Promise<Asked> {
    const now = clock.now()
    const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
    const limits = limitsAt((await this.states.one(em, kitchenId, 'limits', kitchen.limitsId))?.versions ?? [], now)
    const { susceptible = false, clock: hours = 24 } = limits?.practice ?? {}
    return {
      asked: unfitness(unfit, limits?.ruleSet.key ?? '', susceptible),
      reader: readerOf(kitchen, hours),
    }
  }

  private async requireLead(shift: Shift, { signer, pin }: SignedDto): Promise<void> {
    const { kitchenId } = shift
    const kitchen = await this.scope.inKitchen(kitchenId, (em) => this.states.one(em, kitchenId, 'kitchen', kitchenId))
    if (kitchen?.people?.find(({ id }) => id === signer)?.role !== 'lead')
      throw new Problem(403, 'not yours', 'The food-safety lead alone reads this.', 'signer')
    await this.pins.require(kitchenId, signer, pin, placeOf(shift))
  }
}

interface Asked {
  asked: Unfitness
  reader: ReturnType<typeof readerOf>
}
