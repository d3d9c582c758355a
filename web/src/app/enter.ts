import { useCallback } from 'react'
import { useStore } from 'react-redux'
import { useNavigate, type NavigateOptions } from 'react-router'
import { v7 as uuid } from 'uuid'
import { celsiusOf, readByOf, type AnyClaim, type Bodies, type Id, type Kind, type Typed } from '@logged-thermal/core'
import { allKept, enterAll } from './keep'
import { shownAsked, useShift } from './kitchen'
import { ledger } from './ledger'
import type { LineData } from './lineData'
import { stampOfRun } from './run'
import type { Store } from './store'
import { tabletNow } from './tabletClock'

/** Makes a claim of this tablet's, in the name of who is logging. `at` is when it happened; now unless given. */
export function useClaim() {
  const store = useStore() as Store
  const shift = useShift()
  return useCallback(
    <K extends Kind>(kind: K, about: Id, body: Bodies[K], { at, by }: { at?: number; by?: Id } = {}): AnyClaim => {
      const { connection, tablet, line } = store.getState()
      const { v, about: type } = ledger().kinds[kind]
      const kitchen = line?.kitchen.id ?? ''
      const madeAt = Math.round(tabletNow() + connection.offsetMs)
      const when = Math.round(at ?? madeAt)
      return {
        id: uuid(),
        kitchen,
        kind,
        v,
        about: { type, id: about },
        at: when,
        madeAt,
        by: by ?? tablet.person ?? shift?.person ?? '',
        device: tablet.device,
        ...stampOfRun(line?.seq ?? 0, connection.offsetMs),
        body: withAsked(READINGS.includes(kind) ? withBacking(body, when, line) : body, kind, about, when, line),
      } as AnyClaim
    },
    [store, shift],
  )
}

const READINGS: readonly Kind[] = ['reading-taken', 'item-read']

/** A reading with what stands behind its instrument, so that this tablet judges it as the server will. */
function withBacking<B>(body: B, at: number, line: LineData | null): B {
  if (typeof body !== 'object' || body === null || !('typed' in body) || !('instrument' in body)) return body
  const { typed, instrument } = body as { typed: Typed; instrument: Id | null }
  const known = line?.instruments.find(({ id }) => id === instrument)
  return known ? { ...body, readBy: readByOf(known, at, celsiusOf(typed)) } : body
}

/** A reading of a batch with since when it was asked for: how soon hands follow is a trend. */
function withAsked<B>(body: B, kind: Kind, about: Id, at: number, line: LineData | null): B {
  const batch = kind === 'reading-taken' ? line?.batches.find(({ id }) => id === about) : undefined
  const asked = batch ? shownAsked(batch, at) : null
  return asked === null ? body : { ...body, asked: Math.round(asked) }
}

/** Enters something: written down, it counts on this tablet, and is sent. Returns the claim, for undoing it. */
export function useEnter() {
  const store = useStore() as Store
  const claim = useClaim()
  return useCallback(
    <K extends Kind>(kind: K, about: Id, body: Bodies[K], when: { at?: number } = {}): AnyClaim => {
      const made = claim(kind, about, body, when)
      enterAll(store.dispatch, [made])
      return made
    },
    [store, claim],
  )
}

/** Goes to a view of what was just entered, once it is written down. */
export function useGoOn(): (path: string, options?: NavigateOptions) => void {
  const navigate = useNavigate()
  return useCallback(
    (path, options) => {
      const go = () => void navigate(path, options)
      const keeping = allKept()
      if (keeping) void keeping.then(go)
      else go()
    },
    [navigate],
  )
}
