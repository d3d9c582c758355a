import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { FAMILY_KEYS, type FamilyKey } from '@logged-thermal/core'

export const WAYS = ['write', 'copy', 'paste'] as const

/** A method that somebody began and has made no draft of yet: what was typed stays on this tablet, whoever is called away. */
export interface Begun {
  way: (typeof WAYS)[number]
  name: string
  family: FamilyKey
  /** A pasted recipe. */
  text: string
}

const NOTHING: Begun = { way: 'write', name: '', family: 'poured-custard', text: '' }

export const begun = createSlice({
  name: 'begun',
  initialState: load,
  reducers: {
    begin: (state, { payload }: PayloadAction<Partial<Begun>>) => ({ ...state, ...payload }),
    /** A draft was made of it. */
    ended: () => NOTHING,
  },
})

export const { begin, ended } = begun.actions

const KEPT = 'logged-thermal begun'

/** Keeps it over a walk to another view, a lock and a restart of the browser. */
export function keepBegun(state: Begun): void {
  try {
    localStorage.setItem(KEPT, JSON.stringify(state))
  } catch {
    // Without storage it lives as long as the page.
  }
}

function load(): Begun {
  try {
    const { way, name, family, text } = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Begun>
    return {
      way: WAYS.find((each) => each === way) ?? NOTHING.way,
      name: typeof name === 'string' ? name : '',
      family: FAMILY_KEYS.find((each) => each === family) ?? NOTHING.family,
      text: typeof text === 'string' ? text : '',
    }
  } catch {
    return NOTHING
  }
}
