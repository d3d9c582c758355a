import { useState } from 'react'
import {
  celsiusOf,
  measures,
  mixtureTrace,
  timelineOf,
  unitDoubt,
  type BatchState,
  type Claim,
  type Of,
  type Typed,
  type TemperatureScale,
  type Where,
} from '@logged-thermal/core'
import { fieldSentence } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useKitchenClock } from '../app/now'
import { useHand, useLine } from '../app/kitchen'

/** A reading that is being taken of a batch: in which unit, when, of which pan; and what became of it. */
export interface ReadingHand {
  scale: TemperatureScale
  /** For one reading only: a probe that shows the other unit. */
  setUnit: (scale: TemperatureScale) => void
  minutesAgo: number
  setMinutesAgo: (minutes: number) => void
  /** Which pan of a split batch; null where it is not split. */
  pan: string | null
  pans: number
  setPan: (pan: string) => void
  /** Typed, and plausible only in the other unit: waits for an answer, is not logged. */
  asked: { typed: Typed; other: TemperatureScale } | null
  askAgain: () => void
  take: (value: number) => void
  log: (typed: Typed) => void
  /** Why the last one was not logged. */
  wrong: string | null
  logged: Claim<'reading-taken'> | null
  forget: () => void
}

export function useReading(batch: BatchState, of: Of, onLogged?: (claim: Claim<'reading-taken'>) => void): ReadingHand {
  const { instrument, reader } = useHand(useLine())
  const enter = useEnter()
  const clock = useKitchenClock()
  const [minutesAgo, setMinutesAgo] = useState(0)
  const [unitOnce, setUnit] = useState<TemperatureScale | null>(null)
  const [panOnce, setPan] = useState<string | null>(null)
  const [logged, setLogged] = useState<Claim<'reading-taken'> | null>(null)
  const [wrong, setWrong] = useState<string | null>(null)
  const [asked, setAsked] = useState<{ typed: Typed; other: TemperatureScale } | null>(null)
  const scale = unitOnce ?? reader.scale
  const { count: pans, slowest } = timelineOf(batch).pans
  // The slowest is asked for; before any was read, the one in the middle of the stack.
  const pan = pans > 1 ? (panOnce ?? slowest ?? String(Math.ceil(pans / 2))) : null

  const log = (typed: Typed) => {
    setAsked(null)
    try {
      celsiusOf(typed)
    } catch {
      setWrong(fieldSentence('value', { code: 'not a temperature', typed: `${typed.value} °${typed.unit}` }, reader))
      return
    }
    const where: Where = (instrument && measures[instrument.kind]) ?? 'core'
    const at = minutesAgo === 0 ? {} : { at: clock() - minutesAgo * 60_000 }
    const portion = pan === null || of !== 'mixture' ? {} : { portion: pan }
    const claim = enter(
      'reading-taken',
      batch.id,
      { typed, where, of, instrument: instrument?.id ?? null, ...portion },
      at,
    )
    setWrong(null)
    setMinutesAgo(0)
    setUnit(null)
    setPan(null)
    setLogged(claim as Claim<'reading-taken'>)
    onLogged?.(claim as Claim<'reading-taken'>)
  }
  const take = (value: number) => {
    const typed = { value, unit: scale }
    const last = mixtureTrace(batch).at(-1)
    const other = unitDoubt(typed, last ? { celsius: last.celsius, agoMs: clock() - last.at } : null)
    if (other) setAsked({ typed, other })
    else log(typed)
  }
  return {
    scale,
    setUnit,
    minutesAgo,
    setMinutesAgo,
    pan,
    pans,
    setPan,
    asked,
    askAgain: () => setAsked(null),
    take,
    log,
    wrong,
    logged,
    forget: () => setLogged(null),
  }
}
