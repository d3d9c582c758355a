import { statfs } from 'node:fs/promises'
import { Inject, Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { WritingScope } from '../database/writingScope'
import type { Readiness as Answer, ReadyPart } from '../http/answers'
import { Heads } from '../sealing/heads.service'
import { Append } from '../ledger/append.service'

/** A part that takes longer is not ready, ms. */
const SLOW = 2_000
/** With less room than this on its disk the logbook is about to stop, bytes. */
const LEAST_ROOM = 200_000_000
/** With more posts waiting than this the logbook cannot keep up. */
const MANY_WAITING = 200

/** The folder whose disk keeps the database; null: it is on another machine. */
export const DATA_FOLDER = Symbol('data folder')

/** No kitchen has it: what is asked in its name sees nothing and waits for nobody. */
const NO_KITCHEN = '00000000-0000-0000-0000-000000000000'

/** Whether the program can be used, part by part. */
@Injectable()
export class Readiness {
  constructor(
    private readonly reading: KitchenScope,
    private readonly writing: WritingScope,
    private readonly append: Append,
    private readonly heads: Heads,
    @Inject(DATA_FOLDER) private readonly folder: string | null,
  ) {}

  async look(): Promise<Answer> {
    const parts = await Promise.all([
      timed('reading', () => this.reading.inKitchen(NO_KITCHEN, ask)),
      timed('writing', () => this.writing.inKitchen(NO_KITCHEN, ask)),
      timed('queue', () => this.requireShortLine()),
      timed('logbook', () => this.requireSigned()),
      ...(this.folder === null ? [] : [timed('disk', () => requireRoom(this.folder!))]),
    ])
    return { ready: parts.every(({ ok }) => ok), parts }
  }

  private requireSigned(): void {
    if (this.heads.broken.size > 0) throw new Error('the logbook is not the one that was signed')
  }

  private requireShortLine(): void {
    const waiting = this.append.waiting()
    if (waiting > MANY_WAITING) throw new Error(`${waiting} posts wait`)
  }
}

function ask(em: EntityManager): Promise<object[]> {
  return query(em, { sql: 'select from chain_head limit 1', params: [] })
}

async function requireRoom(folder: string): Promise<void> {
  const { bavail, bsize } = await statfs(folder)
  const free = bavail * bsize
  if (free < LEAST_ROOM) throw new Error(`${Math.floor(free / 1e6)} MB left on the disk`)
}

async function timed(part: ReadyPart['part'], look: () => unknown): Promise<ReadyPart> {
  const began = performance.now()
  const late = new Promise<never>((_, failed) => setTimeout(() => failed(new Error('no answer')), SLOW).unref())
  try {
    await Promise.race([look(), late])
    return { part, ok: true, ms: Math.round(performance.now() - began) }
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error)
    return { part, ok: false, ms: Math.round(performance.now() - began), why: why.slice(0, 200) }
  }
}
