import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { AnyClaim, Id } from '@logged-thermal/core'
import type { PostResult } from './api'
import { entryHeard } from './heard'

/** A claim that the server has not confirmed, or has refused. */
export interface Waiting {
  claim: AnyClaim
  /** Its number once recorded: kept until the line has caught up with it. */
  seq: number | null
  refusal: { code: string; sentence: string } | null
}

/**
 * What was entered here and has not come back with the Line, in the order of entering. An entry goes once the Line has it, or
 * when somebody corrects or drops one that was refused. It is in the page's memory: what is unsent when that closes is lost.
 */
export const outbox = createSlice({
  name: 'outbox',
  initialState: [] as Waiting[],
  reducers: {
    entered: (state, { payload }: PayloadAction<AnyClaim>) => {
      state.push({ claim: payload, seq: null, refusal: null })
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
    settled: (state, { payload: { id, claim } }: PayloadAction<{ id: Id; claim: AnyClaim | null }>): Waiting[] =>
      state.flatMap((waiting) => {
        if (waiting.claim.id !== id) return [waiting]
        return claim ? [{ claim, seq: null, refusal: null }] : []
      }),
  },
  extraReducers: (builder) =>
    // Together with the fold: an entry of ours is never shown twice, as sent and as recorded.
    builder.addCase(entryHeard, (state, { payload: { claim, seal } }) => {
      const waiting = state.find((each) => each.claim.id === claim.id)
      if (waiting) waiting.seq = seal.seq
    }),
})

/** The server asks for the PIN of the one whose name is in it. */
export function isToSign({ refusal }: Waiting): boolean {
  return refusal?.code === 'sign yourself'
}
