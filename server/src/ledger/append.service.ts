import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Appended, Id } from '@logged-thermal/core'
import { refusalSentence, type Reader } from '@logged-thermal/wording'
import { WritingScope } from '../database/writingScope'
import { Problem } from '../http/problem'
import { isDatabaseBusy } from '../http/databaseFault'
import { Contacts } from '../people/contacts.service'
import { Heads } from '../sealing/heads.service'
import { appendGroup, readableOf, readPost, type Post, type ReadPost } from './appendGroup'
import { Refold } from './refold'

/** As many posts of a kitchen wait at most: then a tablet keeps its own, and sends it again. */
const MOST_WAITING = 400
/** As many claims go into one transaction, unless a single post has more. */
const MOST_TOGETHER = 500

/** For refusals without times or temperatures. */
const PLAIN: Reader = { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }

interface Waiting {
  post: ReadPost
  done: (outcomes: Appended[]) => void
  failed: (error: unknown) => void
}

/**
 * The one way into the logbook. The posts of a kitchen wait here in a line and not in the database: what has come while
 * one transaction ran goes into the next together, each post answered by itself.
 */
@Injectable()
export class Append {
  private readonly lines = new Map<Id, Waiting[]>()

  constructor(
    private readonly scope: WritingScope,
    private readonly refold: Refold,
    private readonly heads: Heads,
    private readonly contacts: Contacts,
  ) {}

  /** Answers every claim in the order sent. Throws a Problem with status 503 where too many posts wait already. */
  async append(post: Post): Promise<Appended[]> {
    const { kitchenId, tabletId } = post
    const read = readPost(post)
    const tablet = tabletId ? { kitchenId, id: tabletId } : null
    const contact = tablet && (await this.contacts.of(tablet, readableOf(read.claims)))
    const line = this.lines.get(kitchenId)
    if (line && line.length >= MOST_WAITING) throw busyProblem()
    return new Promise((done, failed) => {
      const waiting = { post: { ...read, contact }, done, failed }
      if (line) line.push(waiting)
      else {
        this.lines.set(kitchenId, [waiting])
        void this.serve(kitchenId)
      }
    })
  }

  /**
   * A post and rows beside the logbook in one transaction: both, or neither. Throws a Problem with status 403 where a
   * claim is refused.
   */
  async withRows(post: Post, rows: (em: EntityManager) => Promise<unknown>): Promise<void> {
    const { kitchenId } = post
    await this.refold.subjects(kitchenId)
    const outcomes = await this.scope.inKitchen(kitchenId, async (em) => {
      const [found] = await appendGroup(em, [readPost(post)])
      const refused = found!.find(({ outcome }) => outcome === 'refused')
      if (refused?.outcome === 'refused')
        throw new Problem(403, 'not yours', refusalSentence(refused.refusal, PLAIN), 'signer')
      await rows(em)
      return found!
    })
    this.moveHead(kitchenId, outcomes)
  }

  /** How many posts wait, of all kitchens. */
  waiting(): number {
    return [...this.lines.values()].reduce((sum, { length }) => sum + length, 0)
  }

  private moveHead(kitchenId: Id, outcomes: readonly Appended[]): void {
    const seals = outcomes.flatMap((each) => (each.outcome === 'accepted' ? [each.seal] : []))
    const last = seals.at(-1)
    if (last)
      this.heads.move(
        kitchenId,
        last,
        seals.some(({ signedBy }) => signedBy !== undefined),
      )
  }

  private async serve(kitchenId: Id): Promise<void> {
    const line = this.lines.get(kitchenId)!
    while (line.length > 0) await this.together(kitchenId, line.splice(0, howMany(line)))
    this.lines.delete(kitchenId)
  }

  /** One transaction; where it fails for what is in it, each post has one of its own. */
  private async together(kitchenId: Id, group: readonly Waiting[]): Promise<void> {
    try {
      await this.refold.subjects(kitchenId)
      const posts = group.map(({ post }) => post)
      const outcomes = await this.scope.inKitchen(kitchenId, (em) => appendGroup(em, posts))
      this.moveHead(kitchenId, outcomes.flat())
      group.forEach(({ done }, i) => done(outcomes[i]!))
    } catch (error) {
      if (group.length === 1 || error instanceof Problem || isDatabaseBusy(error)) {
        for (const { failed } of group) failed(error)
      } else for (const each of group) await this.together(kitchenId, [each])
    }
  }
}

function howMany(line: readonly Waiting[]): number {
  let claims = 0
  const over = line.findIndex(({ post }) => (claims += post.claims.length) > MOST_TOGETHER)
  return over < 0 ? line.length : Math.max(1, over)
}

function busyProblem(): Problem {
  return new Problem(503, 'busy', 'The logbook is busy. The tablet keeps this and sends it again by itself.')
}
