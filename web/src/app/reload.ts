import { useEffect } from 'react'
import { useAppSelector } from './store'

/** Nobody touched the tablet for so long, ms: then nothing is half typed. */
const IDLE = 5_000

/** A tablet behind sends what it has, waits until nobody is at it, then loads the new program. */
export function useReload(): void {
  const due = useAppSelector(({ connection, outbox }) => connection.behind && outbox.length === 0)
  useEffect(() => {
    if (!due) return
    let timer: ReturnType<typeof setTimeout>
    const wait = () => {
      clearTimeout(timer)
      timer = setTimeout(() => (isSheetOpen() ? wait() : location.reload()), IDLE)
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

function isSheetOpen(): boolean {
  return document.querySelector('[role="dialog"]') !== null
}
