import { createSlice } from '@reduxjs/toolkit'
import type { AnyClaim } from '@logged-thermal/core'
import { outbox } from './outbox'
import { isFromTab } from './fromTab'

/** What was entered in this tab last: a mistaken tap is taken back from there. */
export const justMade = createSlice({
  name: 'justMade',
  initialState: null as AnyClaim | null,
  reducers: {},
  extraReducers: (builder) =>
    builder.addCase(outbox.actions.entered, (made, action) => (isFromTab(action) ? made : action.payload.claim)),
})
