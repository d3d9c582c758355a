import type { Instant } from '../../ground/instant'
import type { Mark } from '../../rules/rule'
import type { BatchState } from '../../state/batch'

/** When the edges of a batch's steps were marked, as the marks stand. */
export class Marks {
  private readonly marked = new Map<string, Instant[]>()

  constructor({ startedAt, facts: { 'step-marked': marks } }: Pick<BatchState, 'startedAt' | 'facts'>) {
    this.marked.set(keyOf('batch started'), [startedAt])
    for (const { void: gone, at, value } of marks) {
      if (gone) continue
      const key = keyOf(value)
      this.marked.set(
        key,
        [...(this.marked.get(key) ?? []), at].sort((a, b) => a - b),
      )
    }
  }

  /** Each time, from an instant on, in order. */
  all(mark: Mark, since = -Infinity): Instant[] {
    return (this.marked.get(keyOf(mark)) ?? []).filter((at) => at >= since)
  }

  /** The first time, from an instant on; null while it was not marked. */
  first(mark: Mark, since = -Infinity): Instant | null {
    return this.all(mark, since)[0] ?? null
  }

  /** The last time: of steps that are gone through again. */
  last(mark: Mark): Instant | null {
    return this.all(mark).at(-1) ?? null
  }
}

function keyOf(mark: Mark): string {
  return mark === 'batch started' ? mark : `${mark.step} ${mark.edge}`
}
