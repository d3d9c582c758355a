import type { Instant, NoticeWish, TimeOfDay } from '@logged-thermal/core'
import { api, type LeadSigned } from '../app/api'

/** Who is told of what waits, by e-mail. */
export interface NoticesAnswer {
  /** Whether the installation names a mail server. */
  canSend: boolean
  on: boolean
  /** null: off, or not for who asks. */
  wish: (NoticeWish & { to: string; since: Instant }) | null
  sent: { name: string; at: Instant }[]
  jobs: {
    name: string
    state: 'created' | 'retry' | 'active' | 'failed'
    tries: number
    at: Instant
    said: string | null
  }[]
}

interface SetNotices {
  on: boolean
  to?: string
  urgent?: boolean
  digest?: boolean
  quietFrom?: TimeOfDay
  quietUntil?: TimeOfDay
}

const noticesApi = api.enhanceEndpoints({ addTagTypes: ['notices'] }).injectEndpoints({
  endpoints: (build) => ({
    notices: build.query<NoticesAnswer, void>({ query: () => 'notices', providesTags: ['notices'] }),
    setNotices: build.mutation<NoticesAnswer, SetNotices & LeadSigned>({
      query: (body) => ({ url: 'notices', method: 'POST', body }),
      invalidatesTags: ['notices'],
    }),
    tryNotices: build.mutation<NoticesAnswer, LeadSigned>({
      query: (body) => ({ url: 'notices/try', method: 'POST', body }),
      invalidatesTags: ['notices'],
    }),
  }),
})

export const { useNoticesQuery, useSetNoticesMutation, useTryNoticesMutation } = noticesApi
