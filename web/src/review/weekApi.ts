import type { Instant, LikelyCause, MethodReview, RaisedByDay, RoundsWalked } from '@logged-thermal/core'
import { api } from '../app/api'

/** How each method went over a time; `more`: only the latest batches are in it. */
export interface WeekAnswer {
  now: number
  methods: MethodReview[]
  more: boolean
}

/** What came up on each day, from when it is counted, where its cause may lie, and when the rounds were walked. */
export interface RaisedAnswer extends RaisedByDay {
  now: Instant
  from: Instant
  causes: LikelyCause[]
  rounds: RoundsWalked
}

const weekApi = api.injectEndpoints({
  endpoints: (build) => ({
    week: build.query<WeekAnswer, { query: string }>({ query: ({ query }) => `log/week?${query}` }),
    raised: build.query<RaisedAnswer, { query: string }>({ query: ({ query }) => `matters/raised?${query}` }),
  }),
})

export const { useWeekQuery, useRaisedQuery } = weekApi
