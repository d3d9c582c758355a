import { availableParallelism } from 'node:os'
import { sep } from 'node:path'
import { Injectable, OnModuleDestroy } from '@nestjs/common'
import { Piscina } from 'piscina'
import { Problem } from '../http/problem'

/** A module that runs beside the server's thread: each of its functions takes one argument that can be cloned. */
export interface Work<M> {
  /** As `require.resolve` finds it. */
  readonly file: string
  /** Only for the type. */
  readonly functions?: M
}

type In<F> = F extends (input: infer I) => unknown ? I : never
type Out<F> = F extends (...args: never[]) => infer O ? Awaited<O> : never

/** As many pieces of work wait at most; who comes then is told so. */
const MOST_WAITING = 32
/** Work that takes longer is given up, ms. */
const LONGEST = 60_000

/** Of a thread that is to stay small: what was just made, MB. */
const YOUNG_MB = 32

/** Threads beside the server's own. */
abstract class Threads implements OnModuleDestroy {
  private readonly pool: Piscina

  /** @param mostHeap what each may hold, MB: it ends with an error there, and the server goes on. Left out: as much as there is */
  constructor(maxThreads: number, mostHeap?: number) {
    this.pool = new Piscina({
      minThreads: 0,
      maxThreads,
      idleTimeout: 30_000,
      maxQueue: MOST_WAITING,
      ...(mostHeap === undefined
        ? {}
        : { resourceLimits: { maxOldGenerationSizeMb: mostHeap, maxYoungGenerationSizeMb: YOUNG_MB } }),
    })
  }

  /** Runs a function of such a module. Throws a Problem with status 503 where too much waits already. */
  async run<M, N extends keyof M & string>({ file }: Work<M>, name: N, input: In<M[N]>): Promise<Out<M[N]>> {
    try {
      const signal = AbortSignal.timeout(LONGEST)
      return (await this.pool.run(input, { filename: compiled(file), name, signal })) as Out<M[N]>
    } catch (error) {
      if (isFull(error))
        throw new Problem(503, 'busy', 'Too much is being drawn and reckoned just now. Try again in a moment.')
      throw error
    }
  }

  onModuleDestroy(): Promise<void> {
    return this.pool.destroy()
  }
}

/** Somebody waits for it. What takes more than some milliseconds: drawing, long lists, judging hundreds of batches at a time. */
@Injectable()
export class Workers extends Threads {
  constructor() {
    super(Math.max(1, Math.min(4, availableParallelism() - 1)))
  }
}

/** Nobody waits for it: one thread of its own, so that nobody waits behind it either, and the server stays small meanwhile. */
@Injectable()
export class BackgroundWorker extends Threads {
  constructor() {
    super(1, MOST_HEAP_MB)
  }
}

/** Twenty batches as records, or 500 lines of a list, are drawn in half of it, MB: near its end a thread only collects. */
const MOST_HEAP_MB = 192

/** Threads run what is built, also where the tests run its source. */
function compiled(file: string): string {
  return file.replace(`${sep}src${sep}`, `${sep}dist${sep}`).replace(/\.ts$/, '.js')
}

function isFull(error: unknown): boolean {
  return error instanceof Error && (error.message === 'Task queue is at limit' || error.name === 'AbortError')
}
