import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { entryHeard } from './heard'

/** How this tablet stands with the server. */
export interface Connection {
  /** The server answers. */
  there: boolean
  /** The kitchen's clock is ahead of this tablet's by this much, ms: learned from every answer. */
  offsetMs: number
}

const WORTH_FOLLOWING_MS = 500

const initialState: Connection = { there: true, offsetMs: 0 }

export const connection = createSlice({
  name: 'connection',
  initialState,
  reducers: {
    heard: (state) => {
      state.there = true
    },
    lost: (state) => {
      state.there = false
    },
    clockRead: (state, { payload }: PayloadAction<{ serverNow: number; tabletNow: number }>) => {
      const offsetMs = payload.serverNow - payload.tabletNow
      // The journey of an answer is not an offset: only a clock that is really off is followed.
      if (Math.abs(offsetMs - state.offsetMs) > WORTH_FOLLOWING_MS) state.offsetMs = offsetMs
    },
  },
  extraReducers: (builder) =>
    builder.addCase(entryHeard, (state) => {
      state.there = true
    }),
})
