import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import {
  CORE_VERSION,
  DAY,
  headSaidBy,
  proofLines,
  type ChainHead,
  type Hash,
  type HeadStatement,
  type Id,
  type ProofLine,
  type SignedText,
} from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { Kitchen } from '../people/kitchen.entity'
import { Heads } from '../sealing/heads.service'
import { keepBlocks, subtreeRoot } from '../sealing/entryTree'
import { entriesAt, recordedBefore, seqsOf } from './shownEntries'

/** Which part of a logbook is handed out: all of it, what some batches rest on, or that and all that was recorded meanwhile. */
export type Handed = 'all' | { batches: readonly Id[]; from?: number; to?: number }

/** What of a logbook is handed out, so that it proves itself. */
@Injectable()
export class Proofs {
  constructor(
    private readonly scope: KitchenScope,
    private readonly heads: Heads,
  ) {}

  /** Where a logbook ends now: signed, so that a file of it can be made. Throws a Problem with status 503 where it is broken. */
  async head(kitchen: Id): Promise<ChainHead> {
    const head = await this.scope.inKitchen(kitchen, async (em) => {
      const [row] = await query<{ seq: string; hash: Hash; there: string }>(em, {
        sql: `select h.seq, h.hash, (select count(*) from entry where kitchen_id = h.kitchen_id) as there
          from chain_head h where kitchen_id = ?`,
        params: [kitchen],
      })
      if (row!.there !== row!.seq) throw brokenProblem()
      return { seq: Number(row!.seq), hash: row!.hash }
    })
    await keepBlocks(this.scope, kitchen, head.seq)
    await this.heads.signNow(kitchen, head)
    if (this.heads.broken.has(kitchen)) throw brokenProblem()
    return head
  }

  /** What was signed of a logbook that ends so; null: nothing is signed here. */
  async signedHead(em: EntityManager, kitchen: Id, { seq }: ChainHead): Promise<HeadStatement | null> {
    const [signed] = await query<SignedText>(em, {
      sql: 'select statement, signature from signed_head where kitchen_id = ? and seq = ?',
      params: [kitchen, seq],
    })
    return signed ? headSaidBy(signed) : null
  }

  /** The lines of a proof file up to a head. @param handed the instants are ms; left out: nothing beside the batches */
  async *lines(kitchen: Id, { seq: size }: ChainHead, handed: Handed): AsyncGenerator<ProofLine> {
    const { of, names, heads, seqs } = await this.scope.inKitchen(kitchen, async (em) => ({
      of: await em.findOneOrFail(Kitchen, { id: kitchen }),
      names: await query<{ id: Id; name: string }>(em, {
        sql: 'select id, name from person where kitchen_id = ? order by id',
        params: [kitchen],
      }),
      heads: await query<SignedText>(em, {
        sql: 'select statement, signature from signed_head where kitchen_id = ? and seq <= ? order by seq',
        params: [kitchen, size],
      }),
      seqs: await this.seqs(em, kitchen, size, handed),
    }))
    yield* proofLines({
      header: {
        proof: 1,
        kitchen,
        called: of.name,
        zone: of.zone,
        made: clock.now(),
        core: CORE_VERSION,
        covers: handed === 'all' ? 'all' : [...handed.batches],
      },
      keys: [...this.heads.publicKeys()],
      heads: oneADay(heads, size),
      names: Object.fromEntries(names.map(({ id, name }) => [id, name])),
      size,
      shown: entriesAt(this.scope, kitchen, seqs),
      subtree: (each) => this.scope.inKitchen(kitchen, (em) => subtreeRoot(em, kitchen, each)),
    })
  }

  private async seqs(
    em: Parameters<typeof seqsOf>[0],
    kitchen: Id,
    size: number,
    handed: Handed,
  ): Promise<readonly number[]> {
    if (handed === 'all') return Array.from({ length: size }, (_, i) => i + 1)
    const { batches, from, to } = handed
    const own = await seqsOf(em, kitchen, batches, size)
    if (from === undefined || to === undefined) return own
    const before = await recordedBefore(em, kitchen, from, size)
    const until = await recordedBefore(em, kitchen, to, size)
    const meanwhile = Array.from({ length: until - before }, (_, i) => before + i + 1)
    return [...new Set([...own, ...meanwhile])].sort((a, b) => a - b)
  }
}

function brokenProblem(): Problem {
  return new Problem(
    503,
    'broken',
    'The logbook is not the one that was signed, so nothing of it is handed out. Whoever keeps the program has to look: npm run ledger -- verify.',
  )
}

/** Of the heads the last of each day, and the one of all of it. */
function oneADay(heads: readonly SignedText[], size: number): SignedText[] {
  const byDay = new Map<number, SignedText>()
  for (const signed of heads) {
    const said = headSaidBy(signed)
    // Without a root it says nothing of what is left out.
    if (said?.root) byDay.set(said.seq === size ? Infinity : Math.floor(said.time / DAY), signed)
  }
  return [...byDay.values()]
}
