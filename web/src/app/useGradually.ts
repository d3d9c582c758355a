import { startTransition, useEffect, useState } from 'react'

/** As many as fill a screen. */
const AT_ONCE = 7

/**
 * How many of a list's rows to draw: a screenful first, so that the most urgent can be tapped, and the others as fast as
 * drawing them holds nobody up.
 */
export function useGradually(rows: number): number {
  const [drawn, setDrawn] = useState(AT_ONCE)
  const more = drawn < rows
  useEffect(() => {
    if (more) startTransition(() => setDrawn(drawn + AT_ONCE))
  }, [more, drawn])
  return drawn
}
