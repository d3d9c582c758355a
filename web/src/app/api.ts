import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import type { AnyClaim, Id, Learned, SealedEntry } from '@logged-thermal/core'
import type { LineData, PersonOnList } from './lineData'

/** RFC 9457 problem details as the server sends them. */
export interface ProblemDetails {
  title: string
  status: number
  detail: string
  field?: string
}

export interface ShiftNow {
  shift: { kitchen: Id; person: Id; open: boolean } | null
}

export interface Door {
  id: Id
  name: string
  people: PersonOnList[]
}

export type PostResult =
  | { id: Id; outcome: 'accepted' | 'already there'; seal: SealedEntry['seal'] }
  | { id: Id; outcome: 'refused'; code: string; field: string; sentence: string }

export const api = createApi({
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 10_000 }),
  tagTypes: ['shift', 'line'],
  endpoints: (build) => ({
    door: build.query<Door[], void>({ query: () => 'door' }),
    shift: build.query<ShiftNow, void>({ query: () => 'shift', providesTags: ['shift'] }),
    openShift: build.mutation<ShiftNow, { kitchen: Id; person: Id; pin: string; device: Id }>({
      query: (body) => ({ url: 'shift', method: 'POST', body }),
      invalidatesTags: ['shift', 'line'],
    }),
    lockShift: build.mutation<void, void>({
      query: () => ({ url: 'shift/lock', method: 'POST' }),
      invalidatesTags: ['shift'],
    }),
    line: build.query<LineData, void>({ query: () => 'line', providesTags: ['line'], keepUnusedDataFor: 3600 }),
    /** What the kitchen's finished coolings say: it changes with the days, not with the minutes. */
    learned: build.query<{ learned: Record<string, Learned> }, void>({ query: () => 'cooling/learned' }),
    /** What only the lead may do: sent at once with the lead's PIN, never kept for later. */
    postSigned: build.mutation<{ results: PostResult[] }, { claim: AnyClaim; signer: Id; pin: string }>({
      query: ({ claim, signer, pin }) => ({
        url: 'entries',
        method: 'POST',
        body: { sentAt: Date.now(), entries: [claim], signer, pin },
      }),
    }),
  }),
})

export const {
  useDoorQuery,
  useShiftQuery,
  useOpenShiftMutation,
  useLockShiftMutation,
  useLearnedQuery,
  useLineQuery,
  usePostSignedMutation,
} = api

/** The sentence of a failed request, or of a server that is away. */
export function sentenceOf(error: unknown): string {
  const data = (error as { data?: Partial<ProblemDetails> } | undefined)?.data
  return data?.detail ?? 'The server does not answer. Nothing was sent; try again in a moment.'
}
