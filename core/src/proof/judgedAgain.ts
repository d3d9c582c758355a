import type { Instant } from '../ground/instant'
import { canonical } from '../ground/canonical'
import { apply } from '../admission/fold'
import { asFolded, touches } from '../admission/kinds'
import { standingsOf } from '../judgement/batch/disposition'
import { judgeBatch } from '../judgement/batch/judgeBatch'
import { standingForGood } from '../judgement/log/standing'
import type { Disposition, SealedEntry } from '../ledger/entry'
import type { Id } from '../ledger/subject'
import type { Standing } from '../ledger/standing'
import type { BatchState } from '../state/batch'
import type { KeptStates } from './keptStates'

/** A standing that was sealed in a decision or a day's signature, and the one that the entries before it give. */
export interface Compared {
  batch: Id
  said: Standing | Disposition['findings']
  /** null: nothing before it began the batch. */
  found: Standing | Disposition['findings'] | null
  core: string
  same: boolean
}

/** How a batch stands by its entries. */
export interface Stood {
  id: Id
  code: string
  name: string
  startedAt: Instant
  standing: Standing
}

/**
 * Folds the batches of a logbook once more and judges each anew wherever somebody put a name under how it stood. A batch is
 * judged by its own entries, under the limits that were fixed as it began.
 */
export class JudgedAgain {
  /** @param covered of which batches every entry comes by here; 'all': of all */
  constructor(
    private readonly zone: string,
    private readonly covered: 'all' | ReadonlySet<Id>,
    private readonly states: KeptStates<BatchState>,
  ) {}

  /** Standings that were sealed of batches of which not every entry comes by: they are not judged. */
  unjudged = 0

  /** Takes the entries in order. RangeError or TypeError for one that this version cannot read. */
  next(sealed: SealedEntry): Compared[] {
    const entry = asFolded(sealed)
    const compared = this.compare(entry)
    for (const { type, id } of touches(entry.claim, entry.seal)) {
      if (type !== 'batch' || !this.covers(id)) continue
      const state = apply.batch(id, this.states.get(id), entry)
      if (state !== null) this.states.set(id, state)
    }
    return compared
  }

  /** How each batch stands at an instant by the entries that came by, in the order they began. */
  stood(at: Instant): Stood[] {
    const found: Stood[] = []
    for (const [id, state] of this.states.all()) {
      const { code, startedAt, method } = state
      const standing = standingForGood(state, judgeBatch(state, { zone: this.zone }, at))
      found.push({ id, code, name: method.name, startedAt, standing })
    }
    return found.sort((a, b) => a.startedAt - b.startedAt || (a.code < b.code ? -1 : 1))
  }

  private compare({ claim, seal }: SealedEntry): Compared[] {
    if (claim.kind === 'disposed') {
      const { findings: said, core: told } = claim.body
      const core = seal.core ?? told
      const judged = (state: BatchState) => standingsOf(judgeBatch(state, { zone: this.zone }, claim.at))
      if (this.covers(claim.about.id)) return [this.compared(claim.about.id, said, core, judged)]
      this.unjudged++
      return []
    }
    if (claim.kind !== 'day-signed') return []
    const { batches, core: told } = claim.body
    const core = seal.core ?? told
    const judged = (state: BatchState) => standingForGood(state, judgeBatch(state, { zone: this.zone }, claim.at))
    const covered = batches.filter(({ id }) => this.covers(id))
    this.unjudged += batches.length - covered.length
    return covered.map(({ id, standing }) => this.compared(id, standing, core, judged))
  }

  private compared(
    batch: Id,
    said: Compared['said'],
    core: string,
    judged: (state: BatchState) => Compared['said'],
  ): Compared {
    const state = this.states.get(batch)
    const found = state && judged(state)
    return { batch, said, found, core, same: found !== null && canonical(found) === canonical(said) }
  }

  private covers(batch: Id): boolean {
    return this.covered === 'all' || this.covered.has(batch)
  }
}
