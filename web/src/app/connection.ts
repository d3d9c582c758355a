import { createSlice } from '@reduxjs/toolkit'
import { otherBuildServed } from './build'
import { clockTold, followed, isOvertaken, type ClockTold } from './clock'
import { entryHeard } from './heard'

/** How this tablet stands with the server. */
export interface Connection {
  /** The server answers. */
  there: boolean
  /** The kitchen's clock is ahead of this tablet's by this much, ms: learned from every answer. */
  offsetMs: number
  /** What its clock was read off last. */
  lastTold: ClockTold | null
  /** The server serves another build of this program than this page is. */
  behind: boolean
}

const initialState: Connection = { there: true, offsetMs: 0, lastTold: null, behind: false }

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
  },
  extraReducers: (builder) =>
    builder
      .addCase(entryHeard, (state) => {
        state.there = true
      })
      .addCase(otherBuildServed, (state) => {
        state.behind = true
      })
      .addCase(clockTold, (state, { payload }) => {
        if (isOvertaken(payload, state.lastTold)) return
        state.offsetMs = followed(state.offsetMs, payload)
        state.lastTold = payload
      }),
})
