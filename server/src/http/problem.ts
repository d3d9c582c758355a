/** A refusal of a whole request as RFC 9457 says it: what kind, which sentence, which field. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly sentence: string,
    readonly field: string | null = null,
  ) {
    super(sentence)
  }
}
