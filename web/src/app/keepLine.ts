import type { Middleware } from '@reduxjs/toolkit'
import { whenIdle } from '../kit/later'
import { keepHeard, keepLine } from '../memory/line'
import { api } from './api'
import { entryHeard } from './heard'
import type { LineData } from './lineData'

/** So many entries are kept beside the Line before it is kept anew. */
const KEPT_ANEW = 200

/** Keeps the Line as it is told: whole, then each entry, and whole again once many have come. */
export const keepingLine: Middleware = (store) => {
  let since = 0
  const keepAnew = () => {
    const { line } = store.getState() as { line: LineData | null }
    if (line) void keepLine(line).catch(() => undefined)
  }
  return (next) => (action) => {
    const done = next(action)
    const told = entryHeard.match(action) ? action.payload : null
    if (told) since++
    if (api.endpoints.line.matchFulfilled(action) || since >= KEPT_ANEW) {
      since = 0
      // Drawing it comes first.
      void whenIdle(3_000).then(keepAnew)
    } else if (told) void keepHeard(told).catch(() => undefined)
    return done
  }
}
