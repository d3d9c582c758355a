import type { Decision, Id } from '@logged-thermal/core'
import { api } from '../app/api'
import { readClock, wholeLine } from '../app/asked'
import type { LineData } from '../app/lineData'

/** A kitchen beside others, by the batches of its last 30 days. */
export interface GroupKitchen {
  id: Id
  name: string
  batches: number
  decided: Record<Decision, number>
  lateAccepted: number
  bySamePerson: number
}

const groupApi = api.injectEndpoints({
  endpoints: (build) => ({
    group: build.query<{ now: number; kitchens: GroupKitchen[] }, void>({
      query: () => 'group',
      // How late something is goes by the server's clock, not by the one of whatever this is read on.
      onQueryStarted: (_, asked) => readClock(asked),
    }),
    /** The Line of one of the kitchens, read and never written to. */
    groupLine: build.query<LineData, { kitchen: Id }>({
      queryFn: ({ kitchen }, _asking, _extra, ask) => wholeLine(`group/${kitchen}/line`, async (path) => ask(path)),
    }),
  }),
})

export const { useGroupQuery, useGroupLineQuery } = groupApi
