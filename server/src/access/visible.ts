/** Letters that can be seen, and nothing else: a name. */
export const VISIBLE = /^[^\p{C}]*\S[^\p{C}]*$/u
