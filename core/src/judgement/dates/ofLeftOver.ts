import type { Dating } from '../../ledger/dating'
import type { LeftOver } from '../../ledger/entry'
import type { EggPart } from '../../recipe/ingredient/eggGrams'

/** What dates egg that a batch left over: the house's days from when the first of it was taken, and its lots' use-bys. */
export function datingOfLeftOver({ part, made, keepDays, useBys }: LeftOver): Dating {
  const source = {
    document: 'House default',
    section: `${SECTION[part]} left over`,
    edition: '1',
    confidence: 'medium' as const,
  }
  return {
    prepared: made,
    keeps: [{ what: 'days', count: keepDays, from: null, force: 'house', source }],
    useBy: null,
    parts: useBys,
  }
}

const SECTION: Record<EggPart, string> = { whole: 'whole egg', yolk: 'yolks', white: 'whites' }
