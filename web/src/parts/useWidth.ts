import { useLayoutEffect, useRef, useState, type RefObject } from 'react'

/**
 * The width of an element, px, as it changes.
 * @param initial until it is measured, which is before anything is painted: what is costly to draw waits for `measured`
 * @param as remembered under this name: shown again in a window as wide, it is drawn at once as wide as it was
 */
export function useWidth<T extends HTMLElement>(
  initial: number,
  as?: string,
): [ref: RefObject<T | null>, width: number, measured: boolean] {
  const ref = useRef<T | null>(null)
  const [width, setWidth] = useState<number | null>(() => (as === undefined ? null : remembered(as)))
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    const measure = (found: number) => {
      setWidth(found)
      if (as !== undefined) remember(as, found)
    }
    // To ask for it has the page laid out at once: one that is remembered is told again with the next frame.
    if (as === undefined || remembered(as) === null) measure(Math.round(element.clientWidth) || initial)
    const observer = new ResizeObserver(([entry]) => entry && measure(Math.round(entry.contentRect.width)))
    observer.observe(element)
    return () => observer.disconnect()
  }, [initial, as])
  return [ref, width ?? initial, width !== null]
}

function remembered(as: string): number | null {
  try {
    return Number(localStorage.getItem(placeOf(as))) || null
  } catch {
    return null
  }
}

function remember(as: string, width: number): void {
  if (remembered(as) === width) return
  try {
    localStorage.setItem(placeOf(as), String(width))
  } catch {
    // Without room it is measured each time.
  }
}

function placeOf(as: string): string {
  return `logged-thermal width of ${as} ${innerWidth}`
}
