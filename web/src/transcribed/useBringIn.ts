import { useState } from 'react'
import { MOST_TRANSCRIBED, type TranscribedCooling, type TranscribedLog } from '@logged-thermal/core'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'

/** How far a log is in: null before it is signed. */
export interface Progress {
  done: number
  /** Why it stopped there; null: it goes on, or is all in. */
  refusal: string | null
}

/**
 * Brings in the lines of a log, as many at a time as one entry takes. What is in already is not taken twice: after an
 * interruption the same file goes on where it stopped.
 */
export function useBringIn(file: Pick<TranscribedLog, 'source' | 'sha256'>, rows: readonly TranscribedCooling[]) {
  const line = useLine()
  const { person, reader } = useHand(line)
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const [progress, setProgress] = useState<Progress | null>(null)
  const bringIn = async (pin: string) => {
    if (!line || !person) return
    for (let done = 0; done < rows.length;) {
      const part = rows.slice(done, done + MOST_TRANSCRIBED)
      const result = await post({
        claim: claim('log-transcribed', line.kitchen.id, { ...file, rows: part }, { by: person.id }),
        signer: person.id,
        pin,
        scale: reader.scale,
        hours: reader.hours,
      })
      const [answer] = result.data?.results ?? []
      const isIn = answer?.outcome === 'refused' && answer.code === 'already there'
      const refusal = result.error
        ? sentenceOf(result.error)
        : answer?.outcome === 'refused' && !isIn
          ? answer.sentence
          : null
      if (refusal !== null) return setProgress({ done, refusal })
      done += part.length
      setProgress({ done, refusal: null })
    }
  }
  return { lead: person, bringIn, busy: isLoading, progress }
}
