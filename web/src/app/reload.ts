import { useEffect } from 'react'
import { timelineOf } from '@logged-thermal/core'
import { isUnsent } from './outbox'
import { isProgramKept, loadProgram } from './program'
import { useAppSelector } from './store'

/** Nobody touched the tablet for so long, ms: then nothing is half typed. */
const IDLE = 5_000

/**
 * A tablet with another program than the server's sends what it has, waits until nothing is on the heat and nobody is at it,
 * then loads the new one.
 */
export function useReload(): void {
  const ready = useNewProgram()
  const due = useAppSelector(
    ({ outbox, line }) =>
      ready && !outbox.some(isUnsent) && !line?.batches.some((batch) => timelineOf(batch).phase.cooking),
  )
  useEffect(() => {
    if (!due) return
    let timer: ReturnType<typeof setTimeout>
    const wait = () => {
      clearTimeout(timer)
      timer = setTimeout(() => (isSheetOpen() ? wait() : loadProgram()), IDLE)
    }
    wait()
    const touches = ['pointerdown', 'keydown'] as const
    for (const touch of touches) window.addEventListener(touch, wait)
    return () => {
      clearTimeout(timer)
      for (const touch of touches) window.removeEventListener(touch, wait)
    }
  }, [due])
}

/** Whether another program than this can be loaded. */
export function useNewProgram(): boolean {
  const { behind, programReady } = useAppSelector(({ connection }) => connection)
  return programReady || (behind && !isProgramKept())
}

function isSheetOpen(): boolean {
  return document.querySelector('[role="dialog"]') !== null
}
