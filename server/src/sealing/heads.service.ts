import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common'
import { dayOf, type ChainHead, type HeadStatement, type Id, type PublicKey } from '@logged-thermal/core'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { clock } from '../clock/clock'
import { query } from '../database/query'
import { WritingScope } from '../database/writingScope'
import type { RememberedHeads } from './rememberedHeads'
import { keepBlocks, rootAt } from './entryTree'
import { headSaid, signHead } from './signedHead'
import type { SigningKeys } from './signingKey'

/** How long a new head waits until it is written down, ms: within it others come. */
const SOON = 1_000
/** How often a head is kept in the database too, for whoever is shown the records, ms. */
const KEPT_EVERY = 60_000

/** Signs where each kitchen's logbook ends, beside the work. */
@Injectable()
export class Heads implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly log = new Logger('heads')
  private readonly moved = new Map<Id, Moved>()
  private readonly kept = new Map<Id, number>()
  private timer: NodeJS.Timeout | null = null
  /** Kitchens whose logbook is not the one that was signed. */
  readonly broken = new Set<Id>()

  /** @param keys null: this installation has no keys, and nothing is signed */
  constructor(
    private readonly scope: WritingScope,
    private readonly keys: SigningKeys | null,
    private readonly heads: RememberedHeads | null,
  ) {}

  /** The logbook of a kitchen ends here now. @param keep somebody signed with a PIN: this head is kept whenever the last one was */
  move(kitchen: Id, { seq, hash }: ChainHead, keep = false): void {
    if (!this.keys) return
    this.moved.set(kitchen, { seq, hash, keep: keep || (this.moved.get(kitchen)?.keep ?? false) })
    this.timer ??= setTimeout(() => void this.sign(), SOON)
  }

  /** What was not signed any more as the server ended is signed now, or found to be gone. */
  async onApplicationBootstrap(): Promise<void> {
    if (!this.keys) return
    for (const { id } of await this.scope.kitchens()) {
      const [head] = await this.scope.inKitchen(id, (em) =>
        query<{ seq: string; hash: string }>(em, {
          sql: 'select seq, hash from chain_head where kitchen_id = ?',
          params: [id],
        }),
      )
      if (head && Number(head.seq) > 0) this.move(id, { seq: Number(head.seq), hash: head.hash })
    }
  }

  /** Every key that ever signed, the first one first; none where nothing is signed. */
  publicKeys(): readonly PublicKey[] {
    return this.keys?.all ?? []
  }

  /** Signs and keeps at once what the logbook of a kitchen ends with, for records that are about to be handed out. */
  async signNow(kitchen: Id, head: ChainHead): Promise<void> {
    if (!this.keys || !this.heads) return
    await this.signOne(this.keys, this.heads, kitchen, { ...head, keep: true })
    this.heads.write()
  }

  async onApplicationShutdown(): Promise<void> {
    if (this.timer) clearTimeout(this.timer)
    await this.sign(true)
  }

  private async sign(ending = false): Promise<void> {
    this.timer = null
    if (!this.keys || !this.heads || this.moved.size === 0) return
    const moved = [...this.moved]
    this.moved.clear()
    for (const [kitchen, head] of moved) {
      try {
        await this.signOne(this.keys, this.heads, kitchen, { ...head, keep: head.keep || ending })
      } catch (error) {
        this.log.warn(`a head could not be signed: ${String(error)}`)
      }
    }
    this.heads.write()
  }

  private async signOne(
    keys: SigningKeys,
    heads: RememberedHeads,
    kitchen: Id,
    { seq, hash, keep }: Moved,
  ): Promise<void> {
    await keepBlocks(this.scope, kitchen, seq)
    const now = clock.now()
    const before = headSaid(keys, heads.last(kitchen))
    return this.scope.inKitchen(kitchen, async (em) => {
      if (before && (seq < before.seq || !(await isThere(em, before)))) {
        this.broken.add(kitchen)
        this.log.error(
          `The logbook is not the one that was signed: entry ${before.seq} is gone or another. Run npm run ledger -- verify.`,
        )
        return
      }
      const head = signHead(keys, { kitchen, seq, hash, root: await rootAt(em, kitchen, seq) }, now)
      heads.remember(kitchen, dayOf(now, 'UTC'), head)
      if (!keep && now - (this.kept.get(kitchen) ?? 0) < KEPT_EVERY) return
      this.kept.set(kitchen, now)
      await query(em, {
        sql: 'insert into signed_head (kitchen_id, seq, statement, signature) values (?, ?, ?, ?) on conflict do nothing',
        params: [kitchen, seq, head.statement, head.signature],
      })
    })
  }
}

interface Moved extends ChainHead {
  /** Whether it is kept in the database, however short ago another was. */
  keep: boolean
}

async function isThere(em: SqlEntityManager, { kitchen, seq, hash }: HeadStatement): Promise<boolean> {
  const sql = 'select from entry where kitchen_id = ? and seq = ? and hash = ?'
  return (await query(em, { sql, params: [kitchen, seq, hash] })).length > 0
}
