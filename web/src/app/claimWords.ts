import type { AnyClaim } from '@logged-thermal/core'
import { doneWords, itemDoneWords, type Reader } from '@logged-thermal/wording'
import type { LineData } from './lineData'

/** What was entered, in a few words: '84.2°C, Crème brûlée 334-2'. */
export function claimWords(claim: AnyClaim, line: LineData | null, reader: Reader): string {
  const batch = line?.batches.find(({ id }) => id === claim.about.id)
  const item = line?.items.find(({ id }) => id === claim.about.id)
  const what =
    plainWords(claim) ?? (batch && doneWords(claim, batch, reader)) ?? (item && itemDoneWords(claim, item, reader))
  const of = batch ? `${batch.method.name} ${batch.code}` : item ? `${item.name} ${item.code}` : null
  return [what ?? claim.kind.replaceAll('-', ' '), of].filter(Boolean).join(', ')
}

function plainWords(claim: AnyClaim): string | null {
  if (claim.kind === 'reading-taken' || claim.kind === 'item-read')
    return `${claim.body.typed.value}°${claim.body.typed.unit}`
  return null
}
