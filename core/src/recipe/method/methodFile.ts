import { parseMethod } from './parseMethod'
import { FieldError, list, object, oneOf } from '../../ground/field'
import type { Method } from './method'

/** The file in which methods are exchanged. */
export const METHOD_FILE = 'logged-thermal method'

/** Methods as a file that other programs can read: see methodSchema. */
export function methodFile(methods: readonly Method[]): string {
  return `${JSON.stringify({ format: METHOD_FILE, version: 1, methods }, null, 2)}\n`
}

/** The methods of a file. FieldError that names the field, also for text that is no JSON. */
export function readMethodFile(text: string): Method[] {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new FieldError('file', { code: 'not readable' })
  }
  const { format, version, methods } = object({ path: 'file', value }, ['format', 'version', 'methods'])
  oneOf(format, [METHOD_FILE])
  if (version.value !== 1) throw new FieldError(version.path, { code: 'not one of', allowed: '1' })
  return list(methods, parseMethod)
}
