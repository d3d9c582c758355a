import type { Day, Id, Instant, TemperatureScale } from '@logged-thermal/core'
import type { Language } from '@logged-thermal/wording'
import { api } from '../app/api'

/** A packet of records that was asked for. */
export interface Packet {
  id: Id
  askedBy: Id
  askedAt: Instant
  fromDay: Day
  toDay: Day
  scale: TemperatureScale
  state: 'waits' | 'made' | 'ready' | 'failed' | 'cancelled' | 'gone'
  done: number
  of: number
  bytes: number | null
  said: string | null
  keptUntil: Instant
}

const packetsApi = api.enhanceEndpoints({ addTagTypes: ['packets'] }).injectEndpoints({
  endpoints: (build) => ({
    packets: build.query<{ packets: Packet[] }, void>({ query: () => 'packets', providesTags: ['packets'] }),
    askPacket: build.mutation<{ id: Id }, { from: Day; to: Day; scale: TemperatureScale; language: Language }>({
      query: (body) => ({ url: 'packets', method: 'POST', body }),
      invalidatesTags: ['packets'],
    }),
    cancelPacket: build.mutation<{ cancelled: true }, Id>({
      query: (id) => ({ url: `packets/${id}/cancel`, method: 'POST' }),
      invalidatesTags: ['packets'],
    }),
  }),
})

export const { usePacketsQuery, useAskPacketMutation, useCancelPacketMutation } = packetsApi
