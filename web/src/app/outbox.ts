import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { AnyClaim, Id } from '@logged-thermal/core'
import type { WaitingEntry } from '../memory/database'
import type { PostResult } from './api'
import { entryHeard } from './heard'

/** A claim that the server has not confirmed, or has refused. */
export interface Waiting extends WaitingEntry {
  /** It lies on this tablet's disk. Else it is in the page's memory: unsent when that closes, it is lost. */
  kept: boolean
}

interface Entered {
  claim: AnyClaim
  kept: boolean
}

interface Settled {
  id: Id
  claim: AnyClaim | null
  kept: boolean
}

const asEntered = (claim: AnyClaim, kept = false): { payload: Entered } => ({ payload: { claim, kept } })
const asSettled = (settled: Omit<Settled, 'kept'>, kept = false): { payload: Settled } => ({
  payload: { ...settled, kept },
})

/**
 * What was entered here and has not come back with the Line, in the order of entering. An entry goes once the Line has it, or
 * when somebody corrects or drops one that was refused. It stands here once it is written down (`keep.ts`).
 */
export const outbox = createSlice({
  name: 'outbox',
  initialState: [] as Waiting[],
  reducers: {
    /** What an earlier page entered, and this tablet kept. */
    recalled: (state, { payload }: PayloadAction<WaitingEntry[]>): Waiting[] => [
      ...payload
        .filter(({ claim }) => !state.some((each) => each.claim.id === claim.id))
        .map((entry) => ({ ...entry, kept: true })),
      ...state,
    ],
    entered: {
      prepare: asEntered,
      reducer: (state, { payload: { claim, kept } }: PayloadAction<Entered>) => {
        if (!state.some((each) => each.claim.id === claim.id)) state.push({ claim, seq: null, refusal: null, kept })
      },
    },
    answered: (state, { payload }: PayloadAction<PostResult[]>) => {
      for (const result of payload) {
        const waiting = state.find(({ claim }) => claim.id === result.id)
        if (!waiting) continue
        if (result.outcome === 'refused') waiting.refusal = { code: result.code, sentence: result.sentence }
        else waiting.seq = result.seal.seq
      }
    },
    /** The line has every entry up to this number. */
    caughtUp: (state, { payload: seq }: PayloadAction<number>): Waiting[] =>
      state.filter((waiting) => waiting.seq === null || waiting.seq > seq),
    /** Puts another claim in the place of a refused one; null throws it away. */
    settled: {
      prepare: asSettled,
      reducer: (state, { payload: { id, claim, kept } }: PayloadAction<Settled>): Waiting[] =>
        state.flatMap((waiting) => {
          if (waiting.claim.id !== id) return [waiting]
          return claim ? [{ claim, seq: null, refusal: null, kept }] : []
        }),
    },
  },
  extraReducers: (builder) =>
    // Together with the fold: an entry of ours is never shown twice, as sent and as recorded.
    builder.addCase(entryHeard, (state, { payload: { claim, seal } }) => {
      const waiting = state.find((each) => each.claim.id === claim.id)
      if (waiting) waiting.seq = seal.seq
    }),
})

/** Neither recorded nor refused. */
export function isUnsent({ seq, refusal }: WaitingEntry): boolean {
  return seq === null && refusal === null
}

/** The server asks for the PIN of the one whose name is in it. */
export function isToSign({ refusal }: WaitingEntry): boolean {
  return refusal?.code === 'sign yourself'
}
