import { useEffect, useRef, useState, type ReactNode } from 'react'

/** So far outside the screen it is drawn already, px: nobody sees it come. */
const AHEAD = 400

/** A drawing that is made once it is on the screen or near it: in a long list few are. */
export function WhenSeen({ height, children }: { height: number; children: ReactNode }) {
  const ref = useRef<HTMLDivElement>(null)
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    watched.set(element, setSeen)
    observer().observe(element)
    return () => {
      watched.delete(element)
      observer().unobserve(element)
    }
  }, [])
  return (
    <div ref={ref} style={{ minHeight: height }}>
      {seen && children}
    </div>
  )
}

const watched = new Map<Element, (seen: boolean) => void>()
let known: IntersectionObserver | null = null

/** One for the page: five hundred rows ask. */
function observer(): IntersectionObserver {
  known ??= new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) watched.get(target)?.(isIntersecting)
    },
    { rootMargin: `${AHEAD}px` },
  )
  return known
}
