import type { AnyClaim, ClockHours, Id, TemperatureScale } from '@logged-thermal/core'
import { api, type PostResult } from '../app/api'

interface CopiedPost {
  entries: AnyClaim[]
  sentAt: number
  second: Id
  secondPin: string
  scale: TemperatureScale
  hours: ClockHours
}

/** What two people copied from paper: sent at once with the PIN of the second, never kept for later. */
export const { usePostCopiedMutation } = api.injectEndpoints({
  endpoints: (build) => ({
    postCopied: build.mutation<{ results: PostResult[] }, CopiedPost>({
      query: (body) => ({ url: 'entries', method: 'POST', body }),
    }),
  }),
})
