import { useLayoutEffect, useRef, type ReactNode } from 'react'

/** More lines than this do not fit beside the clock in full size. */
const LINES = 2

/** The sentence of a view, smaller where it would stand out of the bar. */
export function ViewTitle({ spoken, children }: { spoken: boolean; children: ReactNode }) {
  const title = useRef<HTMLHeadingElement>(null)
  const measured = useRef('')
  useLayoutEffect(() => {
    const box = title.current
    if (!box) return
    const said = `${box.textContent} ${box.clientWidth}`
    if (said === measured.current) return
    measured.current = said
    box.removeAttribute('data-long')
    const line = Number.parseFloat(getComputedStyle(box).lineHeight)
    box.toggleAttribute('data-long', box.scrollHeight > (LINES + 0.5) * line)
  })
  return (
    <h1 ref={title} aria-live={spoken ? 'polite' : undefined}>
      {children}
    </h1>
  )
}
