import type { Subject } from '../../ledger/subject'
import type { World } from '../../judgement/world'

/** The kitchen's limits, for what looks at how the house works; none where nobody says which they are. */
export function limitsIn({ limits }: World): Subject[] {
  return limits === undefined ? [] : [{ type: 'limits', id: limits }]
}
