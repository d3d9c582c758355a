import { useEffect, useState } from 'react'
import { useAppSelector } from './store'

/** The kitchen's clock as this tablet knows it, ms; it moves once in `everyMs`. */
export function useNow(everyMs = 1000): number {
  const offsetMs = useAppSelector(({ connection }) => connection.offsetMs)
  const [tick, setTick] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setTick(Date.now()), everyMs)
    return () => clearInterval(timer)
  }, [everyMs])
  return tick + offsetMs
}
