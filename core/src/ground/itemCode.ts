/**
 * A code for the next item of a batch, short enough to be read aloud: the batch's with a letter, after z with two.
 * @param taken the codes of what was put away of it before, also of what was taken back
 */
export function nextItemCode(batchCode: string, taken: readonly string[]): string {
  return nextOf((n) => `${batchCode}${lettersOf(n)}`, taken)
}

/** A code for what is split off an item: its own with a number, or with a letter where it ends in a number. */
export function nextSplitCode(code: string, taken: readonly string[]): string {
  return nextOf((n) => `${code}${/\d$/.test(code) ? lettersOf(n) : n + 1}`, taken)
}

function nextOf(code: (n: number) => string, taken: readonly string[]): string {
  let n = taken.length
  while (taken.includes(code(n))) n++
  return code(n)
}

/** 0 is a, 25 is z, 26 is aa. */
function lettersOf(n: number): string {
  const letter = (i: number) => String.fromCharCode(97 + i)
  return n < 26 ? letter(n) : lettersOf(Math.floor(n / 26) - 1) + letter(n % 26)
}
