import { useEffect, useRef } from 'react'
import { limitsAt, locksAfter, MINUTE, timelineOf, type Instant } from '@logged-thermal/core'
import { useLockShiftMutation, useTouchShiftMutation } from './api'
import { useHand, useLine } from './kitchen'
import type { LineData } from './lineData'
import { every, useKitchenClock } from './now'

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
  const clock = useKitchenClock()
  const [touch] = useTouchShiftMutation(UNSEEN)
  const [lock] = useLockShiftMutation(UNSEEN)
  // What is looked at as it is then: a clock that is set, or another entry, begins nothing anew.
  const latest = useRef({ line, clock })
  useEffect(() => {
    latest.current = { line, clock }
  }, [line, clock])
  useEffect(() => {
    if (!open) return
    let touched = latest.current.clock()
    let told = touched
    const onHands = () => {
      touched = latest.current.clock()
      if (touched - told < TOLD_EVERY) return
      told = touched
      void touch()
    }
    const onLook = () => {
      if (latest.current.line && isDue(latest.current.line, latest.current.clock(), touched)) void lock()
    }
    for (const hands of HANDS) document.addEventListener(hands, onHands, { capture: true, passive: true })
    const stop = every(LOOKED_EVERY, onLook)
    return () => {
      for (const hands of HANDS) document.removeEventListener(hands, onHands, { capture: true })
      stop()
    }
  }, [open, touch, lock])
}

function isDue({ limits, batches }: LineData, now: Instant, touched: Instant): boolean {
  const practice = limitsAt(limits?.versions ?? [], now)?.practice
  if (!practice) return false
  const after = locksAfter(
    practice,
    batches.some((batch) => timelineOf(batch).phase.cooking),
  )
  return after !== null && now - touched >= after
}
