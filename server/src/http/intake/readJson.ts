import { Problem } from '../problem'

/** No entry and no form is nested as deep as this; what lies deeper is cut off, and then refused where it was. */
export const DEEPEST = 64
/** The longest list or object that may be opened inside others before the whole is given up as no request of ours. */
const DEEPEST_AT_ALL = 10_000
/** No object of ours has as many fields. */
const MOST_FIELDS = 1_000

/**
 * JSON of a request's body, gone through once before it is read: reading, checking and refusing it then cost about as
 * much as its length, whatever it holds. Throws a Problem with status 400.
 */
export function readJson(bytes: Buffer): unknown {
  const depth = survey(bytes)
  const value = parsed(bytes)
  return depth > DEEPEST ? pruned(value) : value
}

function parsed(bytes: Buffer): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    throw new Problem(400, 'not readable', 'The request is not readable JSON.')
  }
}

const [QUOTE, BACKSLASH, COLON, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = Buffer.from('"\\:[]{}')

/** How deep it is nested. Throws where it is deeper, or an object has more fields, than any request of ours. */
function survey(bytes: Buffer): number {
  let deepest = 0
  let inText = false
  const fields: number[] = []
  for (let i = 0; i < bytes.length; i++) {
    const byte = bytes[i]
    if (inText) {
      if (byte === BACKSLASH) i++
      else if (byte === QUOTE) inText = false
    } else if (byte === QUOTE) inText = true
    else if (byte === COLON) {
      const last = fields.length - 1
      if (++fields[last]! > MOST_FIELDS)
        throw new Problem(400, 'not readable', `Something in the request has more than ${MOST_FIELDS} fields.`)
    } else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      deepest = Math.max(deepest, fields.push(0))
      if (deepest > DEEPEST_AT_ALL)
        throw new Problem(400, 'not readable', `The request is nested more than ${DEEPEST_AT_ALL} levels deep.`)
    } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) fields.pop()
  }
  return deepest
}

/** The same with null in the place of what lies too deep. Level by level, for recursion that deep would overflow. */
function pruned(value: unknown): unknown {
  let level: object[] = isNested(value) ? [value] : []
  for (let depth = 1; depth < DEEPEST; depth++) level = level.flatMap((each) => Object.values(each).filter(isNested))
  for (const each of level) {
    for (const [key, inner] of Object.entries(each)) if (isNested(inner)) Reflect.set(each, key, null)
  }
  return value
}

function isNested(value: unknown): value is object {
  return typeof value === 'object' && value !== null
}
