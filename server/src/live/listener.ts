import { Injectable, Logger, OnApplicationBootstrap, OnModuleDestroy } from '@nestjs/common'
import { Client } from 'pg'
import { Subject } from 'rxjs'
import type { Id } from '@logged-thermal/core'

const RETRY_MS = 1000

/** Its own connection that hears of new entries in every kitchen; comes back by itself when the database does. */
@Injectable()
export class Listener implements OnApplicationBootstrap, OnModuleDestroy {
  /** A kitchen that has new entries; null: any may have, for we were away. */
  readonly heard = new Subject<Id | null>()
  private readonly log = new Logger('live')
  private client: Client | null = null
  private retry: NodeJS.Timeout | null = null
  private stopped = false

  constructor(private readonly databaseUrl: string) {}

  onApplicationBootstrap(): void {
    void this.connect()
  }

  async onModuleDestroy(): Promise<void> {
    this.stopped = true
    if (this.retry) clearTimeout(this.retry)
    await this.client?.end().catch(() => undefined)
  }

  private async connect(): Promise<void> {
    const client = new Client({
      connectionString: this.databaseUrl,
      application_name: 'logged-thermal live',
      keepAlive: true,
    })
    client.on('error', () => this.lost(client))
    client.on('end', () => this.lost(client))
    client.on('notification', ({ payload }) => this.heard.next(payload?.split(':')[0] ?? null))
    this.client = client
    try {
      await client.connect()
      await client.query('listen lt_entry')
      this.heard.next(null)
    } catch {
      this.lost(client)
    }
  }

  private lost(client: Client): void {
    if (this.stopped || client !== this.client) return
    this.client = null
    this.log.warn('the live connection to the database was lost; trying again')
    void client.end().catch(() => undefined)
    this.retry = setTimeout(() => void this.connect(), RETRY_MS)
  }
}
