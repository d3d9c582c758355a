import { useState } from 'react'
import {
  CHECK_READINGS,
  checkFound,
  spread,
  STEADY,
  type Against,
  type CheckFound,
  type Instant,
  type InstrumentState,
  type Typed,
} from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { useKitchenClock } from '../app/now'

/** It stays in so long before it is read, and is stirred so long between two readings, ms. House rules. */
export const SETTLES = 30_000
export const BETWEEN = 20_000

export type Stage = 'prepare' | 'settle' | 'read' | 'result'

/** A reading tapped before it can be another one: asked about, not refused. */
export interface TooSoon {
  typed: Typed
  /** What it has not waited for. */
  what: 'settle' | 'next'
  /** When it may be read. */
  from: Instant
}

export interface CheckHand {
  stage: Stage
  shown: readonly Typed[]
  /** When the next reading may be taken; null while nothing is waited for. */
  from: Instant | null
  tooSoon: TooSoon | null
  /** Apart by more than a settled probe shows, °C; null: they are not. */
  apart: number | null
  found: CheckFound | null
  begin: () => void
  take: (typed: Typed) => void
  countAnyway: () => void
  wait: () => void
  moving: () => void
  startOver: () => void
  log: () => CheckFound | null
}

/**
 * A check as it is made: prepared, settled, read three times, told. Nothing is entered before `log`.
 * @param against null while what it is compared with is not known yet
 */
export function useCheck(
  instrument: InstrumentState,
  against: Against | null,
  other: InstrumentState | null,
): CheckHand {
  const clock = useKitchenClock()
  const enter = useEnter()
  const [begun, setBegun] = useState(false)
  const [shown, setShown] = useState<Typed[]>([])
  const [from, setFrom] = useState<Instant | null>(null)
  const [tooSoon, setTooSoon] = useState<TooSoon | null>(null)

  const complete = shown.length === CHECK_READINGS && against !== null
  const apart = complete && spread(shown) > STEADY ? spread(shown) : null
  const find = (at: Instant) => checkFound(instrument, { at, against: against!, shown }, other)
  const stageOf = (): Stage => {
    if (!begun) return 'prepare'
    if (complete) return 'result'
    return shown.length === 0 && from !== null && clock() < from ? 'settle' : 'read'
  }
  const add = (typed: Typed) => {
    setTooSoon(null)
    setShown([...shown, typed])
    setFrom(clock() + BETWEEN)
  }
  const reset = () => {
    setShown([])
    setTooSoon(null)
  }
  return {
    stage: stageOf(),
    shown,
    from,
    tooSoon,
    apart,
    found: complete && apart === null ? find(clock()) : null,
    begin: () => {
      setBegun(true)
      setFrom(clock() + SETTLES)
    },
    take: (typed) => {
      if (from !== null && clock() < from) setTooSoon({ typed, what: shown.length > 0 ? 'next' : 'settle', from })
      else add(typed)
    },
    countAnyway: () => tooSoon && add(tooSoon.typed),
    wait: () => setTooSoon(null),
    moving: () => {
      setTooSoon(null)
      setFrom(clock() + BETWEEN)
    },
    startOver: () => {
      reset()
      setFrom(clock() + BETWEEN)
    },
    log: () => {
      if (!complete || apart !== null) return null
      const at = clock()
      const found = find(at)
      enter('instrument-checked', instrument.id, { against, shown, found }, { at })
      return found
    },
  }
}
