import type { Id, Subject } from '../../ledger/subject'
import type { Read } from '../../state/state'

/** The batches that went through the kitchen's tools, as far back as is kept: what is in a tool is what was in them. */
export function throughTools(kitchen: Id, read: Read): Subject[] {
  const uses = (read('kitchen', kitchen)?.tools ?? []).flatMap((tool) => tool.uses)
  return [...new Set(uses.map(({ batch }) => batch))].map((id) => ({ type: 'batch', id }))
}
