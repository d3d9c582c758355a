import { useEffect, useState } from 'react'

/**
 * Keeps the screen awake while `active`. False where the browser cannot: without a secure connection it has no such
 * thing, and then it is said.
 */
export function useWakeLock(active: boolean): boolean {
  const [held, setHeld] = useState(false)
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let over = false
    const take = async () => {
      if (document.visibilityState !== 'visible') return
      try {
        const taken = await navigator.wakeLock.request('screen')
        if (over) return void taken.release()
        lock = taken
        setHeld(true)
        taken.addEventListener('release', () => setHeld(false))
      } catch {
        setHeld(false)
      }
    }
    const again = () => void take()
    again()
    document.addEventListener('visibilitychange', again)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', again)
      void lock?.release()
    }
  }, [active])
  return held
}
