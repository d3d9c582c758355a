import type { MethodReview } from '@logged-thermal/core'
import { api } from '../app/api'

/** How each method went over a time; `more`: only the latest batches are in it. */
export interface WeekAnswer {
  now: number
  methods: MethodReview[]
  more: boolean
}

const weekApi = api.injectEndpoints({
  endpoints: (build) => ({
    week: build.query<WeekAnswer, { query: string }>({ query: ({ query }) => `log/week?${query}` }),
  }),
})

export const { useWeekQuery } = weekApi
