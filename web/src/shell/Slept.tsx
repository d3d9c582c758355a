import { useEffect, useRef, useState } from 'react'
import type { Instant } from '@logged-thermal/core'
import { asksWords, clock, shellMessages } from '@logged-thermal/wording'
import { useHand, useJudged, useLine, type JudgedBatch } from '../app/kitchen'
import { every, useKitchenClock } from '../app/now'
import { tabletNow } from '../app/tabletClock'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { isDue } from '../line/lineSentence'
import styles from './slept.module.css'

const say = speaks(shellMessages)

/** A screen that nobody could see for so long is told what it missed, ms. */
const ASLEEP = 120_000

interface Missed {
  from: Instant
  to: Instant
  batches: readonly JudgedBatch[]
}

/** What came to ask for hands while this screen slept or was out of sight, until somebody has seen it. */
export function Slept() {
  const line = useLine()
  const { reader } = useHand(line)
  const { missed, seen } = useMissed(useJudged(line))
  if (!missed || missed.batches.length === 0) return null
  const { from, to, batches } = missed
  return (
    <aside className={styles.slept} role="alert">
      <strong>{say('screenSlept', { from: clock(from, reader), to: clock(to, reader) })}</strong>
      <ul>
        {batches.map(({ batch, asks }) => (
          <li key={batch.id}>
            {say('askedMeanwhile', {
              what: `${batch.method.name} ${batch.code}`,
              asks: asksWords(asks, to, reader)?.action ?? '',
            })}
          </li>
        ))}
      </ul>
      <KeyRow>
        <Key onClick={seen}>{say('seenIt')}</Key>
      </KeyRow>
    </aside>
  )
}

/** When this screen was seen, and what asked for hands then. */
interface Seen {
  at: Instant
  own: number
  asking: ReadonlySet<string>
}

const keyOf = ({ batch, asks }: JudgedBatch) => `${batch.id} ${asks.kind}`

/** What asks for hands now and did not when this screen was seen last. */
function useMissed(judged: readonly JudgedBatch[]): { missed: Missed | null; seen: () => void } {
  const now = useKitchenClock()
  const [missed, setMissed] = useState<Missed | null>(null)
  const latest = useRef({ judged, now })
  useEffect(() => {
    latest.current = { judged, now }
  }, [judged, now])
  // How long it slept its own clock says: the kitchen's may be set.
  const last = useRef<Seen | null>(null)
  const woke = useRef<Seen | null>(null)
  useEffect(() => {
    const look = () => {
      if (document.visibilityState === 'hidden') return
      const { judged: all, now: time } = latest.current
      const at = time()
      const asking = all.filter(({ asks }) => asksNow(asks, at))
      const from = woke.current
      woke.current = null
      const before = last.current
      last.current = { at, own: tabletNow(), asking: new Set(asking.map(keyOf)) }
      if (from) setMissed({ from: from.at, to: at, batches: asking.filter((one) => !from.asking.has(keyOf(one))) })
      // What came meanwhile is judged anew before it is told.
      else if (before && last.current.own - before.own >= ASLEEP) woke.current = before
    }
    look()
    document.addEventListener('visibilitychange', look)
    const stop = every(1000, look)
    return () => {
      document.removeEventListener('visibilitychange', look)
      stop()
    }
  }, [])
  return { missed, seen: () => setMissed(null) }
}

function asksNow(asks: JudgedBatch['asks'], now: Instant): boolean {
  return ['rescue', 'lost', 'decide', 'discard'].includes(asks.kind) || isDue(asks, now)
}
