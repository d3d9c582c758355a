import { Injectable, Logger, OnApplicationBootstrap } from '@nestjs/common'
import { Observable, Subscriber } from 'rxjs'
import type { Id, SealedEntry } from '@logged-thermal/core'
import { Entries } from '../ledger/entries.service'
import { Metrics } from '../metrics/metrics'
import { Listener } from './listener'

const PIECE = 500

interface Watcher {
  /** The last entry it was sent. */
  seq: number
  out: Subscriber<SealedEntry>
}

/** Sends each kitchen's new entries to the tablets that watch it, in order and without a gap. */
@Injectable()
export class Live implements OnApplicationBootstrap {
  private readonly log = new Logger('live')
  private readonly watchers = new Map<Id, Set<Watcher>>()
  private readonly running = new Map<Id, { again: boolean }>()

  constructor(
    private readonly listener: Listener,
    private readonly entries: Entries,
    metrics: Metrics,
  ) {
    const streams = () => [...this.watchers.values()].reduce((sum, those) => sum + those.size, 0)
    metrics.gauge('lt_live_streams', 'Tablets that watch.', streams)
  }

  onApplicationBootstrap(): void {
    this.listener.heard.subscribe((kitchen) => {
      for (const id of kitchen === null ? this.watchers.keys() : [kitchen]) this.send(id)
    })
  }

  /** Every entry of a kitchen after `seq`, from now on. */
  watch(kitchenId: Id, seq: number): Observable<SealedEntry> {
    return new Observable((out) => {
      const watcher: Watcher = { seq, out }
      const those = this.watchers.get(kitchenId) ?? new Set()
      this.watchers.set(kitchenId, those.add(watcher))
      this.send(kitchenId)
      return () => {
        those.delete(watcher)
        if (those.size === 0) this.watchers.delete(kitchenId)
      }
    })
  }

  /** Ends every stream, so that the server can stop. */
  endAll(): void {
    for (const those of this.watchers.values()) for (const { out } of those) out.complete()
  }

  /** One pump a kitchen: what is heard while it runs makes it run once more. */
  private send(kitchenId: Id): void {
    const busy = this.running.get(kitchenId)
    if (busy) {
      busy.again = true
      return
    }
    const run = { again: false }
    this.running.set(kitchenId, run)
    void this.pump(kitchenId)
      .catch((error: unknown) => this.log.warn(`entries could not be read: ${String(error)}`))
      .finally(() => {
        this.running.delete(kitchenId)
        if (run.again) this.send(kitchenId)
      })
  }

  private async pump(kitchenId: Id): Promise<void> {
    for (;;) {
      const those = [...(this.watchers.get(kitchenId) ?? [])]
      if (those.length === 0) return
      const from = Math.min(...those.map(({ seq }) => seq))
      const entries = await this.entries.after(kitchenId, from, PIECE)
      for (const entry of entries) {
        for (const watcher of those) {
          if (entry.seal.seq <= watcher.seq) continue
          watcher.seq = entry.seal.seq
          watcher.out.next(entry)
        }
      }
      if (entries.length < PIECE) return
    }
  }
}
