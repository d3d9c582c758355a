import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import {
  catalogue,
  FAMILY_KEYS,
  type FamilyKey,
  type Ingredient,
  type PastedMaterial,
  type TableRecipe,
} from '@logged-thermal/core'

export const WAYS = ['write', 'copy', 'paste'] as const

/** An ingredient of a pasted recipe as it stands now: read, put right, or left out. */
export interface Settled extends PastedMaterial {
  own: Ingredient | null
  out: boolean
}

/** What was put right in a pasted recipe: it counts for the very text that it was read from. */
export interface PutRight {
  of: string
  title?: string
  family?: FamilyKey
  /** Lines by their number. */
  lines: Record<string, Settled>
}

/** A method that somebody began and has made no draft of yet: what was typed stays on this tablet, whoever is called away. */
export interface Begun {
  way: (typeof WAYS)[number]
  name: string
  family: FamilyKey
  /** A pasted recipe. */
  text: string
  /** What was put right of it; null: nothing yet. */
  right: PutRight | null
  /** Recipes of a table that no draft was made of yet. */
  table: TableRecipe[]
}

const NOTHING: Begun = { way: 'write', name: '', family: 'poured-custard', text: '', right: null, table: [] }

export const begun = createSlice({
  name: 'begun',
  initialState: load,
  reducers: {
    begin: (state, { payload }: PayloadAction<Partial<Begun>>) => ({ ...state, ...payload }),
    /** A draft was made of it. */
    ended: ({ text, table }) => {
      const left = table.filter((recipe) => recipe.text !== text)
      return left.length ? { ...NOTHING, way: 'paste' as const, table: left } : NOTHING
    },
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

/** Only lines that still say something: of an ingredient that there is. */
function keptRight(right: PutRight | null | undefined): PutRight | null {
  if (typeof right?.of !== 'string' || typeof right.lines !== 'object') return null
  const lines = Object.entries(right.lines).filter(
    ([, { line, ingredient, own }]) =>
      typeof line === 'string' && (ingredient === null || ingredient in catalogue || own?.key === ingredient),
  )
  return { ...right, lines: Object.fromEntries(lines) }
}

function load(): Begun {
  try {
    const { way, name, family, text, right, table } = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Begun>
    return {
      way: WAYS.find((each) => each === way) ?? NOTHING.way,
      name: typeof name === 'string' ? name : '',
      family: FAMILY_KEYS.find((each) => each === family) ?? NOTHING.family,
      text: typeof text === 'string' ? text : '',
      right: keptRight(right),
      table: Array.isArray(table)
        ? table.filter((each) => typeof each?.title === 'string' && typeof each.text === 'string')
        : [],
    }
  } catch {
    return NOTHING
  }
}
