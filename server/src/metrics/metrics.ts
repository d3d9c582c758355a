import { Injectable } from '@nestjs/common'
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import type { Knex } from '@mikro-orm/postgresql'

/** What this server counts of itself, for Prometheus. */
@Injectable()
export class Metrics {
  readonly registry = new Registry()

  readonly entries = new Counter({
    name: 'lt_entries_total',
    help: 'Entries that were sent, by what became of them: accepted, already there, refused.',
    labelNames: ['outcome'],
    registers: [this.registry],
  })

  readonly refusals = new Counter({
    name: 'lt_refusals_total',
    help: 'Entries that were refused, by why.',
    labelNames: ['code'],
    registers: [this.registry],
  })

  readonly latency = new Histogram({
    name: 'lt_request_seconds',
    help: 'How long requests took, by route and status; streams are left out.',
    labelNames: ['method', 'route', 'status'],
    buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
    registers: [this.registry],
  })

  constructor() {
    // Memory, CPU and the delay of the event loop.
    collectDefaultMetrics({ register: this.registry })
  }

  /** Reads a figure whenever it is asked for. */
  gauge(name: string, help: string, read: () => number): void {
    new Gauge({
      name,
      help,
      registers: [this.registry],
      collect() {
        this.set(read())
      },
    })
  }

  /** The pool of the database. */
  watchPool(client: Knex['client']): void {
    const { pool } = client as { pool: { numUsed(): number; numFree(): number; numPendingAcquires(): number } }
    this.gauge('lt_pool_used', 'Connections to the database that work.', () => pool.numUsed())
    this.gauge('lt_pool_free', 'Connections to the database that wait for work.', () => pool.numFree())
    this.gauge('lt_pool_waiting', 'Requests that wait for a connection.', () => pool.numPendingAcquires())
  }
}
