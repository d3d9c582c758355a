import { createSlice } from '@reduxjs/toolkit'
import type { AnyClaim } from '@logged-thermal/core'
import { outbox } from './outbox'

/** What was entered on this tablet last: a mistaken tap is taken back from there. */
export const justMade = createSlice({
  name: 'justMade',
  initialState: null as AnyClaim | null,
  reducers: {},
  extraReducers: (builder) => builder.addCase(outbox.actions.entered, (_, { payload }) => payload),
})
