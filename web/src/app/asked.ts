import type { Dispatch, SerializedError } from '@reduxjs/toolkit'
import {
  fetchBaseQuery,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
  type QueryReturnValue,
} from '@reduxjs/toolkit/query/react'
import { DAY } from '@logged-thermal/core'
import { keepAnswer, keptAnswer } from '../memory/answers'
import { isOfOtherBuild, otherBuildServed } from './build'
import { clockTold, type ClockTold } from './clock'
import type { LineData } from './lineData'
import { runHeader } from './run'
import { tabletNow } from './tabletClock'
import { withTraces, type Readings, type TraceApart } from './traces'

const fetched = fetchBaseQuery({
  baseUrl: '/api',
  timeout: 10_000,
  prepareHeaders: (headers) => {
    for (const [name, value] of Object.entries(runHeader())) headers.set(name, value)
  },
})

export interface Told {
  /** null: a server that does not say. */
  clock: ClockTold | null
}

/** An answer with what it tells of the kitchen's clock, in its header. */
export const timed: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, Told> = async (
  args,
  asking,
  extra,
) => {
  const askedAt = tabletNow()
  const answer = await fetched(args, asking, extra)
  if (isOfOtherBuild(answer.meta?.response?.headers)) asking.dispatch(otherBuildServed())
  const now = answer.meta?.response?.headers.get('lt-now')
  const meta = { clock: now ? { askedAt, heardAt: tabletNow(), serverNow: Number(now) } : null }
  const asked = typeof args === 'string' ? args : args.method ? null : args.url
  const keptFor = asked === null ? undefined : KEPT_FOR[asked]
  if (asked !== null && keptFor !== undefined) {
    if (!answer.error) keepAnswer(asked, answer.data)
    else if (isAway(answer.error)) {
      const data = await keptAnswer(asked, keptFor)
      if (data !== null) return { data, meta: { clock: null } }
    }
  }
  return { ...answer, meta }
}

/** What a tablet knows without the server for so long, ms. A shift that was open stays so: only the server could open it again. */
const KEPT_FOR: Partial<Record<string, number>> = { shift: DAY, 'cooling/learned': 30 * DAY }

/** Nobody answers, or the server without its database. */
export function isAway(error: FetchBaseQueryError | SerializedError): boolean {
  const status = 'status' in error ? error.status : 'FETCH_ERROR'
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || (typeof status === 'number' && status >= 500)
}

type Answered = QueryReturnValue<unknown, FetchBaseQueryError, Told>

/** A Line with the long traces that come apart from it. */
export async function wholeLine(
  path: string,
  ask: (path: string) => Promise<Answered>,
): Promise<QueryReturnValue<LineData, FetchBaseQueryError, Told>> {
  const line = await ask(path)
  const meta = line.meta ?? { clock: null }
  if (line.error) return { error: line.error, meta }
  const { traces, ...rest } = line.data as LineData & { traces: TraceApart[] }
  const hashes = traces.flatMap(({ pieces }) => pieces)
  const pieces = await Promise.all(hashes.map((hash) => ask(`${path}/traces/${hash}`)))
  // The Line has gone on meanwhile, or the server is away: all of it is asked for again.
  for (const { error } of pieces) if (error) return { error, meta }
  const readings = pieces.map(({ data }) => data as Readings)
  // Frozen here, it is not gone through leaf by leaf to be frozen in the store.
  return { data: Object.freeze({ ...rest, batches: withTraces(rest.batches, traces, readings) }), meta }
}

interface Asked {
  dispatch: Dispatch
  queryFulfilled: Promise<{ meta: Told | undefined }>
}

/** Reads the kitchen's clock off an answer, if one comes. */
export async function readClock({ dispatch, queryFulfilled }: Asked): Promise<void> {
  const answer = await queryFulfilled.catch(() => null)
  if (answer?.meta?.clock) dispatch(clockTold(answer.meta.clock))
}
