import { useCallback, useEffect, useRef, useState } from 'react'
import type { Place, TrialResult } from '@logged-thermal/core'
import type { TrialAnswer, TrialsAsked } from './trialsAsked'

export interface Trials {
  /** In the order asked; undefined while one is not there yet. */
  results: (TrialResult | undefined)[]
  /** The largest depth of each place that still makes every gate, m; null: none does. */
  depths: Partial<Record<Place, number | null>>
  /** Share of what was asked, 0 to 1; 1 when done. */
  progress: number
  cancel: () => void
}

const NOTHING = { results: [], depths: {}, answered: 0, of: 1, done: true }

/** Asked again after this pause, so that a held key does not start a worker a step, ms. */
const PAUSE = 120

/** Has trials simulated in a worker: what was asked before is cancelled. */
export function useTrials(asked: TrialsAsked | null): Trials {
  const [state, setState] = useState<{
    results: (TrialResult | undefined)[]
    depths: Partial<Record<Place, number | null>>
    answered: number
    of: number
    done: boolean
  }>(NOTHING)
  const worker = useRef<Worker | null>(null)
  const cancel = useCallback(() => {
    worker.current?.terminate()
    worker.current = null
    setState((now) => ({ ...now, done: true }))
  }, [])
  const key = asked && JSON.stringify(asked)
  useEffect(() => {
    if (key === null) return
    const timer = setTimeout(() => {
      const running = new Worker(new URL('./trials.worker.ts', import.meta.url), { type: 'module' })
      worker.current = running
      const { trials } = JSON.parse(key) as TrialsAsked
      const of = trials.length + trials.filter(({ iceFirst }) => iceFirst === 0).length
      setState({ results: trials.map(() => undefined), depths: {}, answered: 0, of, done: false })
      running.onmessage = ({ data }: MessageEvent<TrialAnswer>) => {
        if (worker.current !== running) return
        setState((now) => after(now, data))
        if (data.kind === 'done') running.terminate()
      }
      running.postMessage(JSON.parse(key))
    }, PAUSE)
    return () => {
      clearTimeout(timer)
      worker.current?.terminate()
      worker.current = null
    }
  }, [key])
  const { results, depths, answered, of, done } = state
  return { results, depths, progress: done ? 1 : answered / of, cancel }
}

function after<
  S extends {
    results: (TrialResult | undefined)[]
    depths: Partial<Record<Place, number | null>>
    answered: number
    done: boolean
  },
>(now: S, answer: TrialAnswer): S {
  switch (answer.kind) {
    case 'result':
      return {
        ...now,
        answered: now.answered + 1,
        results: now.results.map((known, i) => (i === answer.index ? answer.result : known)),
      }
    case 'depth':
      return { ...now, answered: now.answered + 1, depths: { ...now.depths, [answer.place]: answer.metres } }
    case 'done':
      return { ...now, done: true }
  }
}
