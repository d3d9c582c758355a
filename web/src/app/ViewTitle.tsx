import { useEffect, useLayoutEffect, useRef, type ReactNode } from 'react'

/** More lines than this do not fit beside the clock in full size. */
const LINES = 2

/** The sentence of a view, smaller where it would stand out of the bar. */
export function ViewTitle({ spoken, children }: { spoken: boolean; children: ReactNode }) {
  const title = useRef<HTMLHeadingElement>(null)
  const measured = useRef({ text: '', width: 0 })
  const measure = () => {
    const box = title.current
    if (!box) return
    measured.current = { text: box.textContent, width: box.clientWidth }
    box.removeAttribute('data-long')
    const line = Number.parseFloat(getComputedStyle(box).lineHeight)
    box.toggleAttribute('data-long', box.scrollHeight > (LINES + 0.5) * line)
  }
  // To ask for a width has the whole page laid out: only another text is measured, with the frame that paints it, and another
  // width as it is told.
  useLayoutEffect(() => {
    if (!title.current || title.current.textContent === measured.current.text) return
    const frame = requestAnimationFrame(measure)
    return () => cancelAnimationFrame(frame)
  })
  useEffect(() => {
    const box = title.current
    if (!box || typeof ResizeObserver === 'undefined') return
    const seen = new ResizeObserver(() => box.clientWidth !== measured.current.width && measure())
    seen.observe(box)
    return () => seen.disconnect()
  }, [])
  return (
    <h1 ref={title} aria-live={spoken ? 'polite' : undefined}>
      {children}
    </h1>
  )
}
