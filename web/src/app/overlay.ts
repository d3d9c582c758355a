import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** What lies over every view: asked for by a key of the header, the person's menu, the page of all places, or the keyboard. */
export type Overlay = 'search' | 'help' | 'incident'

export const overlay = createSlice({
  name: 'overlay',
  initialState: null as Overlay | null,
  reducers: {
    opened: (_, { payload }: PayloadAction<Overlay>) => payload,
    closed: () => null,
  },
})
