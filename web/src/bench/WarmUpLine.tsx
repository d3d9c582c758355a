import { warmUpOf, type BatchState } from '@logged-thermal/core'
import { warmUpSentence } from '@logged-thermal/wording'

/** How long the mixture, or milk that rests, has been between cold and hot on its way up. */
export function WarmUpLine({ batch, now }: { batch: BatchState; now: number }) {
  const warmUp = warmUpOf(batch, now)
  if (!warmUp || warmUp.mostMs < 60_000) return null
  return <p className="warm-up">{warmUpSentence(warmUp, batch.terms.warmMinutes)}</p>
}
