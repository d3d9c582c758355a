import type { LineageNode } from '@logged-thermal/core'

/** Where a thing that has a code is looked at, for ever: a lot by what became of it. */
export function pageOf({ type, id }: Pick<LineageNode, 'type' | 'id'>): string {
  if (type === 'item') return `/store/item/${id}`
  return type === 'batch' ? `/log/batch/${id}` : `/store/lineage/${type}/${id}`
}
