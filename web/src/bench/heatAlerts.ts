import { useEffect, useRef, useState } from 'react'
import type { CoolSignal, HeatSignal } from '@logged-thermal/core'
import { sound } from '../app/sound'
import { useAppSelector } from '../app/store'

const SHOWN_MS = 3_000

/** What a pot says aloud: on the heat, and on its way to where the method goes on. */
export type BenchSignal = HeatSignal | CoolSignal

/** Sounds each signal of a pot once as it comes, and says for three seconds which one is to be flashed. */
export function useHeatAlerts(signal: BenchSignal | null): BenchSignal | null {
  const loudness = useAppSelector(({ tablet }) => tablet.loudness)
  // What stands when the Bench opens is no news.
  const before = useRef(signal)
  const [shown, setShown] = useState<{ signal: BenchSignal } | null>(null)
  useEffect(() => {
    if (signal === before.current) return
    before.current = signal
    if (signal === null) return
    sound(signal, loudness)
    const news = { signal }
    setTimeout(() => setShown(news))
    setTimeout(() => setShown((now) => (now === news ? null : now)), SHOWN_MS)
  }, [signal, loudness])
  return shown?.signal ?? null
}
