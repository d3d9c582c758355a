import canonicalize from 'canonicalize'

/** RFC 8785 canonical JSON: the same value is the same text everywhere. TypeError for what JSON cannot hold. */
export function canonical(value: unknown): string {
  const text = canonicalize(value)
  if (text === undefined) throw new TypeError('value: undefined has no canonical JSON')
  return text
}
