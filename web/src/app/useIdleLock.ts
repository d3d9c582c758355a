import { useEffect, useRef } from 'react'
import { useStore } from 'react-redux'
import { limitsAt, locksAfter, MINUTE, timelineOf, type Instant } from '@logged-thermal/core'
import { useLockShiftMutation, useTouchShiftMutation } from './api'
import { useHand, useLine } from './kitchen'
import type { LineData } from './lineData'
import { every } from './now'
import type { Store } from './store'
import { tabletNow } from './tabletClock'

/** That hands are here is told so often at most, ms. */
const TOLD_EVERY = MINUTE
const LOOKED_EVERY = 15_000
/** What became of it is no part of what is drawn: the finger that touched is still on its key. */
const UNSEEN = { selectFromResult: () => ({}) }
const HANDS = ['pointerdown', 'keydown'] as const

/** Locks the shift of a tablet that nobody touches, as the house set it. The Line stays: only what writes is shut. */
export function useIdleLock(): void {
  const line = useLine()
  const { open } = useHand(line)
  const store = useStore() as Store
  const [touch] = useTouchShiftMutation(UNSEEN)
  const [lock] = useLockShiftMutation(UNSEEN)
  // What is looked at as it is then: a clock that is set, or another entry, begins nothing anew.
  const latest = useRef(line)
  useEffect(() => {
    latest.current = line
  }, [line])
  useEffect(() => {
    if (!open) return
    // As it is told at this very moment, drawn already or not.
    const clock = () => tabletNow() + store.getState().connection.offsetMs
    // How long nobody was here is told by the tablet's own clock: the kitchen's is not known yet as the page begins.
    let touched = tabletNow()
    let told = clock()
    const onHands = () => {
      touched = tabletNow()
      const now = clock()
      // Either way: a tablet whose clock was ahead knows the kitchen's only after the page began.
      if (Math.abs(now - told) < TOLD_EVERY) return
      told = now
      void touch()
    }
    const onLook = () => {
      const known = latest.current
      // Without the server nobody could open it again: it locks once that is back. Hands are at the tab in sight.
      const { there, leads } = store.getState().connection
      if (known && there && leads && isDue(known, clock(), tabletNow() - touched)) void lock()
    }
    for (const hands of HANDS) document.addEventListener(hands, onHands, { capture: true, passive: true })
    const stop = every(LOOKED_EVERY, onLook)
    return () => {
      for (const hands of HANDS) document.removeEventListener(hands, onHands, { capture: true })
      stop()
    }
  }, [open, touch, lock, store])
}

/** @param untouched for how long, ms */
function isDue({ limits, batches }: LineData, now: Instant, untouched: number): boolean {
  const practice = limitsAt(limits?.versions ?? [], now)?.practice
  if (!practice) return false
  const after = locksAfter(
    practice,
    batches.some((batch) => timelineOf(batch).phase.cooking),
  )
  return after !== null && untouched >= after
}
