import { useEffect, useRef } from 'react'
import { alarms, type Sounded } from '@logged-thermal/core'
import { useJudged, useLine } from './kitchen'
import { sound } from './sound'
import { every } from './now'
import { useAppSelector } from './store'
import { tabletNow } from './tabletClock'

/** Sounds on every view of an open tablet: one for a walk that falls due, one for a batch to rescue. What rings is core's. */
export function useAlarms(): void {
  const line = useLine()
  const judged = useJudged(line)
  const offsetMs = useAppSelector(({ connection }) => connection.offsetMs)
  const loudness = useAppSelector(({ tablet }) => tablet.loudness)
  const sounded = useRef<Sounded | null>(null)
  // Two tabs of a tablet do not ring twice.
  const ready = useAppSelector(({ connection }) => connection.leads) && line !== null
  useEffect(() => {
    if (!ready) return
    const look = () => {
      const asked = judged.map(({ batch, asks }) => ({ id: batch.id, asks }))
      const next = alarms(asked, sounded.current, tabletNow() + offsetMs)
      sounded.current = next.rung
      for (const each of next.sounds) sound(each, loudness)
    }
    look()
    // What falls due by time alone rings too.
    return every(1000, look)
  }, [judged, offsetMs, loudness, ready])
}
