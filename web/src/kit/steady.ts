import { useCallback, useLayoutEffect, useRef } from 'react'

/**
 * The very same function at each render, which does what the one of the last render does: what is given to many keys need
 * not have all of them drawn anew.
 */
export function useSteady<Given extends unknown[]>(act: (...given: Given) => void): (...given: Given) => void {
  const last = useRef(act)
  useLayoutEffect(() => {
    last.current = act
  })
  return useCallback((...given: Given) => last.current(...given), [])
}
