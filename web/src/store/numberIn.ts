/** A number as typed, with either decimal sign; null for what is none. */
export function numberIn(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-')
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null
}
