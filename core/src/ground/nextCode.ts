/** A short code to be said aloud: the day of the year and the number of the batch in it. */
export function nextCode(taken: readonly string[], dayOfYear: number): string {
  const numbers = taken.flatMap((code) => (code.startsWith(`${dayOfYear}-`) ? [Number(code.split('-')[1])] : []))
  return `${dayOfYear}-${Math.max(0, ...numbers.filter(Number.isInteger)) + 1}`
}
