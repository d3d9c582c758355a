import { useEffect, useRef } from 'react'
import { alarms, type Sounded } from '@logged-thermal/core'
import { useJudged, useLine } from './kitchen'
import { useNow } from './now'
import { sound } from './sound'
import { useAppSelector } from './store'

/** Sounds on every view of an open tablet: one for a walk that falls due, one for a batch to rescue. What rings is core's. */
export function useAlarms(): void {
  const now = useNow()
  const line = useLine()
  const judged = useJudged(line, now)
  const loudness = useAppSelector(({ tablet }) => tablet.loudness)
  const sounded = useRef<Sounded | null>(null)
  const ready = line !== null
  useEffect(() => {
    if (!ready) return
    const asked = judged.map(({ batch, asks }) => ({ id: batch.id, asks }))
    const next = alarms(asked, sounded.current, now)
    sounded.current = next.rung
    for (const each of next.sounds) sound(each, loudness)
  }, [judged, now, loudness, ready])
}
