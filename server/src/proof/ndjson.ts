/** Lines of JSON as the texts of a file. */
export async function* ndjson(lines: AsyncIterable<object>): AsyncGenerator<string> {
  for await (const line of lines) yield `${JSON.stringify(line)}\n`
}

/** A code as a part of the name of a file. */
export function fileOf(code: string): string {
  return code.replace(/[^\w-]/g, '-')
}
