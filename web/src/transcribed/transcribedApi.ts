import type { Id, TranscribedCooling } from '@logged-thermal/core'
import { api } from '../app/api'

/** A cooling out of an old log, as it stands under the limits of its day. */
export interface TranscribedRow extends TranscribedCooling {
  standing: 'missed' | 'unproven'
  /** The entry that brought it in, and the file. */
  entry: Id
  source: string
}

export interface TranscribedAnswer {
  rows: TranscribedRow[]
  counts: { missed: number; unproven: number }
  more: boolean
}

export const { useTranscribedQuery } = api.injectEndpoints({
  endpoints: (build) => ({
    transcribed: build.query<TranscribedAnswer, { from: number; to: number; seq: number }>({
      query: ({ from, to }) => `log/transcribed?from=${from}&to=${to}`,
    }),
  }),
})
