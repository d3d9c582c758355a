import canonicalize from 'canonicalize'

/** RFC 8785 canonical JSON: the same value is the same text everywhere. TypeError for what JSON cannot hold. */
export function canonical(value: unknown): string {
  const text = canonicalize(value)
  if (text === undefined) throw new TypeError('value: undefined has no canonical JSON')
  return text
}

/** Whether a text is the canonical one of what it was parsed to; mostly cheaper than to write that anew. */
export function isCanonical(text: string, parsed: unknown): boolean {
  // What JSON.stringify writes is canonical but for the order of names, and the parser keeps that of the text.
  // Names that are numbers it orders by their value: only then all is written anew.
  return (JSON.stringify(parsed) === text && isInOrder(parsed)) || canonical(parsed) === text
}

/** Names in the order of their UTF-16 units, RFC 8785 section 3.2.3, all the way down. */
function isInOrder(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return true
  if (Array.isArray(value)) return value.every(isInOrder)
  let before: string | null = null
  for (const [name, of] of Object.entries(value)) {
    if ((before !== null && name <= before) || !isInOrder(of)) return false
    before = name
  }
  return true
}
