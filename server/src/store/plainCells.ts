/** A cell that a spreadsheet would run as a formula is text there too, also where it only comes to that after blanks. */
export function plainCells(line: Record<string, string>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(line).map(([name, value]) => [name, /^\s*[=+\-@]|^[\t\r\n]/.test(value) ? `'${value}` : value]),
  )
}
