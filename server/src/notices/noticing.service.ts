import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { debounceTime, groupBy, mergeMap, type Subscription } from 'rxjs'
import {
  limitsAt,
  noticeName,
  noticesDue,
  type Id,
  type Instant,
  type LimitSet,
  type Notice,
} from '@logged-thermal/core'
import { digestLetter, trialLetter, urgentLetter, type Letter, type Reader } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Jobs } from '../jobs/jobs.service'
import type { JobData } from '../jobs/queues'
import { StatesRepository } from '../ledger/states.repository'
import { Listener } from '../live/listener'
import { Unresolved } from '../matters/unresolved.service'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { readerOf } from '../people/reader'
import type { Mailer } from './mailer'
import { NoticesRepository, type Wish } from './notices.repository'

/** What time alone makes due is looked for so often, ms. */
const LOOK_EVERY = 30_000
/** A kitchen that was entered something about is looked at once it is still for so long, ms. */
const STILL_FOR = 1_500

/** A trial letter is asked for by hand. */
const TRIAL = 'try'

/** Looks for what is to be told, and tells it by jobs that are tried again until the mail server takes them. */
@Injectable()
export class Noticing implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger('notices')
  private timer: NodeJS.Timeout | null = null
  private heard: Subscription | null = null

  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly unresolved: Unresolved,
    private readonly repository: NoticesRepository,
    private readonly jobs: Jobs,
    private readonly listener: Listener,
    /** null: the installation names no mail server. */
    private readonly mailer: Mailer | null,
    private readonly address: string,
  ) {}

  get canSend(): boolean {
    return this.mailer !== null
  }

  async onApplicationBootstrap(): Promise<void> {
    if (!this.mailer) return
    try {
      await this.jobs.work('notice', (data) => this.tell(data))
    } catch (error) {
      // A kitchen works without letters.
      this.log.error(`No notice can be sent: ${error instanceof Error ? error.message : String(error)}`)
      return
    }
    const look = (kitchen: Id) => this.look(kitchen).catch((error: Error) => this.log.warn(error.message))
    let isLooking = false
    // One after the other: many kitchens at once would take every connection from those who log.
    const lookAtAll = async () => {
      if (isLooking) return
      isLooking = true
      try {
        for (const { id } of await this.scope.kitchens()) await look(id)
      } catch (error) {
        this.log.warn(error instanceof Error ? error.message : String(error))
      } finally {
        isLooking = false
      }
    }
    this.timer = setInterval(() => void lookAtAll(), LOOK_EVERY).unref()
    this.heard = this.listener.heard
      .pipe(
        groupBy((kitchen) => kitchen),
        mergeMap((entered) => entered.pipe(debounceTime(STILL_FOR))),
      )
      .subscribe((kitchen) => void (kitchen === null ? lookAtAll() : look(kitchen)))
  }

  onModuleDestroy(): void {
    if (this.timer) clearInterval(this.timer)
    this.heard?.unsubscribe()
  }

  /** Sends what is due in a kitchen now. What was sent, or waits to be, is not sent again. */
  async look(kitchen: Id): Promise<void> {
    const { due } = await this.found(kitchen)
    for (const notice of due) await this.jobs.send('notice', { kitchen, name: noticeName(notice) })
  }

  /** A trial letter to the address that is set; another one each time. */
  async tryIt(kitchen: Id): Promise<void> {
    await this.jobs.send('notice', { kitchen, name: `${TRIAL} ${clock.now()}` })
  }

  /** Throws an Error where the mail server does not take it. What is not due any more goes out no more. */
  private async tell({ kitchen, name }: JobData['notice']): Promise<void> {
    const found = await this.found(kitchen)
    const { wish } = found
    if (!wish || !this.mailer) return
    const letter = await this.letter(kitchen, name, found)
    if (!letter) return
    await this.mailer.send({ to: wish.to, ...letter })
    await this.scope.inKitchen(kitchen, (em) => this.repository.remember(em, kitchen, name, clock.now()))
  }

  private async letter(kitchen: Id, name: string, { due, matters, more }: Found): Promise<Letter | null> {
    const now = clock.now()
    const { about, reader } = await this.about(kitchen, now)
    if (name.startsWith(TRIAL)) return trialLetter(about, reader)
    const notice = due.find((each) => noticeName(each) === name)
    if (notice?.of === 'digest') return digestLetter(notice.day, { matters, more }, about, reader)
    const matter = matters.find(({ id }) => id === notice?.matter)
    return matter ? urgentLetter(matter, about, reader) : null
  }

  private async found(kitchenId: Id): Promise<Found> {
    const now = clock.now()
    const { wish, sent, closing, zone } = await this.scope.asOfOneMoment(kitchenId, async (em) => ({
      wish: await this.repository.wish(em, kitchenId),
      sent: await this.repository.sent(em, kitchenId),
      closing: (await this.limitsIn(em, kitchenId, now))?.practice.closing ?? null,
      zone: (await em.findOneOrFail(Kitchen, { id: kitchenId })).zone,
    }))
    if (!wish || !closing) return { wish: null, due: [], matters: [], more: false }
    const { matters, more } = await this.unresolved.of(kitchenId)
    const names = new Set(sent.map(({ name }) => name))
    const due = noticesDue({ wish, matters, sent: names, closing, since: wish.since, zone }, now)
    return { wish, due, matters, more }
  }

  private async about(kitchenId: Id, now: Instant) {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const limits = await this.limitsIn(em, kitchenId, now)
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const people = await em.find(Person, { kitchenId })
      const instruments = await this.states.all(em, kitchenId, 'instrument')
      const names = {
        of: () => null,
        person: (id: Id) => people.find((each) => each.id === id)?.name ?? '',
        instrument: (id: Id) => instruments.find((each) => each.id === id) ?? null,
      }
      const reader: Reader = readerOf(kitchen, limits?.practice.clock ?? 24)
      return { about: { kitchen: kitchen.name, address: this.address, names, now }, reader }
    })
  }

  private async limitsIn(em: EntityManager, kitchenId: Id, now: Instant): Promise<LimitSet | null> {
    const { limitsId } = await em.findOneOrFail(Kitchen, { id: kitchenId })
    return limitsAt((await this.states.one(em, kitchenId, 'limits', limitsId))?.versions ?? [], now)
  }
}

interface Found {
  wish: Wish | null
  due: Notice[]
  matters: Awaited<ReturnType<Unresolved['of']>>['matters']
  more: boolean
}
