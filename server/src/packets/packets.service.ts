import { rm } from 'node:fs/promises'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common'
import { v7 as uuid } from 'uuid'
import { DAY, type Day, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Problem } from '../http/problem'
import { Jobs } from '../jobs/jobs.service'
import { PacketMaker } from './packetMaker.service'
import { PacketsRepository, type Packet } from './packets.repository'

/** A packet is kept so long, ms. */
export const KEPT = 7 * DAY
/** How often what is old is thrown away, ms. */
const SWEPT_EVERY = 3_600_000

/** Where packets lie; null: this installation has no folder of its own, and makes none. */
export interface PacketPlace {
  folder: string | null
  checker: string | null
}

/** Packets that were asked for, made one at a time of a kitchen, and kept for a week. */
@Injectable()
export class Packets implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger('packets')
  private timer: NodeJS.Timeout | null = null

  constructor(
    private readonly place: PacketPlace,
    private readonly scope: KitchenScope,
    private readonly repository: PacketsRepository,
    private readonly maker: PacketMaker,
    private readonly jobs: Jobs,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    if (this.place.folder === null) return
    mkdirSync(join(this.place.folder, FOLDER), { recursive: true, mode: 0o700 })
    await this.jobs.work(
      'packet',
      ({ kitchen, name }) => this.make(kitchen, name),
      async ({ kitchen, name }) => {
        await this.repository.change(kitchen, name, { state: 'failed', said: STOPPED })
      },
    )
    await this.sweep()
    this.timer = setInterval(() => void this.sweep().catch((error) => this.log.warn(String(error))), SWEPT_EVERY)
  }

  onModuleDestroy(): void {
    if (this.timer) clearInterval(this.timer)
  }

  list(kitchen: Id): Promise<Packet[]> {
    return this.repository.list(kitchen)
  }

  /** Asks for one. Throws a Problem with status 503 where this installation has no folder to keep it in. */
  async ask(
    kitchen: Id,
    askedBy: Id,
    fromDay: Day,
    toDay: Day,
    { scale, language }: Pick<Packet, 'scale' | 'language'>,
  ): Promise<Id> {
    if (this.place.folder === null)
      throw new Problem(503, 'no folder', 'This installation has no folder to keep packets in. Set LT_DATA_FOLDER.')
    const id = uuid()
    await this.repository.add(kitchen, { id, askedBy, askedAt: clock.now(), fromDay, toDay, scale, language })
    await this.jobs.send('packet', { kitchen, name: id })
    return id
  }

  async cancel(kitchen: Id, id: Id): Promise<void> {
    const packet = await this.repository.one(kitchen, id)
    if (packet?.state === 'waits' || packet?.state === 'made')
      await this.repository.change(kitchen, id, { state: 'cancelled' })
  }

  /** The file of a packet and its name. Throws a Problem with status 404 where there is none by now. */
  async file(kitchen: Id, id: Id): Promise<{ path: string; name: string }> {
    const packet = await this.repository.one(kitchen, id)
    const path = this.path(id)
    if (packet?.state !== 'ready' || path === null)
      throw new Problem(
        404,
        'not there',
        'This packet is not there: it is not ready, or was thrown away after a week.',
        'id',
      )
    return { path, name: `records ${packet.fromDay} to ${packet.toDay}.zip` }
  }

  /** A job: it may come twice, and what was made is not made again. */
  private async make(kitchen: Id, id: Id): Promise<void> {
    const packet = await this.repository.one(kitchen, id)
    const path = this.path(id)
    if (!packet || path === null || (packet.state !== 'waits' && packet.state !== 'made')) return
    try {
      const onPiece = (done: number, of: number) => this.repository.change(kitchen, id, { state: 'made', done, of })
      const bytes = await this.maker.make(kitchen, packet, path, this.place.checker, onPiece)
      if (bytes !== null && !(await this.repository.change(kitchen, id, { state: 'ready', bytes })))
        await rm(path, { force: true })
    } catch (error) {
      this.log.warn(`packet ${id}: ${String(error)}`)
      await this.repository.change(kitchen, id, { state: 'failed', said: saidOf(error) })
    }
  }

  /** Throws away what was kept for a week. */
  async sweep(): Promise<void> {
    for (const { id: kitchen } of await this.scope.kitchens())
      for (const { id, state, askedAt } of await this.repository.list(kitchen)) {
        if (state !== 'ready' || clock.now() - askedAt < KEPT) continue
        await rm(this.path(id)!, { force: true })
        await this.repository.change(kitchen, id, { state: 'gone' })
      }
  }

  private path(id: Id): string | null {
    return this.place.folder === null ? null : join(this.place.folder, FOLDER, `${id}.zip`)
  }
}

const FOLDER = 'packets'

const STOPPED = 'The server stopped each time it made this. Ask for a shorter period, or tell whoever looks after it.'

/** What went wrong, for whoever asked. */
function saidOf(error: unknown): string {
  const code = (error as { code?: unknown } | null)?.code
  if (code === 'ENOSPC' || code === 'EDQUOT') return 'The disk is full. Make room, then ask again.'
  return error instanceof Problem
    ? error.message
    : 'Something went wrong. Whoever keeps the program finds it in its log.'
}
