/** A hash or a key as it is compared by eye: '87d5 870a …'. */
export function inFours(signs: string): string {
  return signs.match(/.{1,4}/g)?.join(' ') ?? ''
}

/** The bytes of a hash as their high and low digits, 0 to 15: how far a block of its ribbon goes up and down. */
export function digitsOf(hash: string): [high: number, low: number][] {
  return (hash.match(/../g) ?? []).map((byte) => [parseInt(byte[0]!, 16), parseInt(byte[1]!, 16)])
}
