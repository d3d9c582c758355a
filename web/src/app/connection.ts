import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Hash } from '@logged-thermal/core'
import { otherBuildServed } from './build'
import { clockTold, followed, isOvertaken, type ClockTold } from './clock'
import { keptOffset } from './keptOffset'
import { entryHeard } from './heard'

/** How this tablet stands with the server. */
export interface Connection {
  /** The server answers. */
  there: boolean
  /** It answers, and can write nothing down: its disk is full. */
  full: boolean
  /** This tab has the line to the server, for all tabs of the tablet. */
  leads: boolean
  /** The kitchen's clock is ahead of this tablet's by this much, ms: learned from every answer. */
  offsetMs: number
  /** What its clock was read off last. */
  lastTold: ClockTold | null
  /** The server serves another build of this program than this page is. */
  behind: boolean
  /** Another program than this page's lies on the tablet, to be loaded. */
  programReady: boolean
  /** The last entry that this page has heard of; null: none yet. */
  head: { seq: number; hash: Hash } | null
  /** The logbook lacks what this tablet saw of it: the entry that was seen, and where it ends now. */
  setBack: { seen: number; ends: number } | null
}

const initialState = (): Connection => ({
  there: true,
  full: false,
  leads: true,
  offsetMs: keptOffset(),
  lastTold: null,
  behind: false,
  programReady: false,
  head: null,
  setBack: null,
})

export const connection = createSlice({
  name: 'connection',
  initialState,
  reducers: {
    heard: (state) => {
      state.there = true
    },
    foundRoom: (state, { payload }: PayloadAction<boolean>) => {
      state.full = !payload
    },
    foundSetBack: (state, { payload }: PayloadAction<Connection['setBack']>) => {
      state.setBack = payload
    },
    lost: (state) => {
      state.there = false
    },
    programCame: (state) => {
      state.programReady = true
    },
    leads: (state) => {
      state.leads = true
    },
    follows: (state) => {
      state.leads = false
    },
  },
  extraReducers: (builder) =>
    builder
      .addCase(entryHeard, (state, { payload: { seal } }) => {
        state.there = true
        if (seal.seq > (state.head?.seq ?? 0)) state.head = { seq: seal.seq, hash: seal.hash }
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
