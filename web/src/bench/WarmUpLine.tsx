import { memo } from 'react'
import { warmUpOf, type BatchState } from '@logged-thermal/core'
import { warmUpSentence, type Reader } from '@logged-thermal/wording'
import styles from './guide.module.css'

/** How long the mixture, or milk that rests, has been between cold and hot on its way up. */
export const WarmUpLine = memo(function WarmUpLine({
  batch,
  now,
  reader,
}: {
  batch: BatchState
  now: number
  reader: Reader
}) {
  const warmUp = warmUpOf(batch, now)
  if (!warmUp || warmUp.mostMs < 60_000) return null
  return <p className={styles.warmUp}>{warmUpSentence(warmUp, batch.terms.warmMinutes, reader)}</p>
})
