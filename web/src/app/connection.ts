import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** How this tablet stands with the server. */
export interface Connection {
  /** The server answers. */
  there: boolean
  /** The kitchen's clock is ahead of this tablet's by this much, ms: learned from every answer. */
  offsetMs: number
}

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
      state.offsetMs = payload.serverNow - payload.tabletNow
    },
  },
})
