import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { methodFile, readMethodFile, type Id, type Method } from '@logged-thermal/core'

/** What is written on this tablet of methods and not saved yet: each stands on the version it carries. */
export const drafts = createSlice({
  name: 'drafts',
  initialState: load,
  reducers: {
    drafted: (state, { payload }: PayloadAction<Method>) => {
      state[payload.id] = payload
    },
    draftDropped: (state, { payload }: PayloadAction<Id>) => {
      delete state[payload]
    },
  },
})

export const { drafted, draftDropped } = drafts.actions

const KEPT = 'logged-thermal drafts'

/** Keeps drafts over a walk to another view, a lock and a restart of the browser. */
export function keepDrafts(state: Record<Id, Method>): void {
  try {
    localStorage.setItem(KEPT, JSON.stringify(Object.values(state)))
  } catch {
    // Without storage a draft lives as long as the page.
  }
}

function load(): Record<Id, Method> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? '[]') as Method[]
    return Object.fromEntries(kept.flatMap((draft) => readable(draft).map((method) => [method.id, method])))
  } catch {
    return {}
  }
}

/** None when an older application wrote it and this one cannot read it. */
function readable(draft: Method): Method[] {
  try {
    return readMethodFile(methodFile([draft]))
  } catch {
    return []
  }
}
