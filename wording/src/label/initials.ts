import type { Id } from '@logged-thermal/core'

/** Somebody of a kitchen, whether they still work there or not. */
export interface Named {
  id: Id
  name: string
}

/**
 * What stands for somebody on a label: "MO" of Mina Osk. Whoever came later and would be told by the same letters has as
 * many more of their last name as it takes ("MOr" of Mara Orr), so that a label never leaves open who made it, and nobody's
 * letters change when somebody new comes. Empty for somebody who is not among them.
 * @param people all who ever worked there; ids go up in the order in which they came
 */
export function initialsAmong(people: readonly Named[], id: Id): string {
  const taken = new Set<string>()
  const inOrder = [...people].sort((a, b) => (a.id < b.id ? -1 : 1))
  for (const each of inOrder) {
    const initials = firstFree(each.name, taken)
    if (each.id === id) return initials
    taken.add(initials)
  }
  return ''
}

function firstFree(name: string, taken: ReadonlySet<string>): string {
  const parts = name.split(/\s+/).filter(Boolean)
  const last = [...(parts.pop() ?? '')]
  const before = parts.map((part) => [...part][0]).join('')
  for (let letters = 1; letters <= last.length; letters++) {
    const initials = before + last.slice(0, letters).join('')
    if (!taken.has(initials)) return initials
  }
  // Two of the same name.
  for (let count = 2; ; count++) {
    const initials = before + last.join('') + count
    if (!taken.has(initials)) return initials
  }
}
