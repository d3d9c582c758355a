import { v7 as uuid } from 'uuid'
import {
  dayOf,
  dayOfYear,
  nextCode,
  nextItemCode,
  nextSplitCode,
  type AnyClaim,
  type Claim,
} from '@logged-thermal/core'
import type { LineData } from './lineData'

/** Two tablets took the same code at once: the claim with the next one; null where it has none to take. */
export function renumbered(
  claim: AnyClaim,
  line: Pick<LineData, 'codes' | 'batches' | 'items' | 'kitchen'>,
): AnyClaim | null {
  switch (claim.kind) {
    case 'batch-started': {
      const day = dayOfYear(dayOf(claim.at, line.kitchen.zone))
      return { ...claim, id: uuid(), body: { ...claim.body, code: nextCode([...line.codes, claim.body.code], day) } }
    }
    case 'portioned': {
      const { batch, batchCode, code } = claim.body
      const portions = line.batches.find(({ id }) => id === batch)?.facts.portioned ?? []
      const taken = [...new Set([...portions.map(({ value }) => value.code), code])]
      return { ...claim, id: uuid(), body: { ...claim.body, code: nextItemCode(batchCode, taken) } }
    }
    case 'item-split': {
      const code = nextOff(claim, line.items)
      return code === null ? null : { ...claim, id: uuid(), body: { ...claim.body, code } }
    }
    case 'item-finished': {
      const code = nextOff(claim, line.items)
      return code === null ? null : { ...claim, id: uuid(), body: { ...claim.body, code } }
    }
    default:
      return null
  }
}

/** The next code for what is taken off an item; null where the item is not there. */
function nextOff({ about, body }: Claim<'item-split' | 'item-finished'>, items: LineData['items']): string | null {
  const parent = items.find(({ id }) => id === about.id)
  return parent
    ? nextSplitCode(parent.code, [...new Set([...parent.splits.map(({ value }) => value.code), body.code])])
    : null
}
