import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { v7 as uuid } from 'uuid'
import type { Id, TemperatureScale } from '@logged-thermal/core'
import type { Language } from '@logged-thermal/wording'

/** What this tablet remembers by itself. */
export interface Tablet {
  device: Id
  /** Whose name entries carry; null: whoever opened the shift. */
  person: Id | null
  /** The instrument in hand: it stays until changed. id null: none, which proves nothing. 'first' until somebody chose. */
  instrument: { id: Id | null } | 'first'
  /** Units chosen by people who read the other one. */
  units: Record<Id, TemperatureScale>
  /** Languages chosen by people who read another one than the tablet's. */
  languages: Record<Id, Language>
  theme: 'day' | 'night'
  /** How loud it says that a floor or a ceiling is reached. */
  loudness: Loudness
  /** The first-shift tour: not offered yet, under way at a step, or left. */
  tour: 'offered' | number | 'left'
}

export type Loudness = 'off' | 'soft' | 'firm'

const KEPT = 'logged-thermal tablet'

function load(): Tablet {
  const fresh: Tablet = {
    device: uuid(),
    person: null,
    instrument: 'first',
    units: {},
    languages: {},
    theme: 'day',
    loudness: 'soft',
    tour: 'offered',
  }
  try {
    return { ...fresh, ...(JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Tablet>) }
  } catch {
    return fresh
  }
}

export const tablet = createSlice({
  name: 'tablet',
  initialState: load,
  reducers: {
    loggingAs: (state, { payload }: PayloadAction<Id | null>) => {
      state.person = payload
    },
    instrumentTaken: (state, { payload }: PayloadAction<Id | null>) => {
      state.instrument = { id: payload }
    },
    unitChosen: (state, { payload: { person, unit } }: PayloadAction<{ person: Id; unit: TemperatureScale }>) => {
      state.units[person] = unit
    },
    languageChosen: (state, { payload }: PayloadAction<{ person: Id; language: Language }>) => {
      state.languages[payload.person] = payload.language
    },
    loudnessTurned: (state) => {
      state.loudness = ({ off: 'soft', soft: 'firm', firm: 'off' } as const)[state.loudness]
    },
    tourAsked: (state) => {
      state.tour = 0
    },
    tourAt: (state, { payload }: PayloadAction<number | 'left'>) => {
      state.tour = payload
    },
    themeSwitched: (state) => {
      state.theme = state.theme === 'day' ? 'night' : 'day'
    },
  },
})

/** Keeps what the tablet remembers over a restart of the browser. */
export function keep(state: Tablet): void {
  try {
    localStorage.setItem(KEPT, JSON.stringify(state))
  } catch {
    // A browser without storage forgets; nothing of the logbook is lost by that.
  }
}
