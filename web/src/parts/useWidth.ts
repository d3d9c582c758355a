import { useLayoutEffect, useRef, useState, type RefObject } from 'react'

/**
 * The width of an element, px, as it changes.
 * @param initial until it is measured, which is before anything is painted: what is costly to draw waits for `measured`
 */
export function useWidth<T extends HTMLElement>(
  initial: number,
): [ref: RefObject<T | null>, width: number, measured: boolean] {
  const ref = useRef<T | null>(null)
  const [width, setWidth] = useState<number | null>(null)
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    setWidth(Math.round(element.clientWidth) || initial)
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)))
    observer.observe(element)
    return () => observer.disconnect()
  }, [initial])
  return [ref, width ?? initial, width !== null]
}
