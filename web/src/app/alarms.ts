import { useEffect, useRef } from 'react'
import { alarms, type Sounded } from '@logged-thermal/core'
import { useJudged, useLine } from './kitchen'
import { sound } from './sound'
import { every } from './now'
import { useAppSelector } from './store'

/** Sounds on every view of an open tablet: one for a walk that falls due, one for a batch to rescue. What rings is core's. */
export function useAlarms(): void {
  const line = useLine()
  const judged = useJudged(line)
  const offsetMs = useAppSelector(({ connection }) => connection.offsetMs)
  const loudness = useAppSelector(({ tablet }) => tablet.loudness)
  const sounded = useRef<Sounded | null>(null)
  const ready = line !== null
  useEffect(() => {
    if (!ready) return
    const look = () => {
      const asked = judged.map(({ batch, asks }) => ({ id: batch.id, asks }))
      const next = alarms(asked, sounded.current, Date.now() + offsetMs)
      sounded.current = next.rung
      for (const each of next.sounds) sound(each, loudness)
    }
    look()
    // What falls due by time alone rings too.
    return every(1000, look)
  }, [judged, offsetMs, loudness, ready])
}
